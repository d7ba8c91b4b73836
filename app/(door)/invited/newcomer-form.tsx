'use client';

import { startOver } from '@/app/identity/ask-door';
import { comeInAsMade } from '@/app/identity/client';
import { newcomerSchema } from '@/app/identity/identity-entry';
import { NewPasswordField } from '@/app/identity/new-password-field';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';
import { comeInAsNew } from './actions';

export function NewcomerForm({ token, name }: { readonly token: string; readonly name: string }) {
  const form = useSecretForm({
    schema: newcomerSchema,
    initial: { username: '', password: '' },
    save: async (typed) => {
      const answer = await comeInAsNew(token, typed);
      return answer.ok ? { ok: true, go: await comeInAsMade(typed) } : answer;
    },
    onDone: ({ go }) => startOver(go ?? '/'),
  });
  return (
    <section aria-labelledby="newcomer">
      <h2 id="newcomer" className="figure mb-3 text-2xl">
        I am new here
      </h2>
      <KeptForm form={form} className="flex flex-col gap-5">
        <TextField
          label="Name to sign in with"
          hint={`${name} is how papers say it; this one is typed: letters and digits, no spaces`}
          autoComplete="username"
          autoCapitalize="none"
          {...form.field('username')}
        />
        <NewPasswordField label="Password" {...form.field('password')} />
        <FormFoot form={form} action="Come in" />
      </KeptForm>
    </section>
  );
}
