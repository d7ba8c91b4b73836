/** What each rule of advice is called and why it holds, what a tension wants care for, and what cannot be had together. */
export const ADVICE_WORDS = {
  'rule.large head': 'Head larger than 100 in²',
  'rule.large head.why': 'Long strings give more; a little more tension keeps the ball in.',
  'rule.small head': 'Head of 98 in² or smaller',
  'rule.small head.why': 'Short strings give less; a little less tension makes up for it.',
  'rule.dense pattern': 'Dense pattern',
  'rule.dense pattern.why': 'More strings carry the ball, so each may be a little looser.',
  'rule.thickness in a dense bed': 'Thickness shows in a dense bed',
  'rule.thickness in a dense bed.why':
    'In a dense bed a tenth of a millimetre is a change one can see: stay with the thickness they know.',
  'rule.open pattern': 'Open pattern',
  'rule.open pattern.why':
    'An open pattern tolerates more tension, should the ball fly; it needs none of itself.',
  'rule.stiff frame and arm': 'Stiff frame and arm trouble',
  'rule.stiff frame and arm.why':
    'What shock the frame does not take, the bed must: lower, to spare the arm.',
  'rule.stiff frame up': 'Stiff frame',
  'rule.stiff frame up.why': 'A stiff frame is lively; this house goes up for control.',
  'rule.stiff frame down': 'Stiff frame',
  'rule.stiff frame down.why':
    'A stiff frame passes shock on; this house goes down with every one of them.',
  'rule.heavy frame': 'Racket over 300 g',
  'rule.heavy frame.why':
    'A heavy racket brings control of its own, so no tension is added for control.',
  'rule.outer strings': 'Outermost strings step down',
  'rule.outer strings.why':
    'The maker steps the outermost strings of this frame down; the figure here is that of the inner ones.',
  'rule.junior': 'Junior',
  'rule.junior.why':
    'Two kilograms down: a softer bed helps the ball along and forgives. Monofilament is not for a growing arm.',
  'rule.help from the bed': 'Beginner or older',
  'rule.help from the bed.why':
    'A softer bed helps the ball along and forgives: comfort and help from the bed.',
  'rule.beginner': 'Beginner',
  'rule.beginner.why':
    'Synthetic gut is a plain all-rounder at a small price; in badminton a thicker string forgives mishits.',
  'rule.older': 'Older player',
  'rule.older.why': 'Soft strings play with less effort; monofilament asks for a fast swing.',
  'rule.club player': 'Club player',
  'rule.club player.why': 'Multifilament suits adults at club level, above all those who hit flat.',
  'rule.strong player': 'Advanced or performance',
  'rule.strong player.why':
    'Clean and hard hitters make use of a firm string in tennis, of a thin one elsewhere.',
  'rule.fast swing': 'Fast swing',
  'rule.fast swing.why':
    'A fast swing brings its own power and can use the control of monofilament.',
  'rule.slow swing': 'Slow swing',
  'rule.slow swing.why':
    'A slow swing does not bend monofilament, it only feels hard; half a kilogram less helps the ball along.',
  'rule.spin style': 'Plays with spin',
  'rule.spin style.why':
    'Monofilament mains slide and snap back; a shape helps a spin technique, it does not make one.',
  'rule.touch style': 'Touch player',
  'rule.touch style.why': 'Natural gut, and soft strings after it, tell the hand most.',
  'rule.plays seldom': 'Plays once a week or less',
  'rule.plays seldom.why': 'Monofilament goes dead by lying as well as by playing.',
  'rule.wants control': 'Wants control',
  'rule.wants control.why': 'A tighter bed gives less back: the ball leaves where it was aimed.',
  'rule.wants power': 'Wants power',
  'rule.wants power.why':
    'A looser bed gives more back, and more of it is lively; in badminton a thin string does the same.',
  'rule.wants comfort': 'Wants comfort',
  'rule.wants comfort.why': 'Lower and softer is easier on hand and arm.',
  'rule.wants spin': 'Wants spin',
  'rule.wants spin.why': 'Monofilament and thin strings bite most.',
  'rule.shaped string': 'A shaped string',
  'rule.shaped string.why':
    'Angular and textured strings are for bite, not for life; they help a spin technique that is there.',
  'rule.upper end': 'Room upwards',
  'rule.upper end.why':
    'A multifilament or natural gut may go to the upper end of the printed range; monofilament stays low.',
  'rule.thick mains': 'Thick mains, thin crosses',
  'rule.thick mains.why':
    'Thicker mains with thinner crosses of one string firm the bed and lengthen its life at the same tension.',
  'rule.wants life': 'Wants it to last',
  'rule.wants life.why':
    'Thicker lasts, monofilament lasts longest, and a lower tension saves the string.',
  'rule.breaks strings': 'Breaks them in weeks or days',
  'rule.breaks strings.why':
    'Monofilament is the hardest to break, then a hybrid with it in the mains; thicker helps all of them.',
  'rule.never breaks': 'Never breaks one',
  'rule.never breaks.why':
    'Who breaks none need not pay for thickness with feel; theirs go dead unbroken, so a date matters more.',
  'rule.asks for a family': 'Asks for it by name',
  'rule.asks for a family.why': 'What a client asks for is where their trust is.',
  'rule.small budget': 'Small budget',
  'rule.small budget.why': 'Synthetic gut costs least; natural gut several times as much.',
  'rule.price of gut': 'The price of natural gut',
  'rule.price of gut.why': 'Few pay for natural gut unasked.',
  'rule.arm trouble': 'Arm trouble',
  'rule.arm trouble.why':
    'A soft string and a lower tension, more so while it is sore: never a firm string at a high tension.',
  'rule.thin for a sore arm': 'Thin for a sore arm',
  'rule.thin for a sore arm.why': 'For a sore arm thinner and softer beats thicker.',
  'rule.aramid': 'Aramid',
  'rule.aramid.why': 'Aramid is very stiff; almost nobody strings it now, and no arm should.',
  'rule.bed for an arm': 'When an arm has been sore',
  'rule.bed for an arm.why':
    'A string that has gone dead asks for more effort, which is how arms get hurt: restring before it is.',
  'rule.altitude': 'Altitude',
  'rule.altitude.why':
    'Thin air slows the ball less: 1 kg more at 2000 m. Coming down again it may stay as it is.',
  'rule.gut and damp': 'Natural gut hates damp',
  'rule.gut and damp.why': 'Natural gut swells and frays in the wet.',
  'rule.winter': 'Winter season',
  'rule.winter.why': 'Slightly lower than in summer, indoors and out.',
  'rule.it hurts': 'It hurts to play with',
  'rule.it hurts.why': 'The family first, then thickness, then tension: half a kilogram down.',
  'rule.it hurts, and was soft': 'It hurts, and the string is soft already',
  'rule.it hurts, and was soft.why':
    'The string is soft already, so the tension goes: half a kilogram more, 1 kg in all.',
  'rule.strung above its advice': 'It was strung above its advice',
  'rule.strung above its advice.why':
    'It was strung firmer than advised, and this is what that does: what was added comes off first.',
  'rule.built-up grip': 'Bigger grip',
  'rule.built-up grip.why':
    'A bigger grip takes less squeeze and is kinder to an elbow; the string need not do all of it.',
  'rule.smaller grip': 'Smaller grip',
  'rule.smaller grip.why':
    'A smaller grip frees the wrist for spin and twists more off centre, which a soft string eases.',
  'rule.lead at the head': 'Lead at the head',
  'rule.lead at the head.why':
    'Weight at the head brings power and makes it head-heavy: see whether the ball still stays in before going lower.',
  'rule.another racket': '20 g of lead or more',
  'rule.another racket.why':
    'With 20 g or more it is another racket: an old tension says little about it.',
  'rule.first long racket': 'Heavy racket for a child',
  'rule.first long racket.why':
    'A child that leaves 26-inch rackets wants about {grams} g and 100 in², by size and strength; no string makes up for a racket that is too heavy.',
  'rule.as often as a week': 'As many times a year as plays a week',
  'rule.as often as a week.why':
    'An old rule from nylon days: as many new strings a year as plays a week, and at least two, before the warm and before the cold season.',
  'rule.monofilament every month': 'On court three times a week or more',
  'rule.monofilament every month.why':
    'With monofilament that is a new bed every month, at most every two: it plays dead long before it breaks.',
  'rule.a fresh one in the bag': 'Performance player',
  'rule.a fresh one in the bag.why':
    'Performance players restring when it breaks and keep a fresh racket in the bag.',
  'rule.monofilament': 'Monofilament lower',
  'rule.monofilament.why':
    'Monofilament is stiff: it takes 5 to 10 % less than a soft string for a like feel.',
  'rule.hybrid': 'Monofilament beside a soft string',
  'rule.hybrid.why':
    'The soft string is pulled 10 % above the monofilament, whichever way round: 45 beside 50 lb.',
  'rule.crosses end lower': 'Crosses end below their figure',
  'rule.crosses end lower.why':
    'The weave and the hoop take from the crosses what they are set to: pulled a kilogram higher they end nearer to the ticket. How stiff hoops are is from memory, unless calipers measured this one.',
  'rule.machine': 'Another kind of machine',
  'rule.machine.why':
    'A lock-out settles lower than a constant pull at the same figure, so the figure is translated and the bed stays the same.',
  'rule.hot': 'Heat',
  'rule.hot.why': 'Heat makes ball and string livelier: slightly up.',
  'rule.cold': 'Cold',
  'rule.cold.why': 'In the cold ball and string are dull: slightly down.',
  'rule.damp': 'Damp',
  'rule.damp.why': 'A damp ball is heavy: slightly down.',
  'rule.left before': 'They would not take it again',
  'rule.left before.why':
    'What somebody had and left is offered last, whatever else speaks for it.',
  'rule.launched': 'It launched',
  'rule.launched.why': 'The ball flew: 1 kg up, and see again after a few sessions.',
  'rule.was boardy': 'It was boardy',
  'rule.was boardy.why':
    'Hard and without give: 1.5 kg down, the middle of 1 to 2 kg, or a softer string.',
  'rule.broke early': 'It broke early',
  'rule.broke early.why': 'A thicker string, a tougher family, or monofilament in the mains alone.',
  'rule.went dead': 'It went dead unbroken',
  'rule.went dead.why':
    'Sooner next time, or a family that holds its tension: a string is often dead long before it breaks.',
  'rule.strings slide': 'The strings slide',
  'rule.strings slide.why':
    'Strings that stay out of place are worn, or too soft for the swing: smooth monofilament crosses let the mains snap back.',
  'rule.crosses': 'Crosses against mains',
  'rule.crosses.tennis.why': 'How crosses stand to mains is the custom of the house.',
  'rule.crosses.badminton.why': 'The mains widen the head; tighter crosses bring its shape back.',
  'rule.crosses.squash.why':
    'Short crosses feel tight at the same figure, so this house takes them lower.',
  'tension.above the range':
    "{strings} at {typed} are above the printed maximum of {limit}. String it so only with the owner's written word; the maker's instructions come first.",
  'tension.below the range':
    '{strings} at {typed} are below the printed range, which starts at {limit}.',
  'tension.tight monofilament':
    '{strings}: monofilament is not pulled above {most}; it loses its play and is hard on the arm.',
  'conflict.above the maximum':
    'They ask for {asked}, and the throat allows {most}. The frame decides; more only with the owner’s written word.',
  'conflict.tight monofilament':
    'They ask for monofilament at {asked}: it is not pulled above 27 kg, where it is hard on the arm and loses its play.',
  'conflict.very loose':
    'They ask for {asked}. So low is seen with a few professionals; at a counter hardly ever. It stays as they ask: the bed may throw the ball about, and the weave may move. Let them try it and come back.',
  'conflict.junior and gut':
    'A junior and natural gut: the price goes first, and a thin one breaks within days. Synthetic gut, not thin, until the swing is grown.',
  'conflict.junior and monofilament':
    'A junior asks for monofilament: it is not for a growing arm. Bite can come from a thin soft string.',
  'conflict.arm and monofilament':
    'They ask for monofilament, and the {arm} {when, select, now {is sore} other {was sore}}. The arm decides: soft strings stand first; should they insist, monofilament in half of the bed, thin, and low.',
  'conflict.arm and the last string':
    'Monofilament was in it, and the {arm} {when, select, now {is sore} other {was sore}}. Change the family before the tension.',
  'conflict.stiff frame and arm':
    'A stiff frame and a sore {arm}: some go up on a stiff frame for control, but here the arm decides, and the bed goes down.',
  'conflict.arm and control':
    'They want control, which is more tension, and the arm is sore: the tension goes down, and control has to come from the swing for a while.',
  'conflict.power and control':
    'They want power and control: tension gives one at the cost of the other, so it stays where it is. Ask which comes first.',
  'conflict.comfort and control':
    'They want comfort and control: tension stays, and the string must do it. A soft string for comfort, or a hybrid between the two.',
  'conflict.launches and boardy':
    'It launched and it was boardy: one asks for more tension, the other for less. Ask which of the two was worse; a tired string can be both.',
  'conflict.gut on a small budget':
    'Natural gut on a small budget: half of it, in the mains of a hybrid, keeps most of its feel.',
  'conflict.gut in the damp':
    'Natural gut and damp courts: it swells and frays. Keep it dry, or choose another.',
  'conflict.spin with a slow swing':
    'They want spin with a slow swing: a shaped or thin string helps a technique, it does not make one.',
} as const;
