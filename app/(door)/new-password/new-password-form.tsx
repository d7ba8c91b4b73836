'use client';

import { useState } from 'react';
import { z } from 'zod';
import { refusalIn, startOver } from '@/app/identity/ask-door';
import { doors } from '@/app/identity/client';
import { address, newPassword } from '@/app/identity/identity-entry';
import { NewPasswordField } from '@/app/identity/new-password-field';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';

export function NewPasswordForm({ token }: { readonly token: string }) {
  const form = useSecretForm({
    schema: z.object({ password: newPassword }),
    initial: { password: '' },
    save: async ({ password }) => {
      const refusal = refusalIn(await doors.resetPassword({ newPassword: password, token }));
      if (refusal === undefined) return { ok: true };
      return {
        ok: false,
        notice: /token/i.test(refusal)
          ? 'This link was used already, or is too old. Ask for another one.'
          : refusal,
      };
    },
    onDone: () => startOver('/sign-in'),
  });
  return (
    <KeptForm form={form} className="flex flex-col gap-5">
      <NewPasswordField label="New password" {...form.field('password')} />
      <FormFoot form={form} action="Take this one" />
      <p className="label">Whoever is signed in with the old one is signed out everywhere.</p>
    </KeptForm>
  );
}

export function AskForm() {
  const [asked, setAsked] = useState(false);
  const form = useSecretForm({
    schema: z.object({ address }),
    initial: { address: '' },
    save: async (typed) => {
      const refusal = refusalIn(
        await doors.requestPasswordReset({ email: typed.address.trim().toLowerCase() }),
      );
      return refusal === undefined ? { ok: true } : { ok: false, notice: refusal };
    },
    onDone: () => setAsked(true),
  });
  if (asked)
    return (
      <p role="status" className="max-w-prose">
        If somebody here has this address, a message with a link is on its way. It is good once, for
        an hour. Without it, the owner of the workshop makes a link under People.
      </p>
    );
  return (
    <KeptForm form={form} className="flex flex-col gap-5">
      <TextField
        label="Your address for messages"
        type="email"
        autoComplete="email"
        {...form.field('address')}
      />
      <FormFoot form={form} action="Send me a link" />
    </KeptForm>
  );
}
