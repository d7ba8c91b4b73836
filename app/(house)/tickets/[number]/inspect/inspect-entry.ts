import { z } from 'zod';
import {
  BREAKS,
  FLAWS,
  GROMMET_STATES,
  NOTCHES,
  WEAR,
  type Inspection,
} from '@/core/counter/inspection';
import { EXTRA_KINDS, type ExtraLine, type ExtraWork } from '@/core/counter/extra-work';
import { moneyFigure, parseMoney } from '@/core/measure/money';
import { lineText, nameText, noteText, typed, textIn } from '@/core/measure/typed';
import { failure, success } from '@/core/terms/result';

const oneOrNone = <T extends string>(options: readonly [T, ...T[]]) =>
  z.enum(options).or(z.literal(''));

const seenSchema = z.object({
  flaws: z.array(z.enum(FLAWS)).max(FLAWS.length),
  where: lineText('where on the frame'),
  grommets: z
    .array(z.object({ hole: z.string().max(40), state: z.enum(GROMMET_STATES) }))
    .max(120, 'At most 120 grommets.'),
  bumper: oneOrNone(WEAR),
  grip: oneOrNone(WEAR),
  broke: oneOrNone(BREAKS),
  notches: oneOrNone(NOTCHES),
  tied: lineText('how it was tied'),
  /** What the owner of a cracked racket wrote. */
  word: noteText,
});

function seenOf(inspection: Inspection | null): z.input<typeof seenSchema> {
  const frame = inspection?.frame ?? [];
  return {
    flaws: [...new Set(frame.map(({ what }) => what))],
    where: frame.find(({ where }) => where !== '')?.where ?? '',
    grommets: inspection?.grommets ?? [],
    bumper: inspection?.bumper ?? '',
    grip: inspection?.grip ?? '',
    broke: inspection?.oldStrings.broke ?? '',
    notches: inspection?.oldStrings.notches ?? '',
    tied: inspection?.oldStrings.tied ?? '',
    word: inspection?.ownersWord?.text ?? '',
  };
}

/** What was seen, as the ticket keeps it; a word that stood there before keeps its day and its taker. */
export function inspectionFrom(
  entry: z.output<typeof seenSchema>,
  before: Inspection | null,
  day: string,
  takenBy: string,
): Inspection {
  const known = before?.ownersWord;
  return {
    frame: entry.flaws.map((what) => ({ what, where: entry.where })),
    grommets: entry.grommets,
    bumper: entry.bumper || null,
    grip: entry.grip || null,
    oldStrings: { broke: entry.broke || null, notches: entry.notches || null, tied: entry.tied },
    ownersWord:
      entry.word === ''
        ? null
        : known?.text === entry.word
          ? known
          : { text: entry.word, day, takenBy },
  };
}

const MOST_OF_ONE = 99;
const quantity = typed((text) => {
  const read = /^\d{1,2}$/.exec(text.trim());
  const value = Number(read?.[0] ?? 0);
  return value >= 1 && value <= MOST_OF_ONE ? success(value) : failure('count.unread');
});

/** What is seen with the racket in hand, and the work beside the stringing that is agreed on it. */
export const inspectSchema = (currency: string) =>
  seenSchema.extend({
    lines: z
      .array(
        z.object({
          kind: z.enum(EXTRA_KINDS),
          name: nameText('the work a name'),
          quantity,
          unit: typed(parseMoney(currency)),
          taxBp: z.number().int().min(0).max(10_000),
        }),
      )
      .max(30, 'At most 30 lines.'),
    /** How the client said yes; empty until they have. */
    how: textIn.trim().max(400, 'Up to 400 letters.'),
  });

export type InspectEntry = z.input<ReturnType<typeof inspectSchema>>;

export const inspectEntryOf = (
  {
    inspection,
    extra,
  }: { readonly inspection: Inspection | null; readonly extra: ExtraWork | null },
  currency: string,
): InspectEntry => ({
  ...seenOf(inspection),
  lines: (extra?.lines ?? []).map(({ unitMinor, quantity: many, ...line }) => ({
    ...line,
    quantity: String(many),
    unit: moneyFigure(unitMinor, currency),
  })),
  how: extra?.agreed?.how ?? '',
});

export const extraLinesFrom = ({
  lines,
}: z.output<ReturnType<typeof inspectSchema>>): readonly ExtraLine[] =>
  lines.map(({ unit, ...line }) => ({ ...line, unitMinor: unit }));
