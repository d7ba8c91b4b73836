'use client';

import { correctionSchema } from '@/app/(house)/tickets/[number]/life/life-entry';
import { NoteField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';

export function CorrectionForm({
  name,
  save,
}: {
  readonly name: string;
  readonly save: (typed: { readonly text: string }) => Promise<FormAnswer>;
}) {
  const form = useKeptForm({ name, schema: correctionSchema, initial: { text: '' }, save });
  return (
    <details className="mt-3">
      <summary className="cursor-pointer underline">Something in it is wrong</summary>
      <KeptForm form={form} className="mt-3 max-w-xl">
        <NoteField
          label="What was found wrong, and what is right"
          hint="It is added with the date and your name; what stands there stays."
          {...form.field('text')}
        />
        <FormFoot form={form} action="Add it to the record" />
      </KeptForm>
    </details>
  );
}
