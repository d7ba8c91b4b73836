import { Link } from '@/ui/link';
import type { FrameSpec } from '@/core/frame/frame';
import type { TensionUnit } from '@/core/measure/units';
import { TickField } from '@/ui/form/bound';
import { HistoryChart } from '@/ui/when-used';
import type { StrungBefore } from '@/ui/history-chart';
import { StaircaseView } from './staircase-view';
import type { SetupState } from './use-setup';

interface WhyFiguresProps {
  readonly setup: SetupState;
  readonly spec: FrameSpec;
  readonly number: number;
  /** There is a setup to tell the client of. */
  readonly saved: boolean;
  readonly unit: TensionUnit;
  readonly history: readonly StrungBefore[];
}

/** Step by step, what the figures rest on; what conflicts, what is worth knowing, and how it was before. */
export function WhyFigures({ setup, spec, number, saved, unit, history }: WhyFiguresProps) {
  const { form, entry, advice, staircase, strung, stringsChosen, rulesDiffer, last, pulled } =
    setup;
  const { control } = form;
  const { conflicts, tells } = advice;
  return (
    <section aria-label="Why these figures" className="min-w-0">
      <h2 className="figure text-2xl">Why these figures</h2>
      {conflicts.length > 0 && (
        <ul aria-label="Conflicts" className="mb-2 flex flex-col gap-1">
          {conflicts.map(({ id, sentence, decidedBy }) => (
            <li key={id} className="border-ink border-l-2 pl-3 text-sm">
              {sentence} <span className="label">Decided by: {decidedBy}.</span>
            </li>
          ))}
        </ul>
      )}
      {staircase && (
        <StaircaseView
          staircase={staircase}
          spec={spec}
          last={last?.tension}
          pulled={pulled}
          unit={unit}
          onSwitch={(id, on) => form.set({ switched: { ...entry.switched, [id]: on } })}
        />
      )}
      {!stringsChosen && strung && (
        <p className="label">For the first setup, until strings are chosen.</p>
      )}
      {tells.length > 0 && (
        <ul aria-label="Worth knowing" className="mt-2 text-sm">
          {tells.map(({ id, title, why }) => (
            <li key={id}>
              <span className="font-medium">{title}.</span> {why}
            </li>
          ))}
        </ul>
      )}
      {rulesDiffer && (
        <div className="mt-2">
          <p className="label">
            This job keeps the house rules it was begun with; they were changed since.
          </p>
          <TickField control={control} name="todaysRules" label="Use the house rules of today" />
        </div>
      )}
      {history.length > 0 && <HistoryChart jobs={history} unit={unit} className="mt-4" />}
      <p className="mt-2 flex flex-wrap gap-x-5 text-sm">
        <Link href={`/same-feel?ticket=${number}`} className="underline">
          Same feel on another racket
        </Link>
        <Link href="/workshop/house-rules" className="underline">
          House rules
        </Link>
        {saved && (
          <Link href={`/why/${number}`} className="underline">
            Words for the client
          </Link>
        )}
      </p>
    </section>
  );
}
