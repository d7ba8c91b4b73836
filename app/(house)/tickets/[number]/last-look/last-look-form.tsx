'use client';

import { Controller } from 'react-hook-form';
import { LOOKED, LOOKS, type LastLook } from '@/core/reading/last-look';
import { english, message } from '@/core/terms/words/english';
import { Ask } from '@/ui/form/ask';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { lookEntryOf, lookSchema, type LookEntry } from './look-entry';

interface LastLookFormProps {
  readonly name: string;
  readonly kept: LastLook | null;
  readonly save: (entry: LookEntry) => Promise<FormAnswer>;
}

const answers = LOOKED.map((value) => ({ value, text: value as string }));

/** The short look that closes a job: six lines, one answer each. */
export function LastLookForm({ name, kept, save }: LastLookFormProps) {
  const form = useKeptForm<LookEntry>({
    name,
    schema: lookSchema,
    initial: lookEntryOf(kept),
    save,
    saved: () => say('The last look is kept.'),
  });
  const allGood = () => {
    for (const look of LOOKS) form.setValue(look, 'good', { shouldDirty: true });
  };
  return (
    <KeptForm form={form} className="flex flex-col gap-1">
      {LOOKS.map((look) => (
        <Controller
          key={look}
          control={form.control}
          name={look}
          render={({ field }) => (
            <Ask
              className="grid-cols-[16rem_1fr]!"
              label={english(message(`look.${look}`))}
              options={answers}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
      ))}
      <button type="button" className="mt-1 self-start underline" onClick={allGood}>
        All good at once
      </button>
      <TextField
        figure
        className="max-w-56"
        label="Rings at (Hz), if you tap it"
        {...form.field('hz')}
      />
      <FormFoot form={form} action="Keep the last look" onlySaves />
    </KeptForm>
  );
}
