'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import type { TensionUnit } from '@/core/measure/units';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { NO_READING, readingSchema, type ReadingEntry } from './reading-entry';

interface ReadingFormProps {
  readonly name: string;
  readonly unit: TensionUnit;
  readonly strungDay: string;
  readonly now: string;
  readonly save: (entry: ReadingEntry) => Promise<FormAnswer>;
}

/** What a tester, a weight or a scale says. */
export function ReadingForm({ name, unit, strungDay, now, save }: ReadingFormProps) {
  const schema = useMemo(() => readingSchema(unit, strungDay, now), [unit, strungDay, now]);
  const form = useKeptForm<ReadingEntry>({
    name,
    schema,
    initial: NO_READING,
    save,
    saved: () => say('The reading is kept.'),
  });
  const kind = useWatch({ control: form.control, name: 'kind' });
  const label = {
    tap: 'Pitch (Hz)',
    tester: 'Its figure',
    weight: 'Goes in (mm)',
    'spring scale': `Pull (${unit})`,
  }[kind];
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-4">
      <ChoiceField
        control={form.control}
        name="kind"
        label="Measured with"
        className="col-span-2"
        options={[
          { value: 'tester', text: 'a tester' },
          { value: 'weight', text: 'a weight and a caliper' },
          { value: 'spring scale', text: 'a spring scale' },
          { value: 'tap', text: 'a pitch of elsewhere' },
        ]}
      />
      <TextField label={label} figure {...form.field('value')} />
      {kind === 'weight' && <TextField label="Under a mass of (g)" {...form.field('mass')} />}
      {kind === 'tester' && <TextField label="Its unit" {...form.field('unit')} />}
      <TextField
        label="On"
        hint="Empty: today. Else 2026-02-04."
        className="col-start-1"
        {...form.field('day')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Keep this reading" onlySaves />
      </div>
    </KeptForm>
  );
}
