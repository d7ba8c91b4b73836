'use client';

import { useWatch } from 'react-hook-form';
import type { LastLook } from '@/core/reading/last-look';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { lookEntryOf, lookSchema, type LookEntry } from './look-entry';
import { LookFields } from './look-fields';

interface LastLookFormProps {
  readonly name: string;
  readonly kept: LastLook | null;
  readonly save: (entry: LookEntry) => Promise<FormAnswer>;
}

/** The last look by itself, from the bench. */
export function LastLookForm({ name, kept, save }: LastLookFormProps) {
  const form = useKeptForm<LookEntry>({
    name,
    schema: lookSchema,
    initial: lookEntryOf(kept),
    save,
    saved: () => say('The last look is saved.'),
  });
  const entry = useWatch({ control: form.control }) as LookEntry;
  return (
    <KeptForm form={form}>
      <LookFields entry={entry} set={(look, value) => form.set({ [look]: value })}>
        <TextField
          figure
          className="max-w-56"
          label="Rings at (Hz), if you tap it"
          {...form.field('hz')}
        />
      </LookFields>
      <FormFoot form={form} action="Save the last look" onlySaves />
    </KeptForm>
  );
}
