'use client';

import { useRouter } from 'next/navigation';
import { say } from '@/ui/say';
import { z } from 'zod';
import { shortCode } from '@/app/identity/identity-entry';
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
  readonly save: (typed: { readonly code: string }) => Promise<FormAnswer>;
}) {
  const router = useRouter();
  const form = useSecretForm({
    schema: z.object({ code: shortCode }),
    initial: { code: '' },
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
      <KeptForm form={form} className="flex flex-wrap items-end gap-5">
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
