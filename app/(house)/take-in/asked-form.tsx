'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import type { WallTime } from '@/core/measure/promised-time';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { askedSchema, promiseEntry, type AskedEntry } from './take-in-entry';
import { promiseHint } from './take-in-form';

interface AskedFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  /** What its client was promised. */
  readonly given: WallTime;
  readonly initial: Omit<AskedEntry, 'promised'>;
  readonly save: (entry: AskedEntry) => Promise<FormAnswer>;
  readonly now: WallTime;
}

/** What was agreed at the counter, to be corrected. */
export function AskedForm({ name, version, given, initial, save, now }: AskedFormProps) {
  const schema = useMemo(() => askedSchema(now, given), [now, given]);
  const form = useKeptForm<AskedEntry>({
    name,
    version,
    schema,
    initial: { promised: promiseEntry(given), ...initial },
    save,
  });
  const promised = useWatch({ control: form.control, name: 'promised' });
  return (
    <KeptForm form={form} className="grid max-w-3xl grid-cols-2 gap-x-6 gap-y-5">
      <TextField
        label="Promised"
        className="col-span-2 sm:col-span-1"
        hint={
          given < now && promised === promiseEntry(given)
            ? 'It has passed, and stays as it is until a new one is given.'
            : promiseHint(promised, now)
        }
        {...form.field('promised')}
      />
      <TextField
        label="What they ask for"
        className="col-span-2 sm:col-span-1"
        {...form.field('wish')}
      />
      <NoteField
        label="Condition"
        className="col-span-2"
        hint="Look now: cracks, sunken or split grommets, worn bumper. A cracked frame is not strung."
        {...form.field('condition')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Save and go to the frame" />
      </div>
    </KeptForm>
  );
}
