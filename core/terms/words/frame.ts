/** Facts of a frame that cannot hold together: what was counted against what, and what to look at again. */
export const FRAME_WORDS = {
  'frame.no skips fit':
    'No skips go with what was counted: the shared holes, the bridge and the pattern leave no hole for them. Count again.',
  'frame.no skips fit the outermost':
    'No skips go with an outermost main in {outermost}{letter} beside the other facts: count that hole again from the centre line.',
  'frame.outermost is a skip':
    'Hole {name} is said to hold the outermost main and to be a skip: it is one of the two.',
  'frame.outermost too near':
    '{perSide} mains a side reach to hole {perSide}{letter} at least: the outermost main is not in {name}.',
  'frame.outermost too far':
    'With the outermost main in {name} there would be {skips} skips at the {end}; no frame has more than {most}. Count that hole from the centre line.',
  'frame.mains differ by end':
    'Marked are {head} mains a side at the head and {throat} at the throat, {together} together: every main has a hole at both ends, so a skip is missing or too many at one of them.',
  'frame.mains of the outermost':
    'With the outermost main in {outermost}{letter} and {skips} skips there are {perSide} mains a side at the {end}, {all} in all, not {mains}.',
  'frame.start leaps':
    '{bridgeHoles} holes in the bridge, {aSide} a side, mean that the mains start at the {start}: from the {said} an outside run would leap the open throat. Count the bridge again.',
  'frame.reversed too few': 'Outer mains are only reversed on a bed of ten mains or more.',
  'frame.stepped too many':
    '{strings} strings stepped down leave none at its full figure: this bed has {room} at most on a side.',
  'frame.stepped too low':
    '{strings} × {by} {unit} from {from} would leave the outermost string at {last}; nothing is strung below {least}. 3 x 5 lb is usual on a very large head.',
  'frame.shared tie-off':
    '{full} is shared: a main and a cross fill it already, and a knot’s tail would be the third string. Is the knot in the hole beside it?',
  'frame.ruled too few':
    '{count} holes were ruled on one side, but {mains} mains and {crosses} crosses, {shared, plural, =0 {none shared} other {# shared}}, take {needed}. With these holes it would be {wouldBe} crosses, or {lacking, plural, one {# more shared hole} other {# more shared holes}}.',
  'frame.ruled too many':
    '{count} holes were ruled on one side, but {mains} mains and {crosses} crosses, {shared, plural, =0 {none shared} other {# shared}}, take {needed}. With these holes it would be {wouldBe} crosses, or a hole ruled twice.',
  'frame.skip beyond':
    'There is no skip at hole {wrong}: with {perSide} mains a side the outermost main is in {outermost}{letter}, and the holes beyond it belong to crosses anyway.',
  'frame.skip in the bridge':
    'Hole {inBridge}T is one of the {bridge} a side in the bridge, and only mains go through the bridge.',
  'frame.too many skips':
    '{count} skips at the {end}: no frame has more than {most}. Write the holes among the mains that stay empty for crosses, nothing else.',
  'frame.shared without main':
    'A shared hole takes a main and a cross, but no main goes through {stray}{letter}.',
  'frame.too many among mains':
    '{amongMains} holes among the mains are kept for crosses; a bed of {crosses} crosses leaves too few holes for that. Is a number too many?',
  'frame.short cross':
    'A cross in hole {hole}{letter} would be only about {mm} mm long: that hole carries a main. Count again from the centre line outwards.',
  'frame.stray hole': 'There is no hole {stray}: this bed counts to {most}{letter} at the {end}.',
  'frame.beyond the rules': 'A {sport} head may be at most {limits} ({source}).',
  'frame.short': 'A head is at least 150 mm long inside: 336 for a usual tennis frame.',
  'frame.narrow': 'A head is at least 100 mm wide inside: 248 for a usual tennis frame.',
  'frame.wider than long':
    'A head is longer than it is wide: {widthMm} mm across is more than {lengthMm} mm along. Were the two swapped?',
  'frame.odd mains':
    'Mains come in pairs, one on each side of the centre line: {fewer} or {more}, not {mains}.',
  'frame.mains beyond': 'A bed has 8 to 26 mains: 16 on most tennis frames.',
  'frame.crosses beyond': 'A bed has 8 to 30 crosses: 19 on most tennis frames.',
  'frame.bridge beyond':
    'Count the holes of the throat bridge on both sides together: an even number from 2 to {mains}, 6 or 8 on most frames.',
  'frame.no room':
    'A head of this size has no room for {holes} holes a side: they would lie closer than {least} mm. Is the pattern or the size another?',
  'frame.ruled too close':
    'Numbers {first} and {second} of the holes lie {mm} mm apart along the rim; no grommets are bored so close. Was a distance misread, or one hole ruled twice?',
  'frame.ruled out of order':
    'The holes go round the rim in order, but number {later} of them lies before number {earlier}. Was a distance misread?',
  'frame.ruled beyond the middle':
    'The last hole would lie beyond the middle of the throat: half the rim is {half} mm long.',
  'frame.ruled ends missing':
    'The holes must go from the centre line at the head to the centre line at the throat: some are missing at one end.',
  'frame.ruled off the rim': 'The point {point} lies {off} mm off the rim of this head.',
  'frame.ruled rows missing':
    'Rule all three rows, head, side and throat, or none: together they are the holes of one half.',
  'frame.ruled beside the head':
    'A hole {far} mm from the centre line is outside a head {widthMm} mm wide.',
  'frame.ruled below the head':
    'A hole {deep} mm below the tip is outside a head {lengthMm} mm long.',
  'frame.ruled first of the side':
    'The first hole of the side, {side} mm below the tip, lies before the last one of the head. Each hole belongs in one row only.',
  'frame.ruled last of the side':
    'The last hole of the side, {at} mm below the tip, lies beyond the outermost one of the throat. Each hole belongs in one row only.',
  'frame.not legal': '{beyond} The racket is not legal for play; strung because its owner insists.',
  'frame.uneven':
    'These holes do not go with evenly widening gaps: even spacing would skip {head} at the head and {throat} at the throat. Look at the frame once more.',
  'frame.ruled otherwise':
    'The ruled holes fit skips {head} at the head and {throat} at the throat better than those that were counted.',
  'frame.ports':
    'Open ports or a bar at {holes}: the string hooks round with no grommet to hold it. Put a spacer into a port whose cross is pulled in the upper half, and see that the string lies in its seat.',
  'frame.double':
    'Two barrels in one grommet at {holes}: use the upper ones on the left side and the lower ones on the right, all along.',
  'frame.stepped down':
    'The maker steps the last {strings} mains of each side and the outermost crosses down by {by} {unit} each.',
  'frame.skips proposed':
    'Skips {skips}: {from, select, ruler {proposed from the ruled holes} tie {proposed from the ruled holes, and it is a near tie} other {proposed from spacing, not read from the frame}}. Check them against the old strings before cutting.',
  'frame.bridge assumed':
    'Holes in the bridge not counted: four a side stand in, so the mains start at the head. Count them.',
  'frame.tie-offs assumed':
    'No tie-off holes entered: the nearest main hole stands in. Tie off only in a hole bored for it.',
} as const;
