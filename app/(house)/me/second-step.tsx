'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { z } from 'zod';
import { refusalIn } from '@/app/identity/ask-door';
import { doors } from '@/app/identity/client';
import { appCode } from '@/app/identity/identity-entry';
import type { QrPath } from '@/formats/qr';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useSecretForm } from '@/ui/form/use-secret-form';
import { say } from '@/ui/say';

interface Begun {
  readonly square: QrPath;
  /** For an app that reads no picture, in fours. */
  readonly key: string;
  readonly spare: readonly string[];
}

/** What is asked beside a password at the door: a code of an app, or one of a few spare ones. */
export function SecondStep({ isOn }: { readonly isOn: boolean }) {
  const [begun, setBegun] = useState<Begun>();
  return (
    <section aria-labelledby="second-step">
      <h2 id="second-step" className="figure mb-1 text-2xl">
        Second step
      </h2>
      {isOn ? (
        <TakeAway />
      ) : begun ? (
        <GiveFirstCode begun={begun} done={() => setBegun(undefined)} />
      ) : (
        <Begin begin={setBegun} />
      )}
    </section>
  );
}

function Begin({ begin }: { readonly begin: (begun: Begun) => void }) {
  return (
    <>
      <p className="label mb-3">
        Off. With it, the door asks for a code of an app on your phone beside your password.
      </p>
      <AskPassword
        action="Set it up"
        give={async (password) => {
          const answer = await doors.twoFactor.enable({ password });
          const refusal = refusalIn(answer);
          if (refusal !== undefined) return refusal;
          const { totpURI = '', backupCodes = [] } = (answer.data ?? {}) as {
            totpURI?: string;
            backupCodes?: string[];
          };
          const { qrPath } = await import('@/formats/qr');
          const secret = new URL(totpURI).searchParams.get('secret') ?? '';
          begin({
            square: qrPath(totpURI),
            key: secret.match(/.{1,4}/g)?.join(' ') ?? '',
            spare: backupCodes,
          });
          return undefined;
        }}
      />
    </>
  );
}

function GiveFirstCode({ begun, done }: { readonly begun: Begun; readonly done: () => void }) {
  const router = useRouter();
  const { square, key, spare } = begun;
  const form = useSecretForm({
    schema: z.object({ code: appCode }),
    initial: { code: '' },
    save: async ({ code }) => {
      const refusal = refusalIn(await doors.twoFactor.verifyTotp({ code: code.trim() }));
      return refusal === undefined
        ? { ok: true }
        : {
            ok: false,
            problems: { code: 'That is not the code it shows now. Is the phone’s clock right?' },
          };
    },
    onDone: () => {
      say('Your second step is on.');
      done();
      router.refresh();
    },
  });
  return (
    <>
      <p className="mb-2">Read this with an app that makes codes, or type the key into it.</p>
      <svg
        viewBox={`0 0 ${square.size} ${square.size}`}
        className="mb-2 size-44 bg-white"
        role="img"
        aria-label="The key as a square to read"
        shapeRendering="crispEdges"
      >
        <path d={square.d} fill="#000" />
      </svg>
      <p className="mb-4 font-mono text-sm">{key}</p>
      <p className="mb-1">
        Spare codes, each good once, for the day without the phone. Write them down now: they are
        not shown again.
      </p>
      <ul aria-label="Spare codes" className="mb-4 grid w-64 grid-cols-2 font-mono text-sm">
        {spare.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <KeptForm form={form} className="flex flex-wrap items-start gap-5">
        <TextField
          label="The code it shows"
          inputMode="numeric"
          maxLength={6}
          autoComplete="one-time-code"
          hint="six digits"
          className="w-40"
          {...form.field('code')}
        />
        <FormFoot form={form} action="Turn it on" inRow />
      </KeptForm>
    </>
  );
}

function TakeAway() {
  const router = useRouter();
  return (
    <>
      <p className="label mb-3">
        On: the door asks for a code of your app beside your password. With a new phone, turn it off
        and set it up again.
      </p>
      <AskPassword
        action="Turn it off"
        give={async (password) => {
          const refusal = refusalIn(await doors.twoFactor.disable({ password }));
          if (refusal !== undefined) return refusal;
          say('Your second step is off: a password lets you in.');
          router.refresh();
          return undefined;
        }}
      />
    </>
  );
}

interface AskPasswordProps {
  readonly action: string;
  /** What is done with it; answers why not. */
  readonly give: (password: string) => Promise<string | void>;
}

function AskPassword({ action, give }: AskPasswordProps) {
  const form = useSecretForm({
    schema: z.object({ password: z.string().min(1, 'Write your password.') }),
    initial: { password: '' },
    save: async ({ password }) => {
      const refusal = await give(password);
      if (!refusal) return { ok: true };
      return /password/i.test(refusal)
        ? { ok: false, problems: { password: 'That is not your password.' } }
        : { ok: false, notice: refusal };
    },
    onDone: () => form.reset(),
  });
  return (
    <KeptForm form={form} className="flex flex-wrap items-start gap-5">
      <TextField
        label="Your password"
        type="password"
        autoComplete="current-password"
        className="w-64"
        {...form.field('password')}
      />
      <FormFoot form={form} action={action} inRow />
    </KeptForm>
  );
}
