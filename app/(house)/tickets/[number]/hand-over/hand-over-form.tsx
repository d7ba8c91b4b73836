'use client';

import { useWatch } from 'react-hook-form';
import { useMemo } from 'react';
import { ChoiceField } from '@/ui/form/bound';
import { totalsOf } from '@/core/counter/price';
import { formatMoney, parseMoney } from '@/core/measure/money';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { handOverSchema, type HandOverEntry } from './hand-over-entry';

interface HandOverFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: HandOverEntry;
  /** What the bench does not know of. */
  readonly missing: string | undefined;
  readonly currency: string;
  readonly locale: string;
  /** What is asked beside labour and string, and how the house states its prices. */
  readonly price: HousePrice;
  readonly stringHint: string;
  /** The pieces whose tails can be measured, with what was given and what the plan expects to be left. */
  readonly pieces: readonly { readonly name: string; readonly hint: string }[];
  readonly save: (entry: HandOverEntry) => Promise<FormAnswer>;
}

interface HousePrice {
  readonly extras: readonly {
    readonly text: string;
    readonly quantity: number;
    readonly unitMinor: number;
    readonly taxBp: number;
  }[];
  readonly taxIncluded: boolean;
  readonly labourTaxBp: number;
  readonly stringTaxBp: number;
}

export function HandOverForm({
  name,
  version,
  initial,
  missing,
  currency,
  locale,
  price,
  stringHint,
  pieces,
  save,
}: HandOverFormProps) {
  const schema = useMemo(() => handOverSchema(currency), [currency]);
  const form = useKeptForm<HandOverEntry>({ name, version, schema, initial, save });
  const [labour, string] = useWatch({ control: form.control, name: ['labour', 'string'] });
  const read = parseMoney(currency);
  const [labourRead, stringRead] = [read(labour), read(string)];
  const money = (minor: number) => formatMoney(minor, currency, locale);
  const totals =
    labourRead.ok && stringRead.ok
      ? totalsOf(
          [
            { quantity: 1, unitMinor: labourRead.value, taxBp: price.labourTaxBp },
            { quantity: 1, unitMinor: stringRead.value, taxBp: price.stringTaxBp },
            ...price.extras,
          ],
          price.taxIncluded,
        )
      : undefined;
  return (
    <KeptForm form={form} className="grid max-w-xl grid-cols-2 gap-5">
      <TextField figure label={`Labour (${currency})`} {...form.field('labour')} />
      <TextField
        figure
        label={`String (${currency})`}
        hint={stringHint}
        {...form.field('string')}
      />
      {price.extras.map(({ text, quantity, unitMinor }, i) => (
        <p key={i} className="col-span-2 flex justify-between">
          <span>{quantity > 1 ? `${quantity} × ${text}` : text}</span>
          <span className="figure text-xl">{money(quantity * unitMinor)}</span>
        </p>
      ))}
      <p className="border-hair col-span-2 flex items-baseline gap-4 border-t pt-3">
        <span className="label">To pay</span>
        <span className="figure text-5xl">{totals ? money(totals.grossMinor) : '–'}</span>
        {totals && totals.taxMinor > 0 && (
          <span className="label">with {money(totals.taxMinor)} tax</span>
        )}
      </p>
      {pieces.map((piece, i) => (
        <TextField
          figure
          key={piece.name}
          label={`Left over of ${piece.name}, both tails (cm)`}
          hint={piece.hint}
          {...form.field(`leftOver.${i}`)}
          problem={form.formState.errors.leftOver?.[i]?.message}
        />
      ))}
      <NoteField
        className="col-span-2"
        label="Remarks"
        hint="What you saw: wear, a replaced grommet, what to try next time."
        {...form.field('remarks')}
      />
      <ChoiceField
        control={form.control}
        name="goes"
        label="The racket"
        className="col-span-2"
        options={[
          { value: 'now', text: 'goes with its owner now' },
          { value: 'waits', text: 'waits to be collected' },
        ]}
      />
      {missing !== undefined && (
        <p role="note" className="bg-warn-wash col-span-2 px-3 py-2">
          {missing}
        </p>
      )}
      <div className="col-span-2">
        <FormFoot form={form} action="Hand over and close the job" />
      </div>
    </KeptForm>
  );
}
