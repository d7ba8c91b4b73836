/** What goes wrong at the bench, the ways out, what is done by hand, and what the client hears of it. */
export const MISHAP_WORDS = {
  'mishap.string broke': 'The string broke',
  'mishap.clamp slipped': 'A clamp slipped',
  'mishap.wrong hole': 'A string is in the wrong hole',
  'mishap.short of string': 'The string is too short',
  'mishap.frame cracked': 'The frame cracks',
  'mishap.pulled again': 'I pulled it again',

  'way.write down': 'Write down that {string} was pulled again',
  'way.pull again': 'Pull {string} again',
  'way.pull again.1':
    'Take the tail of {string} in the head at its figure; clean the clamp and set it as loosely as holds.',
  'way.pull again.2':
    'Look at {string} where the clamp was: tooth marks or flat spots mean that it comes out.',
  'way.go back': 'Go back to before {string}',
  'way.go back.1': 'Go on from there with the next step.',
  'way.take the load off': 'Stop, and take the load off',
  'way.take the load off.1': 'Let the head down. Pull no more.',
  'way.take the load off.2':
    'Cut the strings out from the centre in a plus, a few at a time, so that the load leaves evenly.',
  'way.take the load off.3':
    'Then open the mounts, mark the crack, and keep the racket as it is for the client.',
  'way.take the load off.tell':
    'A crack showed in your frame at the bench, so the stringing was stopped and the strings were cut out. Please come and look at it; the maker decides on a guarantee.',
  'way.take the load off.caution':
    'A cracking frame can give way at once: glasses on, hands off the hoop.',
  'way.bridge': 'Bridge the last pulls',
  'way.bridge.1':
    'A second clamp holds the tail, a length of scrap string goes from it to the head. Good for a hand’s breadth, not for a string.',
  'way.begin again':
    'Begin {piece, select, whole {the whole bed} other {the {piece}}} again with a new length',
  'way.begin again.longer':
    'Cut the new length for {piece, select, whole {the whole bed} other {the {piece}}} longer than the old one: lay the old one beside it.',
  'way.begin again.lost': '{string} is lost: let the head down, and nobody stands in line with it.',
  'way.begin again.crosses out':
    'Free the clamps of the crosses and draw the crosses out, the last first; the mains stay.',
  'way.begin again.all out':
    'Cut what is in out from the centre in a plus, a few strings at a time; then free the clamps.',
  'way.begin again.last':
    'Take a new length, and go on from the start of {piece, select, whole {the whole bed} other {the {piece}}}.',
  'way.begin again.tell':
    'A string did not last while your racket was strung (at {string}), so a fresh length went in for {piece, select, whole {the whole bed} other {the {piece}}}. It may take longer than promised.',
  'way.patch': 'Patch: tie {before} off and go on from {string} with a second length',
  'way.patch.1':
    'Tie {before} off at the nearest tie-off hole, and start {string} with a second length on a knot or a starting clamp.',
  'way.patch.2':
    'Two knots more, and a softer place beside them: for a bed that must last until a new one, not for a match.',
  'way.patch.tell':
    'A cross broke while your racket was strung. It was patched at {string} with a second length: two knots more than usual. A new bed at the next chance is the better answer.',
} as const;
