'use client';

import { Controller } from 'react-hook-form';
import { say } from '@/ui/say';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { ListPicker } from '@/ui/form/list-picker';
import type { Pick } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { racketEntrySchema, type RacketEntry } from './racket-entry';

interface RacketFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: RacketEntry;
  readonly frames: readonly Pick[];
  readonly save: (entry: RacketEntry) => Promise<FormAnswer>;
}

export function RacketForm({ name, version, initial, frames, save }: RacketFormProps) {
  const form = useKeptForm<RacketEntry>({
    name,
    version,
    schema: racketEntrySchema,
    initial,
    save,
    saved: () => say('The racket is saved.'),
  });
  return (
    <KeptForm form={form} className="grid max-w-xl gap-4">
      <Controller
        control={form.control}
        name="frameId"
        render={({ field }) => (
          <ListPicker
            label="Frame"
            options={frames}
            value={field.value}
            onChange={field.onChange}
            hint="A few letters of its name; the library under Frames."
          />
        )}
      />
      <TextField label="Serial or bench mark" {...form.field('mark')} />
      <NoteField
        label="Notes"
        hint="They show at the bench, at their step: mount: lead tape under the left mount · knots: … · any other line at the first look."
        {...form.field('notes')}
      />
      <FormFoot form={form} action="Save the racket" onlySaves />
    </KeptForm>
  );
}
