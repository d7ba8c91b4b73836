'use client';

import clsx from 'clsx';
import { useWatch } from 'react-hook-form';
import { useMemo, type ReactNode } from 'react';
import { totalsOf } from '@/core/counter/price';
import { formatMoney, parseMoney } from '@/core/measure/money';
import { EXTRA_DONE, type ClosingQuestion } from '@/core/record/closing';
import { ChoiceField } from '@/ui/form/bound';
import { NoteField, Sentence, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { BeforeItGoes } from './before-it-goes';
import { handOverSchema, type HandOverEntry } from './hand-over-entry';

interface HandOverFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: HandOverEntry;
  /** What is asked before it is closed. */
  readonly questions: readonly ClosingQuestion[];
  /** Why it cannot be handed over yet. */
  readonly waits: string | undefined;
  /** Whether whoever hands it over may look at the bed as a stringer does. */
  readonly looks: boolean;
  readonly currency: string;
  readonly locale: string;
  /** What is asked beside labour and string, and how the house states its prices. */
  readonly price: HousePrice;
  readonly stringHint: string;
  /** The pieces whose tails can be measured, with what was given and what the plan expects to be left. */
  readonly pieces: readonly { readonly name: string; readonly hint: string }[];
  readonly save: (entry: HandOverEntry) => Promise<FormAnswer>;
  /** What goes on record. */
  readonly children: ReactNode;
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

/** What is done and what it costs; one press saves all of it and closes the job. */
export function HandOverForm(props: HandOverFormProps) {
  const { name, version, initial, questions, currency, locale, price, pieces, save } = props;
  const schema = useMemo(() => handOverSchema(currency), [currency]);
  const form = useKeptForm<HandOverEntry>({ name, version, schema, initial, save });
  const [labour, string, done] = useWatch({
    control: form.control,
    name: ['labour', 'string', 'extra'],
  });
  const read = parseMoney(currency);
  const [labourRead, stringRead] = [read(labour), read(string)];
  const money = (minor: number) => formatMoney(minor, currency, locale);
  const totals =
    labourRead.ok && stringRead.ok
      ? totalsOf(
          [
            { quantity: 1, unitMinor: labourRead.value, taxBp: price.labourTaxBp },
            { quantity: 1, unitMinor: stringRead.value, taxBp: price.stringTaxBp },
            ...price.extras.filter((_, i) => done[i] !== 'not done'),
          ],
          price.taxIncluded,
        )
      : undefined;
  return (
    <KeptForm form={form} className="grid gap-10 lg:grid-cols-2">
      <div className="flex flex-col gap-6">
        {props.children}
        <BeforeItGoes form={form} questions={questions} looks={props.looks} />
      </div>
      <div className="grid max-w-xl grid-cols-2 content-start gap-5">
        <TextField figure label={`Labour (${currency})`} {...form.field('labour')} />
        <TextField
          figure
          label={`String (${currency})`}
          hint={props.stringHint}
          {...form.field('string')}
        />
        {price.extras.map(({ text, quantity, unitMinor }, i) => (
          <div key={i} className="col-span-2 flex flex-wrap items-end gap-x-6">
            <ChoiceField
              control={form.control}
              name={`extra.${i}`}
              label={quantity > 1 ? `${quantity} × ${text}` : text}
              className="grow"
              options={EXTRA_DONE.map((value) => ({ value, text: value }))}
            />
            <span
              className={clsx('figure text-xl', done[i] === 'not done' && 'text-soft line-through')}
            >
              {money(quantity * unitMinor)}
            </span>
            <Sentence problem={form.formState.errors.extra?.[i]?.message} />
          </div>
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
        {props.waits !== undefined && (
          <p role="note" className="bg-warn-wash col-span-2 px-3 py-2">
            {props.waits}
          </p>
        )}
      </div>
      <div className="sticky bottom-0 z-10 lg:col-span-2">
        <FormFoot form={form} inSight action="Hand over and close the job" />
      </div>
    </KeptForm>
  );
}
