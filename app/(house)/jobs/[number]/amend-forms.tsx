'use client';

import { useMemo } from 'react';
import { Controller } from 'react-hook-form';
import { rateWords } from '@/core/papers/invoice';
import { Choice } from '@/ui/form/choice';
import { NoteField, Sentence, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { ChoiceField } from '@/ui/form/bound';
import { lineSchema, voidSchema, type LineEntry, type VoidEntry } from './amend-entry';

const NOT_SAID: VoidEntry = { why: '', string: '' };

/** Voids a job that was closed wrongly. */
export function VoidForm({
  name,
  version,
  save,
}: {
  readonly name: string;
  readonly version: number;
  readonly save: (entry: VoidEntry) => Promise<FormAnswer>;
}) {
  const form = useKeptForm<VoidEntry>({
    name,
    version,
    schema: voidSchema,
    initial: NOT_SAID,
    save,
  });
  return (
    <details className="mt-6 max-w-xl">
      <summary className="cursor-pointer underline">Void this job</summary>
      <KeptForm form={form} className="mt-3 flex flex-col gap-3">
        <NoteField
          label="Why"
          hint="It owes nothing and counts nowhere from then on; its number, its record and who did what stay."
          {...form.field('why')}
        />
        <div>
          <ChoiceField
            control={form.control}
            name="string"
            label="Its string"
            options={[
              { value: 'back' as const, text: 'was not used: back on the shelf' },
              { value: 'lost' as const, text: 'is gone' },
            ]}
          />
          <Sentence problem={form.formState.errors.string?.message} />
        </div>
        <FormFoot form={form} action="Void the job" />
      </KeptForm>
    </details>
  );
}

/** A line that was forgotten when the job was closed. */
export function LineForm({
  name,
  version,
  currency,
  rates,
  save,
}: {
  readonly name: string;
  readonly version: number;
  readonly currency: string;
  /** Of the house, hundredths of a percent. */
  readonly rates: readonly number[];
  readonly save: (entry: LineEntry) => Promise<FormAnswer>;
}) {
  const schema = useMemo(() => lineSchema(currency), [currency]);
  const form = useKeptForm<LineEntry>({
    name,
    version,
    schema,
    initial: { text: '', amount: '', tax: rates[0] ?? 0 },
    save,
  });
  return (
    <details className="max-w-xl">
      <summary className="cursor-pointer py-1 underline">Add a line that was forgotten</summary>
      <KeptForm form={form} className="mt-2 grid grid-cols-[1fr_9rem] gap-x-5 gap-y-3">
        <TextField label="What it is" {...form.field('text')} />
        <TextField figure label={`Price (${currency})`} {...form.field('amount')} />
        {rates.length > 1 && (
          <Controller
            control={form.control}
            name="tax"
            render={({ field }) => (
              <Choice
                label="Tax"
                options={rates.map((rate) => ({ value: String(rate), text: rateWords(rate) }))}
                value={String(field.value)}
                onChange={(value) => field.onChange(Number(value))}
              />
            )}
          />
        )}
        <div className="col-span-2">
          <FormFoot form={form} action="Add the line" />
        </div>
      </KeptForm>
    </details>
  );
}
