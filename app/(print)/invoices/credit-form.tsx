'use client';

import { useMemo } from 'react';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { creditSchema, type CreditEntry } from './invoice-entry';

/** Takes an invoice back: nothing that was issued is ever changed. */
export function CreditForm({
  name,
  currency,
  left,
  save,
}: {
  readonly name: string;
  readonly currency: string;
  /** What of it was not taken back yet, in words. */
  readonly left: string;
  readonly save: (typed: CreditEntry) => Promise<FormAnswer>;
}) {
  const schema = useMemo(() => creditSchema(currency), [currency]);
  const form = useKeptForm<CreditEntry>({
    name,
    schema,
    initial: { amount: '', why: '' },
    save,
  });
  return (
    <details className="mt-10 max-w-xl">
      <summary className="cursor-pointer underline">
        Take this invoice back, or a part of it
      </summary>
      <KeptForm form={form} className="mt-3">
        <TextField
          figure
          className="mb-3 max-w-60"
          label={`Only a part (${currency})`}
          hint={`With tax. Empty takes back all of ${left}.`}
          {...form.field('amount')}
        />
        <NoteField
          label="Why"
          hint="It stands on the credit note. Taken back as a whole, the jobs can be put on another invoice; a part lowers what they are to be paid."
          {...form.field('why')}
        />
        <FormFoot form={form} action="Issue the credit note" />
      </KeptForm>
    </details>
  );
}
