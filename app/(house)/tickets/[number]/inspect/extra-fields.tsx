'use client';

import { useWatch } from 'react-hook-form';
import type { ExtraKind } from '@/core/counter/extra-work';
import { formatMoney, moneyFigure, parseMoney } from '@/core/measure/money';
import { TextField } from '@/ui/form/field';
import type { KeptForm } from '@/ui/form/use-kept-form';
import type { InspectEntry } from './inspect-entry';

export interface PriceList {
  readonly currency: string;
  readonly locale: string;
  readonly items: readonly {
    readonly name: string;
    readonly kind: ExtraKind;
    readonly unitMinor: number;
    readonly taxBp: number;
  }[];
  readonly usualTaxBp: number;
}

/** Work beside the stringing: off the price list with a press, or written; and the client's yes. */
export function ExtraFields({
  form,
  priceList: { currency, locale, items, usualTaxBp },
}: {
  readonly form: KeptForm<InspectEntry>;
  readonly priceList: PriceList;
}) {
  const { control, formState } = form;
  const lines = useWatch({ control, name: 'lines' });
  const setLines = (next: InspectEntry['lines']) => form.set({ lines: next });
  const sum = lines.reduce<number | undefined>((all, { quantity, unit }) => {
    const read = parseMoney(currency)(unit);
    return all === undefined || !read.ok ? undefined : all + Number(quantity || 0) * read.value;
  }, 0);
  return (
    <section aria-label="Extra work" className="flex flex-col gap-3">
      <h2 className="figure text-2xl">Extra work</h2>
      <p className="flex flex-wrap gap-x-4 gap-y-1">
        {items.map((item) => (
          <button
            key={item.name}
            type="button"
            className="underline"
            onClick={() =>
              setLines([
                ...lines,
                {
                  kind: item.kind,
                  name: item.name,
                  quantity: '1',
                  unit: moneyFigure(item.unitMinor, currency),
                  taxBp: item.taxBp,
                },
              ])
            }
          >
            {item.name}{' '}
            <span className="figure">{formatMoney(item.unitMinor, currency, locale)}</span>
          </button>
        ))}
        <button
          type="button"
          className="underline"
          onClick={() =>
            setLines([
              ...lines,
              { kind: 'other', name: '', quantity: '1', unit: '', taxBp: usualTaxBp },
            ])
          }
        >
          something else
        </button>
      </p>
      {lines.map((_, i) => {
        const wrong = formState.errors.lines?.[i];
        return (
          <div key={i} className="grid grid-cols-[1fr_3.5rem_5.5rem_auto] items-end gap-3">
            <TextField
              label={`Work ${i + 1}`}
              {...form.field(`lines.${i}.name`)}
              problem={wrong?.name?.message}
            />
            <TextField
              figure
              label="How many"
              {...form.field(`lines.${i}.quantity`)}
              problem={wrong?.quantity?.message}
            />
            <TextField
              figure
              label={`Each (${currency})`}
              {...form.field(`lines.${i}.unit`)}
              problem={wrong?.unit?.message}
            />
            <button
              type="button"
              className="pb-2 underline"
              onClick={() => setLines(lines.filter((__, k) => k !== i))}
            >
              Take off
            </button>
          </div>
        );
      })}
      {lines.length > 0 && (
        <>
          <p className="flex items-baseline gap-3">
            <span className="label">together</span>
            <span className="figure text-2xl">
              {sum === undefined ? '–' : formatMoney(sum, currency, locale)}
            </span>
          </p>
          <TextField
            label="How they said yes"
            hint="At the counter, on the telephone, in a message. Empty until they have; the job cannot be handed over before."
            {...form.field('how')}
          />
        </>
      )}
    </section>
  );
}
