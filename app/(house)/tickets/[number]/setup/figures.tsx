'use client';

import type { ReactNode } from 'react';
import { differenceWords, hardlyFelt } from '@/core/advice/words';
import type { LastJob } from '@/core/advice/rule';
import { schoolWords, type HouseRules } from '@/core/house/house-rules';
import type { Result } from '@/core/terms/result';
import { knotPull } from '@/core/advice/tension';
import {
  formatTension,
  formatTicket,
  formatTicketConverted,
  type TicketTension,
} from '@/core/measure/units';
import type { KeptForm } from '@/ui/form/use-kept-form';
import type { SetupEntry } from './setup-entry';

interface FiguresProps {
  readonly form: KeptForm<SetupEntry>;
  readonly advised: TicketTension;
  /** What was typed over the advice, when it can be read. */
  readonly typed: Result<TicketTension> | undefined;
  /** What the ticket says now; the advice may have moved on since. */
  readonly kept: TicketTension | undefined;
  readonly last: LastJob | undefined;
  readonly house: HouseRules;
  /** What is pressed when it is right; it stays in sight. */
  readonly children: ReactNode;
}

/** The figures that will be pulled, in both units. Typing over them wins; an empty box follows the advice. */
export function Figures({ form, advised, typed, kept, last, house, children }: FiguresProps) {
  const { problem, ...input } = form.field('tension');
  const pulled = typed === undefined ? advised : typed.ok ? typed.value : undefined;
  const apart = pulled && differenceWords(pulled, advised);
  const felt = pulled && hardlyFelt(pulled, last);
  return (
    <section
      aria-label="Tension"
      className="bg-paper border-hair z-5 grid gap-x-6 border-b pb-2 sm:grid-cols-[18rem_1fr_auto] lg:sticky lg:top-20"
    >
      <div>
        <label className="label block" htmlFor="tension">
          Tension, mains/crosses
        </label>
        <input
          id="tension"
          autoComplete="off"
          placeholder={formatTicket(advised)}
          aria-invalid={problem !== undefined}
          aria-describedby="tension-understood"
          className="figure border-edge bg-sheet placeholder:text-ink aria-invalid:border-warn w-full border-0 border-b-2 px-2 text-5xl leading-tight"
          {...input}
        />
      </div>
      <div className="self-end">
        <p id="tension-understood" role={problem ? 'alert' : undefined}>
          {problem ? (
            <span className="text-warn text-sm font-medium">{problem}</span>
          ) : (
            pulled && (
              <>
                {formatTicket(pulled)}{' '}
                <span className="text-soft">· {formatTicketConverted(pulled)} ·</span>{' '}
                {typed === undefined ? 'as advised' : (apart ?? 'as advised')}
              </>
            )
          )}
        </p>
        {pulled && (
          <p className="label">
            Knot pulls, {schoolWords(house, 'knotPull')}: mains{' '}
            {formatTension(knotPull(pulled.mainN, pulled.unit, house.knotPull), pulled.unit)},
            crosses{' '}
            {formatTension(knotPull(pulled.crossN, pulled.unit, house.knotPull), pulled.unit)}.
            {felt && ` ${felt}`}
          </p>
        )}
        {pulled && kept && differenceWords(pulled, kept) !== undefined && (
          <p className="text-sm">The ticket says {formatTicket(kept)} until this is saved.</p>
        )}
        {typed !== undefined && (
          <button
            type="button"
            className="text-sm underline"
            onClick={() =>
              form.setValue('tension', '', { shouldDirty: true, shouldValidate: true })
            }
          >
            Back to the advice, {formatTicket(advised)}
          </button>
        )}
      </div>
      <div className="self-end">{children}</div>
    </section>
  );
}
