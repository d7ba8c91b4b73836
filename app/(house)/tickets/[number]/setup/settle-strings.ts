/** What a racket is to be strung with, as somebody chose it: found, fitting its frame, with the advice it was chosen on. */
import { caseOf } from '@/core/advice/case';
import { recordAdvice, strungFrom } from '@/core/advice/record';
import type { LastJob } from '@/core/advice/rule';
import { climb } from '@/core/advice/staircase';
import { isOverPrint } from '@/core/advice/tension';
import type { Talk } from '@/core/advice/talk';
import type { Bed } from '@/core/frame/bed';
import type { HouseRules } from '@/core/house/house-rules';
import { ticketEntry, type TensionUnit, type TicketTension } from '@/core/measure/units';
import type { Frame } from '@/db/frames';
import type { SetupFacts } from '@/db/tickets';
import type { Records } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { crossesEndOf } from '../load/hoop-of';
import type { ChosenStrings } from './chosen-strings';
import type { ReadStrings } from './strings-entry';

interface SettledOn {
  readonly frame: Frame;
  readonly bed: Bed;
  readonly unit: TensionUnit;
  readonly talk: Talk;
  /** The rules of the advice, and those by which the hoop is judged. */
  readonly house: HouseRules;
  readonly hoopHouse: HouseRules;
  readonly record: LastJob | undefined;
  readonly switched: Readonly<Record<string, boolean>>;
  /** Strings that may stay though the library has them no more: they lie beside the racket. */
  readonly mayStay: readonly (string | null)[];
  /** What the ticket says already. */
  readonly kept: TicketTension | undefined;
}

type Settled =
  { readonly facts: SetupFacts; readonly strings: ChosenStrings } | { readonly answer: FormAnswer };

const wrong = (field: string, problem: string): Settled => ({
  answer: { ok: false, problems: { [field]: problem } },
});

/** The figures of a ticket where they stand in the field as it shows them: in their own unit, to the last digit. */
const asItStood = (typed: string, tension: TicketTension | undefined): TicketTension | undefined =>
  tension && typed.trim() === ticketEntry(tension) ? tension : undefined;

/** The columns of a ticket for strings that were read, or the sentence at the field that does not hold. */
export async function settleStrings(
  { strings }: Pick<Records, 'strings'>,
  on: SettledOn,
  read: ReadStrings,
  typedTension: string,
): Promise<Settled> {
  const { frame, unit, house, switched } = on;
  const found = [];
  for (const [field, { id, gaugeMm, supplied }] of [
    ['mainStringId', read.mains],
    ['crossStringId', read.crosses],
  ] as const) {
    const string = await strings.get(id);
    if (!string || (string.removedAt && !on.mayStay.includes(id)))
      return wrong(
        field,
        'This string was removed from the library in another tab. Choose another.',
      );
    if (string.sport !== frame.sport)
      return wrong(
        field,
        `${string.name} is a ${string.sport} string and the racket is for ${frame.sport}.`,
      );
    found.push({ string, gaugeMm, supplied });
  }
  const [mains, crosses] = found;
  if (!mains || !crosses) return wrong('mainStringId', 'Choose the strings again.');
  const about = caseOf({
    bed: on.bed,
    talk: on.talk,
    house,
    record: on.record,
    crossesEnd: crossesEndOf(frame.spec, frame.hoopFactor, on.hoopHouse),
  });
  const bed = { mains, crosses };
  const tension =
    asItStood(typedTension, on.kept) ??
    read.tension ??
    climb(about, strungFrom(bed), unit, switched).ticket;
  const advice = recordAdvice(about, bed, tension, switched, read.ownWord, read.overPrint);
  if (advice.against.length > 0 && read.ownWord === '')
    return wrong(
      'ownWord',
      'This bed is not advised. Write why it is strung so all the same, in a few words: it goes on record.',
    );
  if (isOverPrint(frame.spec, tension) && read.overPrint === '')
    return wrong(
      'overPrint',
      'This is more than the frame prints. Write how and when its owner said that they want it all the same, or pull less.',
    );
  return {
    strings: bed,
    facts: {
      mainStringId: read.mains.id,
      mainGaugeMm: read.mains.gaugeMm,
      mainSupplied: read.mains.supplied,
      crossStringId: read.crosses.id,
      crossGaugeMm: read.crosses.gaugeMm,
      crossSupplied: read.crosses.supplied,
      mainN: tension.mainN,
      crossN: tension.crossN,
      tensionUnit: tension.unit,
      advice,
    },
  };
}
