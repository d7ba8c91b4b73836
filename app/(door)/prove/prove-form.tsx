'use client';

import { z } from 'zod';
import { askDoor, startOver } from '@/app/identity/ask-door';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';

const schema = z.object({ password: z.string().min(1, 'Write your password.') });

export function ProveForm({ to }: { readonly to: string }) {
  const form = useSecretForm({
    schema,
    initial: { password: '' },
    save: async ({ password }) => {
      const refusal = await askDoor('/hands/prove', { password });
      return refusal === undefined ? { ok: true } : { ok: false, problems: { password: refusal } };
    },
    onDone: () => startOver(to),
  });
  return (
    <KeptForm form={form} className="flex max-w-md flex-col gap-4">
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        {...form.field('password')}
      />
      <FormFoot form={form} action="Go on" />
    </KeptForm>
  );
}
