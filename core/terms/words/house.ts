/** Questions on which good stringers differ: each school in words, and what its followers say for it. */
export const HOUSE_WORDS = {
  'house.tennisCrosses': 'Tennis, one string: crosses against mains',
  'house.tennisCrosses.equal': 'equal',
  'house.tennisCrosses.equal.why': 'One figure is simple, and the client can name it.',
  'house.tennisCrosses.lower': 'crosses 2 lb lower',
  'house.tennisCrosses.lower.why':
    'Crosses cut the mains; lower ones prolong their life at no felt loss.',
  'house.tennisCrosses.higher on the mean': 'mains 2 lb lower, crosses 2 lb higher',
  'house.tennisCrosses.higher on the mean.why':
    'Crosses lose pull to the weave, draw the distorted hoop back and raise the mains; the mean stays the reference.',
  'house.badmintonCrosses': 'Badminton: crosses against mains',
  'house.badmintonCrosses.higher': 'crosses 2 lb higher',
  'house.badmintonCrosses.higher.why':
    'The mains widen the head; crosses a little tighter bring its shape back.',
  'house.badmintonCrosses.equal': 'equal',
  'house.badmintonCrosses.equal.why': 'Less load on the sides of a light frame.',
  'house.squashCrosses': 'Squash: crosses against mains',
  'house.squashCrosses.equal': 'equal',
  'house.squashCrosses.equal.why': 'The bed is long and narrow; the mains do most of the work.',
  'house.squashCrosses.lower': 'crosses 2 lb lower',
  'house.squashCrosses.lower.why': 'Short crosses feel tight at the same figure and cut the mains.',
  'house.hybrid': 'Hybrid of soft string and monofilament',
  'house.hybrid.soft string higher': 'the soft string a share above the monofilament',
  'house.hybrid.soft string higher.why':
    'Monofilament is stiffer at the same figure; 10 % apart, 45 beside 50 lb, feels like one string.',
  'house.hybrid.each by its own rule': 'each string by the monofilament rule alone',
  'house.hybrid.each by its own rule.why':
    'The monofilament is already lowered once; more makes the bed uneven.',
  'house.monofilament': 'Monofilament instead of a soft string',
  'house.monofilament.by a share': 'lower by a share',
  'house.monofilament.by a share.why':
    'Stiffness goes with the pull, so a share of it fits every frame.',
  'house.monofilament.low end of the range': 'at the low end of the printed range',
  'house.monofilament.low end of the range.why':
    'Nothing to work out, and the maker stands behind the figure.',
  'house.stiffFrame': 'A stiff frame',
  'house.stiffFrame.down with a sore arm': 'lower with any arm trouble, else as it is',
  'house.stiffFrame.down with a sore arm.why':
    'The arm decides; without trouble the frame alone is no reason.',
  'house.stiffFrame.up': 'higher',
  'house.stiffFrame.up.why': 'A stiff frame is lively; a firmer bed brings it under control.',
  'house.stiffFrame.down': 'lower',
  'house.stiffFrame.down.why': 'The shock that the frame does not take, the bed must.',
  'house.climate': 'Altitude, heat, cold and season',
  'house.climate.small steps': 'move by small steps',
  'house.climate.small steps.why':
    'Thin or warm air makes the ball livelier, damp and cold make it heavy.',
  'house.climate.leave it': 'leave the tension',
  'house.climate.leave it.why': 'The days differ more than half a kilogram can follow.',
  'house.bridge': 'A bridge where a tail does not reach the gripper',
  'house.bridge.on the last pull': 'where there is not enough, on the last pull',
  'house.bridge.on the last pull.why':
    'A second clamp and a length of scrap string lend a hand’s breadth, and a half set goes further.',
  'house.bridge.never': 'never',
  'house.bridge.never.why':
    'A bridge can slip and gives a little, so the last string is not sure of its figure: cut more.',
  'house.tips': 'What the bench says at the step',
  'house.tips.each once': 'each thing once, where it matters',
  'house.tips.each once.why': 'A reminder at the string in hand costs a glance and saves a bed.',
  'house.tips.notes only': 'only notes of the frame and the racket, and cautions',
  'house.tips.notes only.why': 'A hand that has strung a thousand needs no telling.',
  'house.knotPull': 'The last pull before a knot',
  'house.knotPull.10 % higher': '10 % higher',
  'house.knotPull.10 % higher.why':
    'Makes up for what the string draws back between clamp and knot.',
  'house.knotPull.5 lb higher': '5 lb higher',
  'house.knotPull.5 lb higher.why': 'The same, without reckoning.',
  'house.knotPull.pull again': 'the same figure again, with the clamp base pushed to the head',
  'house.knotPull.pull again.why':
    'No string is ever above its figure; the slack is taken out of the clamp instead.',
  'house.ahead': 'Mains ahead on one side',
  'house.ahead.one': 'one',
  'house.ahead.one.why': 'The hoop is pulled out of shape least; left and right then ring alike.',
  'house.ahead.two': 'two',
  'house.ahead.two.why': 'Half the walking round the machine, and still close to even.',
  'house.ahead.three': 'three',
  'house.ahead.three.why': 'Quick, and no more than a frame should bear.',
  'house.ahead.three then six': 'three, then six by turns',
  'house.ahead.three then six.why': 'Never more than three ahead, with the fewest changes of side.',
  'house.ahead.four': 'four in badminton, elsewhere three',
  'house.ahead.four.why':
    'Thin strings at low loads distort the hoop less, and eleven mains a side want pace.',
  'house.start': 'Starting the mains',
  'house.start.starting clamp': 'a starting clamp outside on one, then pull its neighbour',
  'house.start.starting clamp.why': 'Each main is pulled on its own from the first.',
  'house.start.both at half': 'both centre mains together at half tension, then each in full',
  'house.start.both at half.why': 'No starting clamp presses on the frame.',
  'house.firstCrosses': 'Starting the crosses',
  'house.firstCrosses.two together': 'two woven and pulled together, the first pulled again later',
  'house.firstCrosses.two together.why':
    'One starting clamp does it, and the first is tied when others hold the bed.',
  'house.firstCrosses.second first': 'the second first, then the top one alone',
  'house.firstCrosses.second first.why':
    'The top cross has its full pull before anything hangs on it.',
  'house.topCross': 'Tying the top cross off',
  'house.topCross.after three': 'after three more crosses',
  'house.topCross.after three.why':
    'The starting clamp comes off early, and the bed holds it by then.',
  'house.topCross.at the end': 'when all crosses are in',
  'house.topCross.at the end.why':
    'Both knots of the crosses are tied in one go, with nothing more to pull.',
  'house.preStretch': 'Pre-stretch',
  'house.preStretch.never': 'never',
  'house.preStretch.never.why': 'It takes liveliness out of the string.',
  'house.preStretch.gut and nylon': 'natural gut, multifilament and synthetic gut',
  'house.preStretch.gut and nylon.why':
    'Takes out early creep: the bed starts steadier and stays so.',
  'house.preStretch.every string': 'every string',
  'house.preStretch.every string.why': 'Every bed settles before it is handed over.',
  'house.comeBack': 'Asked back',
  'house.comeBack.by the curve': 'when the bed has lost what they came for',
  'house.comeBack.by the curve.why':
    'Hours, strings and swing differ: each racket goes by its own curve, and by what was measured.',
  'house.comeBack.old rule': 'as many times a year as plays a week',
  'house.comeBack.old rule.why': 'Everybody can remember it. It is from the days of nylon.',
  'house.comeBack.twice a year': 'at the start of the warm and of the cold season',
  'house.comeBack.twice a year.why': 'Strings lose by lying too, and the season changes the ball.',
  'house.comeBack.monthly for monofilament': 'monofilament every month, or every two',
  'house.comeBack.monthly for monofilament.why':
    'Three or four times a week on court it is dead in a month, long before it breaks.',
  'house.brokenString': 'A string that breaks at the bench',
  'house.brokenString.the house pays': 'the house pays for the new length',
  'house.brokenString.the house pays.why':
    'It broke in the stringer’s hands; most often a sharp grommet or a pull that was too quick.',
  'house.brokenString.the client pays': 'the client pays for the new length',
  'house.brokenString.the client pays.why':
    'An old grommet or a brought string breaks it, and the house has warned of both.',
  'suits.sport': 'its mounts hold no {sport} racket',
  'suits.mounts': 'a badminton hoop wants {least} points or more, and it has {mounts}',
  'suits.clamps': 'its clamps do not go through the job: {why}',
} as const;
