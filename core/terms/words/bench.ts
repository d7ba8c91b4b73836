/** What the bench says at each step. A clause that begins with a comma or a semicolon follows another. */
export const BENCH_WORDS = {
  'step.inspect': 'Look the frame over: cracks, sunken or split grommets, the bumper',
  'step.inspect.why':
    'A split grommet bares the string to the frame; extra work is agreed before it starts.',
  'step.inspect.caution': 'Never mount a cracked frame: at tension every fault shows.',
  'step.cut out': 'Cut the old strings out from the centre, in a plus',
  'step.cut out.why': 'So the tension leaves the hoop evenly.',
  'step.cut out.caution': 'Old strings are loaded: glasses on, cutters pointing away.',
  'step.pre-stretch':
    'Pre-stretch {piece, select, whole {the length} other {the length for the {piece}}} for {seconds} s at about {figure}',
  'step.pre-stretch.caution':
    'A stretched length that lets go lashes back: glasses on, both ends made fast.',
  'step.mount.6':
    'Mount it at six points, finger-tight at head and throat, palm-tight at the sides, then a quarter turn',
  'step.mount.4':
    'Mount it at four points, finger-tight at head and throat, palm-tight beside them, then a quarter turn',
  'step.mount.2':
    'Mount it at head and throat, snug and in line: two points leave the sides free, so go evenly',
  'clause.load spreaders': '; load spreaders at the head',
  'step.mount.why':
    'The most important minute of the job: the hoop keeps its shape by the mounts alone.',
  'step.mount.caution':
    'Slipping mounts break rackets and hands. The maker’s instructions come first.',
  'step.set tension.mains': 'Set the head for the mains',
  'step.set tension.crosses': 'Set the head for the crosses',
  'step.start.mains by clamp':
    'Thread {one} and {other} from the centre loop; starting clamp outside on {other}',
  'step.start.mains at half':
    'Thread {one} and {other} from the centre loop; pull both together at half tension and clamp both',
  'step.start.crosses together':
    'Weave {top} and {next}; starting clamp outside at the tail of {top}',
  'step.start.second cross first': 'Weave {top} and {next}; starting clamp outside between the two',
  'step.pull': 'Pull {string}',
  'step.pull.and clamp': 'Pull {string} and clamp it',
  'step.pull.in full': 'Pull {string} on its own, in full',
  'step.pull.come back':
    'Come back: pull {string} on its own, take the starting clamp off, clamp it',
  'step.pull.through': 'Pull {string}, and {top} through with it',
  'step.pull.alone': 'Pull {string} alone from its tail, take the starting clamp off, clamp it',
  'step.pull.weave': 'Weave {woven}; pull {string}',
  'clause.last before its knot': ', the last before its knot',
  'clause.straighten': '; straighten it while it is under pull',
  'clause.held outside': '; the starting clamp holds it outside',
  'clause.taken over outside':
    '; the starting clamp takes {other} over outside, so that this one has a clamp for its knot',
  'clause.held outside.caution':
    'A leather pad under the starting clamp, so that it does not bite the rim.',
  'step.pull again': 'Pull {string} once more at {figure}, the clamp base pushed towards the head',
  'step.pull again.come back':
    'Come back to {string}: pull it from its tail, take the starting clamp off, clamp it',
  'step.pull again.for its knot':
    'Take {string} in the head again, the starting clamp off, and clamp it for its knot',
  'step.open.strand':
    'Leave a scrap strand in {at} before {before} {knot, select, true {is tied} other {is pulled}}: {needs} still needs it',
  'step.open.strand for a knot':
    'Leave a scrap strand in {at} before {before} {knot, select, true {is tied} other {is pulled}}: the knot of {needs} still needs it',
  'step.open.pre-thread':
    'Pre-thread {needs} through {at} before {before} {knot, select, true {is tied} other {is pulled}}',
  'step.open.caution': 'The awl points away from you and never stabs at a string.',
  'step.bridge':
    'The tail of {string} is about {cm} cm short of the gripper: a second clamp with a length of scrap string lends the reach',
  'step.bridge.caution': 'A bridge that slips lets the tail fly: glasses on, face aside.',
  'step.tie': 'Tie the tail of {string} off at {at}, then free its clamp',
  'step.tie.caution': 'This hole is not bored for a knot.',
  'step.straighten': 'Straighten all strings, both ways at once',
  'step.straighten.why': 'Soft strings notch, and stay where they are put now.',
  'step.trim': 'Cut the tails flush, on a slant, now that the knots have taken load',
  'step.trim.caution': 'Cutters point away from the strings that stay.',
  'step.release': 'Release the mounts and take the racket off',
  'step.last look': 'Weave, gaps, knots; no crossover outside, no crushed spot',

  'hands.off': '{holder} off {from}',
  'hands.on': '{holder} on {to}',
  'hands.move': '{holder} from {from} to {to}',
  'undo.clamp by the knot': 'set {holder} on {string} close to its knot',
  'undo.cut the knot': 'cut the knot of {string} and draw its tail back',
  'undo.take again': 'take the tail of {string} in the head again',
  'undo.free': 'free {holders}',
  'undo.grip': 'put the starting clamp outside on {string}',
  'undo.clamp': 'set {holder} on {string}',
  'undo.let down': 'let the head down slowly',
  'undo.draw out': 'draw {strings} out',
} as const;
