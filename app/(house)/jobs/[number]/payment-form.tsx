'use client';

import { useMemo } from 'react';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { PAY_WAYS } from '@/core/papers/payment';
import { paymentSchema, type PaymentEntry } from './payment-entry';

interface PaymentFormProps {
  readonly name: string;
  readonly currency: string;
  readonly initial: PaymentEntry;
  readonly save: (entry: PaymentEntry) => Promise<FormAnswer>;
}

/** A payment of a job, or money given back. */
export function PaymentForm({ name, currency, initial, save }: PaymentFormProps) {
  const schema = useMemo(() => paymentSchema(currency), [currency]);
  const form = useKeptForm<PaymentEntry>({ name, schema, initial, save });
  return (
    <KeptForm form={form} className="grid max-w-xl grid-cols-2 gap-x-5 gap-y-3">
      <TextField figure label={`Amount (${currency})`} {...form.field('amount')} />
      <TextField label="Day" type="date" {...form.field('day')} />
      <ChoiceField
        control={form.control}
        name="way"
        label="How"
        className="col-span-2"
        options={PAY_WAYS.map((value) => ({ value, text: value }))}
      />
      <TextField label="Note" className="col-span-2" {...form.field('note')} />
      <TickField
        control={form.control}
        name="back"
        label="Given back, or a payment above was wrong"
        className="col-span-2"
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Mark it as paid" />
      </div>
    </KeptForm>
  );
}
