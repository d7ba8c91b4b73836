/** What the trade says at the step. */
export const TIP_WORDS = {
  'tip.clamp': 'Clamp close to the frame but not against it, and as loosely as holds.',
  'tip.pull through': 'Draw each string fully through on one side first, or it coils.',
  'tip.double':
    'Two barrels in one grommet: the upper ones on the left side, the lower on the right, all along.',
  'tip.reversed':
    'The outer mains are reversed: {outer} goes in before {inner}, which lowers the stress on the outermost.',
  'tip.first cross':
    'The first cross goes over the mains that stand high and against the grain of the last run; every cross after it the other way round.',
  'tip.draw slowly': 'Draw it slowly and keep the crossing point moving.',
  'tip.draw slowly.soft':
    'Draw it slowly and keep the crossing point moving: a soft string burns first.',
  'tip.straighten':
    'Straighten each cross while it is under pull: a bow that is taken out later leaves slack.',
  'tip.tight': 'It grows tight towards this end: slower still.',
  'tip.knot':
    'Draw the knot up with the starting clamp, rocked away and back; over-pulled, it breaks the string underneath. The tail stays until both knots have taken load.',
  'tip.begins over': '{string} begins over {main}',
  'tip.begins under': '{string} begins under {main}',
  'tip.spacer': 'A spacer in its port while it is pulled.',
  'tip.no spacer': 'From here on no spacer is needed.',
  'tip.outer lane':
    'Its run {run} lies on the outer side of the groove, beside the others and not over them.',
} as const;
