'use client';

import { handSchema } from '@/core/bench/times';
import { WEEKDAYS } from '@/core/queue/hours';
import { ChoiceField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { benchSchema, DAY_FIELDS, type BenchEntry } from './bench-entry';

interface BenchFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: BenchEntry;
  readonly machines: readonly { readonly id: string; readonly name: string }[];
  readonly action: string;
  readonly save: (entry: BenchEntry) => Promise<FormAnswer>;
}

/** A bench: when it is open, who works there, and at what. */
export function BenchForm({ name, version, initial, machines, action, save }: BenchFormProps) {
  const form = useKeptForm<BenchEntry>({
    name,
    version,
    schema: benchSchema,
    initial,
    save,
    saved: () => say('The bench is saved.'),
  });
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-4">
      <TextField label="Bench" className="col-span-2" {...form.field('name')} />
      <ChoiceField
        control={form.control}
        name="machineId"
        label="The machine that stands there"
        className="col-span-2"
        options={[
          { value: '', text: 'any' },
          ...machines.map(({ id, name: text }) => ({ value: id, text })),
        ]}
      />
      <ChoiceField
        control={form.control}
        name="hand"
        label="Hands"
        className="col-span-2"
        options={handSchema.options.map((value) => ({ value, text: value }))}
      />
      {DAY_FIELDS.map((day, i) => (
        <TextField key={day} label={WEEKDAYS[i] ?? day} {...form.field(day)} />
      ))}
      <NoteField
        label="Days that differ"
        className="col-span-2"
        hint="One a line: 2026-12-24 9-12, 2026-12-25 closed."
        {...form.field('others')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action={action} onlySaves />
      </div>
    </KeptForm>
  );
}
