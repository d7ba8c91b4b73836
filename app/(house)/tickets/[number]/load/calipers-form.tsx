'use client';

import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { calipersSchema, NOT_MEASURED, type CalipersEntry } from './calipers-entry';

interface CalipersFormProps {
  readonly name: string;
  readonly save: (entry: CalipersEntry) => Promise<FormAnswer>;
}

/** Length and width inside, after the mains and at the end, against the empty frame. */
export function CalipersForm({ name, save }: CalipersFormProps) {
  const form = useKeptForm<CalipersEntry>({
    name,
    schema: calipersSchema,
    initial: NOT_MEASURED,
    save,
    saved: () => say('The hoop is measured: the next job goes by it.'),
  });
  return (
    <KeptForm form={form} className="grid max-w-xl grid-cols-2 gap-4">
      <TextField label="Length after the mains (mm)" {...form.field('mainsLength')} />
      <TextField label="Width after the mains (mm)" {...form.field('mainsWidth')} />
      <TextField label="Length at the end (mm)" {...form.field('endLength')} />
      <TextField label="Width at the end (mm)" {...form.field('endWidth')} />
      <div className="col-span-2">
        <FormFoot form={form} action="This hoop measures so" onlySaves />
      </div>
    </KeptForm>
  );
}
