'use client';

import { NoteField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { creditSchema } from './invoice-entry';

/** Takes an invoice back: nothing that was issued is ever changed. */
export function CreditForm({
  name,
  save,
}: {
  readonly name: string;
  readonly save: (typed: { readonly why: string }) => Promise<FormAnswer>;
}) {
  const form = useKeptForm({ name, schema: creditSchema, initial: { why: '' }, save });
  return (
    <details className="mt-10 max-w-xl">
      <summary className="cursor-pointer underline">Take this invoice back</summary>
      <KeptForm form={form} className="mt-3">
        <NoteField
          label="Why"
          hint="It stands on the credit note. The jobs can then be put on another invoice."
          {...form.field('why')}
        />
        <FormFoot form={form} action="Issue the credit note" />
      </KeptForm>
    </details>
  );
}
