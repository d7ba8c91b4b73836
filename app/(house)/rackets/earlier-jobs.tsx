import { formatMoney } from '@/core/measure/money';
import { formatDay } from '@/core/measure/promised-time';
import type { BroughtJob } from '@/db/brought';
import { Table } from '@/ui/list-page';
import { TicketFigure } from '@/ui/ticket-figure';

/** What was done on a racket before this record began, as it was brought in. */
export function EarlierJobs({
  jobs,
  locale,
}: {
  readonly jobs: readonly BroughtJob[];
  readonly locale: string;
}) {
  return (
    <section id="before" aria-labelledby="before-title" className="mt-8">
      <h2 id="before-title" className="figure mb-2 text-2xl">
        Before this record
      </h2>
      <Table
        head={['Day', 'Tension', 'Mains', 'Crosses', 'Price', 'Notes']}
        empty="Nothing."
        rows={jobs.map(
          ({
            id,
            day,
            mainN,
            crossN,
            tensionUnit,
            mains,
            crosses,
            priceMinor,
            currency,
            notes,
          }) => ({
            key: id,
            cells: [
              formatDay(day),
              mainN !== null && crossN !== null && tensionUnit && (
                <TicketFigure key="tension" tension={{ mainN, crossN, unit: tensionUnit }} />
              ),
              mains,
              crosses,
              priceMinor !== null && formatMoney(priceMinor, currency, locale),
              notes,
            ],
          }),
        )}
      />
    </section>
  );
}
