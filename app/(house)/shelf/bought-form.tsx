'use client';

import { useMemo } from 'react';
import { STOCK_KINDS } from '@/core/shelf/cutting';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { boughtSchema, NOTHING_BOUGHT, type BoughtEntry } from './shelf-entry';

interface BoughtFormProps {
  readonly currency: string;
  /** A string in a gauge, with what a set of it is. */
  readonly stock: readonly {
    readonly value: string;
    readonly text: string;
    readonly setM: string;
    readonly price: string;
  }[];
  readonly save: (entry: BoughtEntry) => Promise<FormAnswer>;
}

/** What was bought and lies on the shelf from now on. */
export function BoughtForm({ currency, stock, save }: BoughtFormProps) {
  const schema = useMemo(() => boughtSchema(currency), [currency]);
  const form = useKeptForm<BoughtEntry>({
    name: 'shelf bought',
    schema,
    initial: NOTHING_BOUGHT,
    save,
    saved: () => say('It lies on the shelf.'),
  });
  const { problem, ...chosen } = form.field('stock');
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-x-5 gap-y-4">
      <label className="col-span-2">
        <span className="label block">String</span>
        <select
          {...chosen}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? 'stock-problem' : undefined}
          onChange={(event) => {
            void chosen.onChange(event);
            const picked = stock.find(({ value }) => value === event.target.value);
            if (!picked) return;
            form.setValue('length', picked.setM);
            form.setValue('price', picked.price);
          }}
          className="border-edge bg-sheet w-full border-b-2 px-2 py-1.5"
        >
          <option value="">choose</option>
          {stock.map(({ value, text }) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
        {problem && (
          <span id="stock-problem" role="alert" className="text-warn block font-medium">
            {problem}
          </span>
        )}
      </label>
      <ChoiceField
        control={form.control}
        name="kind"
        label="What it is"
        className="col-span-2"
        options={STOCK_KINDS.map((value) => ({ value, text: value }))}
      />
      <TextField figure label="How many" {...form.field('count')} />
      <TextField label="Length of each (m)" {...form.field('length')} />
      <TextField figure label={`Price of each (${currency})`} {...form.field('price')} />
      <TextField label="Bought from" {...form.field('supplier')} />
      <TextField label="Where it lies" className="col-span-2" {...form.field('place')} />
      <div className="col-span-2">
        <FormFoot form={form} action="Put it on the shelf" onlySaves />
      </div>
    </KeptForm>
  );
}
