/** Why a frame cannot be strung by a method, and what to be careful of where it can. */
export const METHOD_SENTENCES = {
  'method.hybrid': 'Two strings make two pieces: a hybrid cannot be strung in one.',
  'method.not from the throat':
    'Crosses from the throat up are for the few frames whose only cross tie-offs are at the throat, and nothing says that this is one.',
  'method.mains finish at the head':
    'The mains finish at the head, so one piece cannot go on into crosses that start at the throat: use two pieces.',
  'method.crosses from the throat':
    'The crosses of this frame start at the throat: use two pieces, or one piece with crosses from the throat up.',
  'method.no turn':
    'On this frame the outermost main and the first cross share a hole, so one piece has no frame to turn around there: two pieces, or another method.',
  'method.nothing to go around':
    'The mains finish at the head already, where the crosses start: there is nothing to go around for.',
  'method.no outermost main':
    'The outer mains are strung in the other order, so there is no outermost main left to climb.',
  'method.mains finish at the throat':
    'The mains finish at the throat, so one piece would have to string its crosses from the throat up: use two pieces, or go around the frame.',
  'method.warranty':
    'The maker names {methods} for this frame; another method may cost its warranty.',
  'method.load to the shoulders':
    'Crosses from the throat up push the load to the shoulders of the head, towards 10 and 2 o’clock, where the hoop is weakest. Only because this frame asks for it.',
  'method.around the frame':
    'The long side leaves the mains as the bottom cross and climbs as the outermost main of the other side: weave that cross before the main is there, and keep both corners flat.',
  'method.little frame':
    'The turn {run} bears on only {mm} mm of frame. Look whether the grommet carries it.',
  'method.leap': 'The run {run} leaps the open throat. Count the holes of the bridge again.',
  'method.crossing runs':
    'Outside, {runs} cross on the {side}: lay them flat, or nothing at the head may stand proud.',
  'method.forced knot':
    'No bored hole is left for the knot at {holes}. A knot forced into an ordinary hole ruins its grommet: look for the bored one.',
} as const;
