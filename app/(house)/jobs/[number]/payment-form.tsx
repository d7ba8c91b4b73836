'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { ChoiceField } from '@/ui/form/bound';
import { Sentence, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { formatMoney, parseMoney } from '@/core/measure/money';
import { OVERPAID, PAY_WAYS, type Overpaid } from '@/core/papers/payment';
import { PAID_OR_NOT, paymentSchema, type PaymentEntry } from './payment-entry';

interface PaymentFormProps {
  readonly name: string;
  readonly currency: string;
  readonly locale: string;
  readonly initial: PaymentEntry;
  readonly owedMinor: number;
  /** What its client left here for a next job. */
  readonly creditMinor: number;
  readonly save: (entry: PaymentEntry) => Promise<FormAnswer>;
}

const KIND_WORDS = {
  paid: 'paid',
  'given back': 'given back',
  slip: 'a slip: one above was never paid',
} as const satisfies Record<PaymentEntry['kind'], string>;
const OVER_WORDS: Record<Overpaid, string> = {
  change: 'given as change',
  credit: 'left for the next job',
  tip: 'a tip',
};

/** A payment of a job, money given back, or a slip taken off the books. */
export function PaymentForm(props: PaymentFormProps) {
  const { name, currency, locale, initial, owedMinor, creditMinor, save } = props;
  const schema = useMemo(() => paymentSchema(currency), [currency]);
  const form = useKeptForm<PaymentEntry>({ name, schema, initial, save });
  const [typed, kind] = useWatch({ control: form.control, name: ['amount', 'kind'] });
  const amount = parseMoney(currency)(typed);
  const money = (minor: number) => formatMoney(minor, currency, locale);
  const overMinor = amount.ok && kind === 'paid' ? amount.value - owedMinor : 0;
  return (
    <KeptForm form={form} className="grid max-w-xl grid-cols-2 gap-x-5 gap-y-3">
      <TextField figure label={`Amount (${currency})`} {...form.field('amount')} />
      <TextField label="Day" type="date" {...form.field('day')} />
      {overMinor > 0 && (
        <div className="bg-sheet col-span-2 px-3 py-2">
          <ChoiceField
            control={form.control}
            name="over"
            label={`${money(overMinor)} more than is owed (${money(owedMinor)}): it is`}
            options={OVERPAID.map((value) => ({ value, text: OVER_WORDS[value] }))}
          />
          <Sentence problem={form.formState.errors.over?.message} />
        </div>
      )}
      <ChoiceField
        control={form.control}
        name="way"
        label="How"
        className="col-span-2"
        options={PAY_WAYS.filter((way) => way !== 'credit' || creditMinor > 0).map((value) => ({
          value,
          text: value === 'credit' ? `from their ${money(creditMinor)} here` : value,
        }))}
      />
      <ChoiceField
        control={form.control}
        name="kind"
        label="It is"
        className="col-span-2"
        options={PAID_OR_NOT.map((value) => ({ value, text: KIND_WORDS[value] }))}
      />
      <TextField label="Note" className="col-span-2" {...form.field('note')} />
      <div className="col-span-2">
        <FormFoot
          form={form}
          action={
            kind === 'paid'
              ? 'Mark it as paid'
              : kind === 'given back'
                ? 'Mark it as given back'
                : 'Take it off the books'
          }
        />
      </div>
    </KeptForm>
  );
}
