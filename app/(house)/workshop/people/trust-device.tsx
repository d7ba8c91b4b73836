'use client';

import { useRouter } from 'next/navigation';
import { z } from 'zod';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useSecretForm } from '@/ui/form/use-secret-form';

const schema = z.object({
  name: z.string().trim().min(1, 'Write where it stands: the bench at the window.').max(80),
});

export function TrustDevice({
  trust,
}: {
  readonly trust: (typed: { readonly name: string }) => Promise<FormAnswer>;
}) {
  const router = useRouter();
  const form = useSecretForm({
    schema,
    initial: { name: '' },
    save: trust,
    onDone: () => router.refresh(),
  });
  return (
    <KeptForm form={form} className="border-hair flex flex-wrap items-end gap-5 border-t pt-4">
      <TextField
        label="Where this device stands"
        className="w-72"
        placeholder="the bench at the window"
        {...form.field('name')}
      />
      <FormFoot form={form} action="Trust this device" inRow />
    </KeptForm>
  );
}
