'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { z } from 'zod';
import { refusalIn, startOver } from '@/app/identity/ask-door';
import { doors, hasPasskeys } from '@/app/identity/client';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { TextField } from '@/ui/form/field';
import { useSecretForm } from '@/ui/form/use-secret-form';
import { useAwake } from '@/ui/use-awake';

const schema = z.object({
  username: z.string().trim().min(1, 'Write the name that you sign in with.'),
  password: z.string().min(1, 'Write your password.'),
});

const goIn = () => startOver('/');

export function SignInForm() {
  const awake = useAwake();
  const [notice, setNotice] = useState<string>();
  const form = useSecretForm({
    schema,
    initial: { username: '', password: '' },
    save: async ({ username, password }) => {
      const refusal = refusalIn(
        await doors.signIn.username({ username: username.trim(), password }),
      );
      if (refusal === undefined) return { ok: true };
      return {
        ok: false,
        notice:
          refusal.startsWith('Invalid') || refusal.startsWith('Username')
            ? 'Name and password do not belong together. Look at both; capitals count in the password.'
            : refusal,
      };
    },
    onDone: goIn,
  });
  const byPasskey = async () => {
    setNotice(undefined);
    const refusal = refusalIn(await doors.signIn.passkey());
    if (refusal === undefined) return goIn();
    setNotice('No passkey of this workshop was given. Sign in with name and password.');
  };
  return (
    <KeptForm form={form} className="flex flex-col gap-5">
      <TextField
        label="Name to sign in with"
        autoComplete="username webauthn"
        autoCapitalize="none"
        {...form.field('username')}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        {...form.field('password')}
      />
      {notice && (
        <p role="alert" className="text-warn font-medium">
          {notice}
        </p>
      )}
      <FormFoot form={form} action="Sign in">
        {awake && hasPasskeys() && (
          <button type="button" onClick={() => void byPasskey()} className="underline">
            Use a passkey
          </button>
        )}
        <Link href="/new-password" className="underline">
          Forgotten?
        </Link>
      </FormFoot>
    </KeptForm>
  );
}
