/** What is asked once before a job is closed, so that none is closed by one press with something undone. */
import { z } from 'zod';
import type { ExtraLine, ExtraWork } from '../counter/extra-work';
import type { Inspection } from '../counter/inspection';

export const GROMMETS_LEFT = ['replaced', 'left'] as const;
export const EXTRA_DONE = ['done', 'not done'] as const;

/** What was answered, as the record keeps it; null where nothing was asked. */
export const closingSchema = z.object({
  /** Steps at the bench were not kept, and somebody said that it is strung to the last knot. */
  strungUnseen: z.boolean(),
  /** What became of the grommets that were found split, sunken or missing. */
  grommets: z.enum(GROMMETS_LEFT).nullable(),
  /** Extra work that was agreed and is not done: it is not billed. */
  notDone: z.array(z.string()),
  /** Pieces that no length of the shelf was cut for, and somebody said that their string came from elsewhere. */
  notFromShelf: z.array(z.string()).default([]),
});
export type Closing = z.infer<typeof closingSchema>;

export type ClosingQuestion =
  /** Of how many steps how many were kept; `of` is undefined where the bench was never opened. */
  | { readonly is: 'steps'; readonly kept: number; readonly of: number | undefined }
  | { readonly is: 'look' }
  /** Pieces of which the house's shelf has no length, nor a movement. */
  | { readonly is: 'stock'; readonly pieces: readonly string[] }
  | { readonly is: 'grommets'; readonly holes: readonly string[] }
  | { readonly is: 'extra'; readonly line: number; readonly name: string };

interface BeforeClosing {
  readonly stepsKept: number;
  readonly stepsInAll: number | undefined;
  /** A last look was taken. */
  readonly looked: boolean;
  readonly inspection: Inspection | null;
  readonly extra: ExtraWork | null;
  /** Pieces that nothing on the shelf is long enough for; none where no shelf is kept. */
  readonly notOnShelf: readonly string[];
}

/**
 * What has to be answered before this job is closed, in the order of the work.
 *
 * Source: common practice, no source.
 *
 * @example
 * askedBeforeClosing({ stepsKept: 60, stepsInAll: 60, looked: false, inspection: null, extra: null, notOnShelf: [] }) // [{ is: 'look' }]
 */
export function askedBeforeClosing({
  stepsKept,
  stepsInAll,
  looked,
  inspection,
  extra,
  notOnShelf,
}: BeforeClosing): readonly ClosingQuestion[] {
  const isWhole = stepsInAll !== undefined && stepsKept >= stepsInAll;
  const holes = (inspection?.grommets ?? []).map(({ hole }) => hole);
  return [
    ...(isWhole ? [] : [{ is: 'steps' as const, kept: stepsKept, of: stepsInAll }]),
    ...(notOnShelf.length > 0 ? [{ is: 'stock' as const, pieces: notOnShelf }] : []),
    ...(looked ? [] : [{ is: 'look' as const }]),
    ...(holes.length > 0 ? [{ is: 'grommets' as const, holes }] : []),
    ...(extra?.lines ?? []).map(({ name }, line) => ({ is: 'extra' as const, line, name })),
  ];
}

export interface ClosingAnswers {
  readonly strungUnseen: boolean;
  /** It is taken with the answers; `noLook` where the job is closed without one. */
  readonly look: boolean;
  readonly noLook: boolean;
  /** The string came from elsewhere. */
  readonly notFromShelf: boolean;
  readonly grommets: (typeof GROMMETS_LEFT)[number] | '';
  /** By line of the extra work. */
  readonly extra: readonly ((typeof EXTRA_DONE)[number] | '')[];
}

/**
 * The questions that nobody has answered yet.
 *
 * @example
 * unanswered([{ is: 'look' }], { strungUnseen: false, look: false, noLook: true, notFromShelf: false, grommets: '', extra: [] }) // []
 */
export const unanswered = (
  questions: readonly ClosingQuestion[],
  answers: ClosingAnswers,
): readonly ClosingQuestion[] =>
  questions.filter((question) => {
    switch (question.is) {
      case 'steps':
        return !answers.strungUnseen;
      case 'stock':
        return !answers.notFromShelf;
      case 'look':
        return !answers.look && !answers.noLook;
      case 'grommets':
        return answers.grommets === '';
      case 'extra':
        return (answers.extra[question.line] ?? '') === '';
    }
  });

/**
 * The extra work that is billed: all lines but those that were said not to be done.
 *
 * @example
 * workDone({ lines: [], agreed: null }, []) // { lines: [], agreed: null }
 */
export const workDone = (
  extra: ExtraWork | null,
  answers: ClosingAnswers['extra'],
): ExtraWork | null =>
  extra && { ...extra, lines: extra.lines.filter((_, i) => answers[i] !== 'not done') };

/**
 * What the record keeps of the answers.
 *
 * @example
 * closingOf([], { strungUnseen: false, look: false, noLook: false, notFromShelf: false, grommets: '', extra: [] }, null).notDone // []
 */
export function closingOf(
  questions: readonly ClosingQuestion[],
  answers: ClosingAnswers,
  extra: ExtraWork | null,
): Closing {
  const lines: readonly ExtraLine[] = extra?.lines ?? [];
  return {
    strungUnseen: questions.some(({ is }) => is === 'steps') && answers.strungUnseen,
    grommets: questions.some(({ is }) => is === 'grommets') ? answers.grommets || null : null,
    notDone: lines.filter((_, i) => answers.extra[i] === 'not done').map(({ name }) => name),
    notFromShelf: questions.flatMap((question) =>
      question.is === 'stock' && answers.notFromShelf ? question.pieces : [],
    ),
  };
}
