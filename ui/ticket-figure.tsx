import { formatTicket, type TicketTension } from '@/core/measure/units';

/** A tension in a list, in ticket notation. */
export function TicketFigure({ tension }: { readonly tension: TicketTension }) {
  return <span className="figure text-lg whitespace-nowrap">{formatTicket(tension)}</span>;
}
