/** What a job keeps of the advice it was made with, whatever the house rules become. */
import type { Mm } from '../measure/quantities';
import { z } from 'zod';
import { keptHouseSchema } from '../house/house-rules';
import { talkSchema } from './talk';
import type { TicketTension } from '../measure/units';
import { outlook, reasonsFor, spokenAgainst } from './advise';
import type { AdviceCase, Strung } from './rule';
import type { ShelfString } from './shelf';
import { climb, type Step } from './staircase';
import type { Switched } from './small-steps';
import { isOverPrint } from './tension';
import { letterForClient, letterWords } from './words';

const pullsSchema = z.object({ mainN: z.number(), crossN: z.number() });

export const adviceRecordSchema = z.object({
  talk: talkSchema,
  house: keptHouseSchema,
  /** What the advice came to, N, rounded as a ticket is; what was pulled may differ. */
  advised: pullsSchema,
  steps: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      why: z.string(),
      state: z.enum(['in', 'off', 'offered', 'yields', 'already in']),
      by: pullsSchema,
    }),
  ),
  switched: z.record(z.string(), z.boolean()),
  /** What safety or an arm said against the bed that was chosen all the same. */
  against: z.array(z.object({ id: z.string(), title: z.string(), why: z.string() })).default([]),
  /** The stringer's own word for it. */
  ownWord: z.string().default(''),
  /** The owner's word for more than the printed maximum; empty where it is not pulled over. */
  overPrint: z.string().default(''),
  /** What the client was told. */
  words: z.string(),
  /** The same in its parts; null for a job of before they were kept apart. */
  letter: z
    .object({
      wentIn: z.string(),
      whyString: z.string().nullable(),
      whyTension: z.string().nullable(),
      expect: z.string().nullable(),
      lasts: z.string(),
      care: z.string().nullable(),
    })
    .nullable()
    .default(null),
});

export type AdviceRecord = z.infer<typeof adviceRecordSchema>;

/** The steps of a staircase as a record keeps them. */
const recordedSteps = (steps: readonly Step[]): AdviceRecord['steps'] =>
  steps.map(({ id, title, why, state, by }) => ({
    id,
    title,
    why,
    state: state.is,
    by: { ...by },
  }));

interface ChosenString {
  readonly string: ShelfString;
  readonly gaugeMm: Mm;
}

export interface ChosenBed {
  readonly mains: ChosenString;
  readonly crosses: ChosenString;
}

/**
 * What rules see of two strings off the shelf.
 *
 * @example
 * strungFrom({ mains: { string: { family: 'multifilament', shape: 'round' }, gaugeMm: 1.3 }, crosses: { string: { family: 'multifilament', shape: 'round' }, gaugeMm: 1.3 } }).mains.gaugeMm // 1.3
 */
export const strungFrom = ({ mains, crosses }: ChosenBed): Strung => {
  const of = ({ string, gaugeMm }: ChosenString) => ({
    family: string.family,
    shape: string.shape,
    gaugeMm,
  });
  return { mains: of(mains), crosses: of(crosses) };
};

/**
 * The advice on a bed that was chosen, at the figures that will be pulled, as a job keeps it.
 *
 * @example
 * recordAdvice(usual.about, { mains: { string: { name: 'S', family: 'monofilament', shape: 'round' }, gaugeMm: 1.25 }, crosses: { string: { name: 'S', family: 'monofilament', shape: 'round' }, gaugeMm: 1.25 } }, usual.tension, {}, 'as always').ownWord // 'as always'
 */
export function recordAdvice(
  about: AdviceCase,
  bed: ChosenBed,
  ticket: TicketTension,
  switched: Switched,
  ownWord = '',
  overPrint = '',
): AdviceRecord {
  const strung = strungFrom(bed);
  const staircase = climb(about, strung, ticket.unit, switched);
  const { changes, hours } = outlook(about, bed, strung, { ...staircase, exact: ticket }, 0);
  const reasons = reasonsFor(strung, about);
  const named = ({ string, gaugeMm }: ChosenString) => ({
    name: string.name,
    family: string.family,
    gaugeMm,
  });
  const letter = letterForClient({
    about,
    mains: named(bed.mains),
    crosses: named(bed.crosses),
    ticket,
    steps: staircase.steps,
    reasons,
    changes,
    hours,
  });
  return {
    talk: about.talk,
    house: about.house,
    advised: { mainN: staircase.ticket.mainN, crossN: staircase.ticket.crossN },
    steps: recordedSteps(staircase.steps),
    switched: { ...switched },
    against: spokenAgainst(reasons).map(({ id, title, why }) => ({ id, title, why })),
    ownWord,
    overPrint: isOverPrint(about.spec, ticket) ? overPrint : '',
    words: letterWords(letter),
    letter,
  };
}
