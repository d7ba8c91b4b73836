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

/** As its fields show them. */
interface LengthAndPrice {
  readonly length: string;
  readonly price: string;
}

interface BoughtFormProps {
  readonly currency: string;
  /** A string in a gauge, with what a set and a reel of it are. */
  readonly stock: readonly {
    readonly value: string;
    readonly text: string;
    readonly set: LengthAndPrice;
    readonly reel?: LengthAndPrice;
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
  /** What the library knows of it stands there; what nobody knows is asked. */
  const fill = (value: string, kind: BoughtEntry['kind']) => {
    const picked = stock.find((each) => each.value === value);
    if (!picked || (kind !== 'set' && kind !== 'reel')) return;
    const { length, price } = picked[kind] ?? { length: '', price: '' };
    form.setValue('length', length);
    form.setValue('price', price);
  };
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
            fill(event.target.value, form.getValues('kind'));
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
        onChosen={(kind) => fill(form.getValues('stock'), kind)}
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
