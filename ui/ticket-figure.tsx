import { formatTicket, type TicketTension } from '@/core/measure/units';

/** A tension in a list, in ticket notation. */
export function TicketFigure({
  tension,
  words,
}: {
  readonly tension: TicketTension;
  /** Where it was changed in the middle of the job. */
  readonly words?: string | null | undefined;
}) {
  return <span className="figure text-lg whitespace-nowrap">{words ?? formatTicket(tension)}</span>;
}
