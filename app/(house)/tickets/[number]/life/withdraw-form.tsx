'use client';

import { NoteField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { withdrawalSchema } from './life-entry';

export function WithdrawForm({
  name,
  save,
}: {
  readonly name: string;
  readonly save: (typed: { readonly why: string }) => Promise<FormAnswer>;
}) {
  const form = useKeptForm({ name, schema: withdrawalSchema, initial: { why: '' }, save });
  return (
    <details className="border-hair mt-8 max-w-xl border-t pt-4">
      <summary className="cursor-pointer underline">Withdraw this ticket</summary>
      <p className="label my-3">
        It is not wanted any more, and not strung. What was planned stays, and it can be taken up
        again.
      </p>
      <KeptForm form={form}>
        <NoteField label="Why" {...form.field('why')} />
        <FormFoot form={form} action="Withdraw it" />
      </KeptForm>
    </details>
  );
}
