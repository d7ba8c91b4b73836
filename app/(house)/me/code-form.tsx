'use client';

import { useRouter } from 'next/navigation';
import { say } from '@/ui/say';
import { z } from 'zod';
import { newCode } from '@/app/identity/identity-entry';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useSecretForm } from '@/ui/form/use-secret-form';

export function CodeForm({
  hasCode,
  save,
}: {
  readonly hasCode: boolean;
  readonly save: (typed: {
    readonly present: string;
    readonly code: string;
  }) => Promise<FormAnswer>;
}) {
  const router = useRouter();
  const form = useSecretForm({
    schema: z.object({ present: z.string().min(1, 'Write it: it is asked for.'), code: newCode }),
    initial: { present: '', code: '' },
    save,
    onDone: () => {
      form.reset();
      say('Your code is set.');
      router.refresh();
    },
  });
  return (
    <section aria-labelledby="code">
      <h2 id="code" className="figure mb-1 text-2xl">
        Short code
      </h2>
      <p className="label mb-3">
        For trusted devices, to take over at the bench.{' '}
        {hasCode ? 'You have one; a new one takes its place.' : 'You have none yet.'}
      </p>
      <KeptForm form={form} className="flex flex-wrap items-start gap-5">
        <TextField
          label={hasCode ? 'Your present code, or your password' : 'Your password'}
          type="password"
          autoComplete="off"
          className="w-64"
          {...form.field('present')}
        />
        <TextField
          label="New code"
          type="password"
          inputMode="numeric"
          maxLength={8}
          autoComplete="off"
          hint="four to eight digits"
          className="w-40"
          {...form.field('code')}
        />
        <FormFoot form={form} action="Set the code" inRow />
      </KeptForm>
    </section>
  );
}
