/** Wishes and facts that cannot be had together. They are said, and what decided; never averaged away. */
import { printedRange } from '../frame/frame';
import { MONOFILAMENT_MOST_N } from './tension';
import { formatTension, formatTicket } from '../measure/units';
import type { AdviceCase, Rank } from './rule';
import { LEAST_N } from './staircase';

export interface Conflict {
  readonly id: string;
  readonly sentence: string;
  /** What decided. */
  readonly decidedBy: Rank;
}

const has = (list: readonly string[], ...all: readonly string[]) =>
  all.every((each) => list.includes(each));

/** Every conflict that holds, what decides most first. */
export function conflictsOf(about: AdviceCase): readonly Conflict[] {
  const { talk, spec, last } = about;
  const { asks, asksFamily } = talk;
  const range = printedRange(spec);
  const sore = talk.arm === 'now' || talk.arm === 'before';
  const arm = talk.armPart ?? 'arm';
  const highest = asks ? Math.max(asks.mainN, asks.crossN) : 0;
  const lowest = asks ? Math.min(asks.mainN, asks.crossN) : Infinity;
  const conflicts: Conflict[] = [];
  const when = (holds: boolean, id: string, decidedBy: Rank, sentence: string) => {
    if (holds) conflicts.push({ id, decidedBy, sentence });
  };
  const asked = asks ? formatTicket(asks) : '';
  when(
    range !== undefined && highest > range.maxN + 0.01,
    'above the maximum',
    'frame limits',
    `They ask for ${asked}, and the throat allows ${formatTension(range?.maxN ?? 0, spec.tension?.unit ?? 'kg')}. The frame decides; more only with the owner’s written word.`,
  );
  when(
    asksFamily === 'monofilament' &&
      spec.sport === 'tennis' &&
      highest > MONOFILAMENT_MOST_N + 0.01,
    'tight monofilament',
    'safety',
    `They ask for monofilament at ${asked}: it is not pulled above 27 kg, where it is hard on the arm and loses its play.`,
  );
  when(
    lowest < LEAST_N[spec.sport] - 0.01,
    'very loose',
    'safety',
    `They ask for ${asked}. So low is seen with a few professionals; at a counter hardly ever. It stays as they ask: the bed may throw the ball about, and the weave may move. Let them try it and come back.`,
  );
  when(
    talk.age === 'junior' && asksFamily === 'natural gut',
    'junior and gut',
    'safety',
    'A junior and natural gut: the price goes first, and a thin one breaks within days. Synthetic gut, not thin, until the swing is grown.',
  );
  when(
    talk.age === 'junior' && asksFamily === 'monofilament',
    'junior and monofilament',
    'safety',
    'A junior asks for monofilament: it is not for a growing arm. Bite can come from a thin soft string.',
  );
  when(
    sore && asksFamily === 'monofilament',
    'arm and monofilament',
    'arm',
    `They ask for monofilament, and the ${arm} ${talk.arm === 'now' ? 'is sore' : 'was sore'}. The arm decides: soft strings stand first; should they insist, monofilament in half of the bed, thin, and low.`,
  );
  when(
    sore && !asksFamily && last?.strung?.mains.family === 'monofilament',
    'arm and the last string',
    'arm',
    `Monofilament was in it, and the ${arm} ${talk.arm === 'now' ? 'is sore' : 'was sore'}. Change the family before the tension.`,
  );
  when(
    sore && talk.racket.stiffness === 'stiff',
    'stiff frame and arm',
    'arm',
    `A stiff frame and a sore ${arm}: some go up on a stiff frame for control, but here the arm decides, and the bed goes down.`,
  );
  when(
    talk.arm === 'now' && talk.wants.includes('control'),
    'arm and control',
    'arm',
    'They want control, which is more tension, and the arm is sore: the tension goes down, and control has to come from the swing for a while.',
  );
  when(
    has(talk.wants, 'power', 'control'),
    'power and control',
    'wish',
    'They want power and control: tension gives one at the cost of the other, so it stays where it is. Ask which comes first.',
  );
  when(
    has(talk.wants, 'comfort', 'control') && talk.arm !== 'now',
    'comfort and control',
    'wish',
    'They want comfort and control: tension stays, and the string must do it. A soft string for comfort, or a hybrid between the two.',
  );
  when(
    has(talk.faults, 'launches', 'boardy'),
    'launches and boardy',
    'wish',
    'It launched and it was boardy: one asks for more tension, the other for less. Ask which of the two was worse; a tired string can be both.',
  );
  when(
    talk.budget === 'low' && asksFamily === 'natural gut',
    'gut on a small budget',
    'wish',
    'Natural gut on a small budget: half of it, in the mains of a hybrid, keeps most of its feel.',
  );
  when(
    talk.weather === 'damp' && asksFamily === 'natural gut',
    'gut in the damp',
    'default',
    'Natural gut and damp courts: it swells and frays. Keep it dry, or choose another.',
  );
  when(
    talk.wants.includes('spin') && talk.swing === 'slow',
    'spin with a slow swing',
    'default',
    'They want spin with a slow swing: a shaped or thin string helps a technique, it does not make one.',
  );
  return conflicts;
}
