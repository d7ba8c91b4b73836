/** Wishes and facts that cannot be had together. They are said, and what decided; never averaged away. */
import { say } from '../terms/words/english';
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
    say('conflict.above the maximum', {
      asked,
      most: formatTension(range?.maxN ?? 0, spec.tension?.unit ?? 'kg'),
    }),
  );
  when(
    asksFamily === 'monofilament' &&
      spec.sport === 'tennis' &&
      highest > MONOFILAMENT_MOST_N + 0.01,
    'tight monofilament',
    'safety',
    say('conflict.tight monofilament', { asked }),
  );
  when(
    lowest < LEAST_N[spec.sport] - 0.01,
    'very loose',
    'safety',
    say('conflict.very loose', { asked }),
  );
  when(
    talk.age === 'junior' && asksFamily === 'natural gut',
    'junior and gut',
    'safety',
    say('conflict.junior and gut'),
  );
  when(
    talk.age === 'junior' && asksFamily === 'monofilament',
    'junior and monofilament',
    'safety',
    say('conflict.junior and monofilament'),
  );
  when(
    sore && asksFamily === 'monofilament',
    'arm and monofilament',
    'arm',
    say('conflict.arm and monofilament', {
      arm,
      when: talk.arm ?? 'before',
    }),
  );
  when(
    sore && !asksFamily && last?.strung?.mains.family === 'monofilament',
    'arm and the last string',
    'arm',
    say('conflict.arm and the last string', {
      arm,
      when: talk.arm ?? 'before',
    }),
  );
  when(
    sore && talk.racket.stiffness === 'stiff',
    'stiff frame and arm',
    'arm',
    say('conflict.stiff frame and arm', { arm }),
  );
  when(
    talk.arm === 'now' && talk.wants.includes('control'),
    'arm and control',
    'arm',
    say('conflict.arm and control'),
  );
  when(
    has(talk.wants, 'power', 'control'),
    'power and control',
    'wish',
    say('conflict.power and control'),
  );
  when(
    has(talk.wants, 'comfort', 'control') && talk.arm !== 'now',
    'comfort and control',
    'wish',
    say('conflict.comfort and control'),
  );
  when(
    has(talk.faults, 'launches', 'boardy'),
    'launches and boardy',
    'wish',
    say('conflict.launches and boardy'),
  );
  when(
    talk.budget === 'low' && asksFamily === 'natural gut',
    'gut on a small budget',
    'wish',
    say('conflict.gut on a small budget'),
  );
  when(
    talk.weather === 'damp' && asksFamily === 'natural gut',
    'gut in the damp',
    'default',
    say('conflict.gut in the damp'),
  );
  when(
    talk.wants.includes('spin') && talk.swing === 'slow',
    'spin with a slow swing',
    'default',
    say('conflict.spin with a slow swing'),
  );
  return conflicts;
}
