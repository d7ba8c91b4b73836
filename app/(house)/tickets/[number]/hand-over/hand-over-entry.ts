import { z } from 'zod';
import { parseMoney } from '@/core/measure/money';
import { parseLength } from '@/core/measure/parsing';
import { failure, success } from '@/core/terms/result';
import { noteText, optionalTyped, typed } from '@/core/measure/typed';
import {
  EXTRA_DONE,
  GROMMETS_LEFT,
  type ClosingAnswers,
  type ClosingQuestion,
} from '@/core/record/closing';
import { lookOrNoneSchema } from '../last-look/look-entry';

/** What a tail that is left over can be at most, mm. */
const MOST_LEFT_MM = 10_000;

const leftOver = optionalTyped((text) => {
  const length = parseLength(text, 'cm');
  if (!length.ok) return length;
  return length.value > MOST_LEFT_MM ? failure('tails.too long') : success(length.value);
});

export const handOverSchema = (currency: string) =>
  z.object({
    labour: typed(parseMoney(currency)),
    string: typed(parseMoney(currency)),
    /** By piece, in the order of the plan; empty where nobody measured. */
    leftOver: z.array(leftOver).max(2),
    remarks: noteText,
    /** Whether its owner takes it now, or it waits. */
    goes: z.enum(['now', 'waits']),
    look: lookOrNoneSchema,
    noLook: z.boolean(),
    strungUnseen: z.boolean(),
    notFromShelf: z.boolean(),
    grommets: z.enum(GROMMETS_LEFT).or(z.literal('')),
    /** By line of the extra work. */
    extra: z.array(z.enum(EXTRA_DONE).or(z.literal(''))).max(30),
  });

export type HandOverEntry = z.input<ReturnType<typeof handOverSchema>>;

export const answersOf = ({
  look,
  noLook,
  strungUnseen,
  notFromShelf,
  grommets,
  extra,
}: z.output<ReturnType<typeof handOverSchema>>): ClosingAnswers => ({
  look: look !== null,
  noLook,
  strungUnseen,
  notFromShelf,
  grommets,
  extra,
});

/** At which field a question is answered, and the sentence that asks for it. */
export function asked(question: ClosingQuestion): readonly [field: string, sentence: string] {
  switch (question.is) {
    case 'steps':
      return ['strungUnseen', 'Say first whether it is strung to the last knot.'];
    case 'stock':
      return ['notFromShelf', 'Say first where its string came from.'];
    case 'look':
      return ['noLook', 'Take the last look, or say that it is handed over without one.'];
    case 'grommets':
      return ['grommets', 'Say first what became of the grommets.'];
    case 'extra':
      return [`extra.${question.line}`, `Say first whether this is done: ${question.name}.`];
  }
}
