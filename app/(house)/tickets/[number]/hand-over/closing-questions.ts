import { askedBeforeClosing, type ClosingQuestion } from '@/core/record/closing';
import type { OpenTicket } from '../ticket';

/** What this ticket is asked before it is closed; with the pieces that nothing on the shelf is long enough for. */
export const closingQuestions = (
  { ticket, stepsDone, stepsInAll }: OpenTicket,
  notOnShelf: readonly string[],
): readonly ClosingQuestion[] =>
  askedBeforeClosing({
    stepsKept: stepsDone,
    stepsInAll,
    looked: ticket.lastLook !== null,
    inspection: ticket.inspection,
    extra: ticket.extra,
    notOnShelf,
  });
