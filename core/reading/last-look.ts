/** The last look at a bed of one's own, while the mounts still hold it: what was mended, what was left, and what it teaches. */
import { z } from 'zod';
import { message, type Message } from '../terms/words/english';

export const LOOKS = ['straight', 'gaps', 'weave', 'knots', 'runs', 'marks'] as const;
export type Look = (typeof LOOKS)[number];
/** It was good at once, it was mended before the mounts were opened, or it was left. */
export const LOOKED = ['good', 'mended', 'left'] as const;

const looked = z.enum(LOOKED);
export const lastLookSchema = z.object({
  straight: looked,
  gaps: looked,
  weave: looked,
  knots: looked,
  runs: looked,
  marks: looked,
  /** Pitch of the bed on the machine, Hz. */
  hz: z.number().min(100).max(3000).nullable(),
});
export type LastLook = z.infer<typeof lastLookSchema>;

export const ALL_GOOD: LastLook = {
  straight: 'good',
  gaps: 'good',
  weave: 'good',
  knots: 'good',
  runs: 'good',
  marks: 'good',
  hz: null,
};

/** Looks that teach, the latest first. */
const TAUGHT_BY = 20;
/** As often as that, it is said before the next job. */
const LEAST = 2;

export interface Lesson {
  readonly look: Look;
  /** How many of the last jobs it was not good at once in. */
  readonly times: number;
  readonly of: number;
}

/**
 * What was not good at once in several of the last jobs, the most frequent first.
 *
 * @param looks of the last jobs, the latest first
 *
 * @example
 * lessons([{ ...{ straight: 'good', gaps: 'good', weave: 'mended', knots: 'good', runs: 'good', marks: 'good', hz: null } }]) // []
 */
export function lessons(looks: readonly LastLook[]): readonly Lesson[] {
  const latest = looks.slice(0, TAUGHT_BY);
  return LOOKS.map((look) => ({
    look,
    times: latest.filter((each) => each[look] !== 'good').length,
    of: latest.length,
  }))
    .filter(({ times }) => times >= LEAST)
    .toSorted((a, b) => b.times - a.times);
}

/**
 * A lesson in words.
 *
 * @example
 * lessonWords({ look: 'weave', times: 3, of: 10 }).key // 'lesson.weave'
 */
export const lessonWords = ({ look, times, of }: Lesson): Message =>
  message(`lesson.${look}`, { times, of });

/**
 * What was left as it is, in the order of the look.
 *
 * @example
 * leftAsItIs({ straight: 'good', gaps: 'left', weave: 'good', knots: 'good', runs: 'good', marks: 'good', hz: null }) // ['gaps']
 */
export const leftAsItIs = (look: LastLook): readonly Look[] =>
  LOOKS.filter((each) => look[each] === 'left');
