'use client';

import { Link } from '@/ui/link';
import { useState } from 'react';
import { z } from 'zod';
import { refusalIn, startOver } from '@/app/identity/ask-door';
import { doors, hasPasskeys } from '@/app/identity/client';
import { appCode, spareCode } from '@/app/identity/identity-entry';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { TextField } from '@/ui/form/field';
import { useSecretForm } from '@/ui/form/use-secret-form';
import { useAwake } from '@/ui/use-awake';

const schema = z.object({
  username: z.string().trim().min(1, 'Write the name that you sign in with.'),
  password: z.string().min(1, 'Write your password.'),
});

/** Where a right password leads whoever is asked for more. */
const SECOND_STEP = '#second-step';

/** Signs in, and goes on to where somebody came from. */
export function SignInForm({ to }: { readonly to: string }) {
  const goIn = () => startOver(to);
  const awake = useAwake();
  const [notice, setNotice] = useState<string>();
  const [isAskedTwice, setAskedTwice] = useState(false);
  const form = useSecretForm({
    schema,
    initial: { username: '', password: '' },
    save: async ({ username, password }) => {
      const answer = await doors.signIn.username({ username: username.trim(), password });
      const refusal = refusalIn(answer);
      if (refusal === undefined) {
        const { twoFactorRedirect = false } = (answer.data ?? {}) as {
          twoFactorRedirect?: boolean;
        };
        return { ok: true, ...(twoFactorRedirect && { go: SECOND_STEP }) };
      }
      return {
        ok: false,
        notice:
          refusal.startsWith('Invalid') || refusal.startsWith('Username')
            ? 'Name and password do not belong together. Look at both; capitals count in the password.'
            : refusal,
      };
    },
    onDone: ({ go }) => (go === SECOND_STEP ? setAskedTwice(true) : goIn()),
  });
  const byPasskey = async () => {
    setNotice(undefined);
    const refusal = refusalIn(await doors.signIn.passkey());
    if (refusal === undefined) return goIn();
    setNotice('No passkey of this workshop was given. Sign in with name and password.');
  };
  if (isAskedTwice) return <SecondStepForm goIn={goIn} />;
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

const TOO_LATE =
  'That took too long, or was tried too often: wait a little, and begin again with your password.';

/** The code of their app, or a spare one, beside the password that they have given. */
function SecondStepForm({ goIn }: { readonly goIn: () => void }) {
  const [isSpare, setSpare] = useState(false);
  const form = useSecretForm({
    schema: z.object({ code: isSpare ? spareCode : appCode }),
    initial: { code: '' },
    save: async ({ code: typed }) => {
      const code = typed.trim();
      const refusal = refusalIn(
        isSpare
          ? await doors.twoFactor.verifyBackupCode({ code })
          : await doors.twoFactor.verifyTotp({ code }),
      );
      if (refusal === undefined) return { ok: true };
      if (/^Invalid (backup )?code/.test(refusal))
        return { ok: false, problems: { code: 'That is not the code. Look once more.' } };
      return { ok: false, notice: /cookie|attempts/.test(refusal) ? TOO_LATE : refusal };
    },
    onDone: goIn,
  });
  return (
    <KeptForm form={form} className="flex flex-col gap-5">
      <TextField
        label={isSpare ? 'One of your spare codes' : 'The code of your app'}
        autoComplete="one-time-code"
        inputMode={isSpare ? 'text' : 'numeric'}
        hint={isSpare ? 'good once' : 'six digits'}
        {...form.field('code')}
      />
      <FormFoot form={form} action="Go in">
        <button type="button" onClick={() => setSpare(!isSpare)} className="underline">
          {isSpare ? 'The code of the app' : 'Without the phone'}
        </button>
        <button type="button" onClick={() => window.location.reload()} className="underline">
          Somebody else
        </button>
      </FormFoot>
    </KeptForm>
  );
}
