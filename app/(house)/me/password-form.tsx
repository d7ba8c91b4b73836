'use client';

import { say } from '@/ui/say';
import { z } from 'zod';
import { refusalIn } from '@/app/identity/ask-door';
import { doors } from '@/app/identity/client';
import { newPassword } from '@/app/identity/identity-entry';
import { NewPasswordField } from '@/app/identity/new-password-field';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';

const schema = z.object({
  current: z.string().min(1, 'Write the password that you have now.'),
  next: newPassword,
});

export function PasswordForm() {
  const form = useSecretForm({
    schema,
    initial: { current: '', next: '' },
    save: async ({ current, next }) => {
      const refusal = refusalIn(
        await doors.changePassword({
          currentPassword: current,
          newPassword: next,
          revokeOtherSessions: true,
        }),
      );
      if (refusal === undefined) return { ok: true };
      return /credential|invalid password/i.test(refusal)
        ? { ok: false, problems: { current: 'That is not the password that you have now.' } }
        : { ok: false, notice: refusal };
    },
    onDone: () => {
      form.reset();
      say('The password is changed; you are signed out everywhere else.');
    },
  });
  return (
    <section aria-labelledby="password">
      <h2 id="password" className="figure mb-3 text-2xl">
        Password
      </h2>
      <KeptForm form={form} className="flex flex-col gap-4">
        <TextField
          label="The password that you have now"
          type="password"
          autoComplete="current-password"
          {...form.field('current')}
        />
        <NewPasswordField label="The new one" {...form.field('next')} />
        <FormFoot form={form} action="Change the password" />
      </KeptForm>
    </section>
  );
}
