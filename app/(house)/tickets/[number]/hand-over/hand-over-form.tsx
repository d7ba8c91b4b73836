'use client';

import { useWatch } from 'react-hook-form';
import { formatMoney } from '@/core/measure/money';
import { parseMoney } from '@/core/measure/parsing';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { handOverSchema, type HandOverEntry } from './hand-over-entry';

interface HandOverFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: HandOverEntry;
  /** What the bench does not know of. */
  readonly missing: string | undefined;
  readonly currency: string;
  readonly stringHint: string;
  /** The pieces whose tails can be measured, with what was given and what the plan expects to be left. */
  readonly pieces: readonly { readonly name: string; readonly hint: string }[];
  readonly save: (entry: HandOverEntry) => Promise<FormAnswer>;
}

export function HandOverForm({
  name,
  version,
  initial,
  missing,
  currency,
  stringHint,
  pieces,
  save,
}: HandOverFormProps) {
  const form = useKeptForm<HandOverEntry>({ name, version, schema: handOverSchema, initial, save });
  const [labour, string] = useWatch({ control: form.control, name: ['labour', 'string'] });
  const [labourRead, stringRead] = [parseMoney(labour), parseMoney(string)];
  return (
    <KeptForm form={form} className="grid max-w-xl grid-cols-2 gap-5">
      <TextField figure label={`Labour (${currency})`} {...form.field('labour')} />
      <TextField
        figure
        label={`String (${currency})`}
        hint={stringHint}
        {...form.field('string')}
      />
      <p className="border-hair col-span-2 flex items-baseline gap-4 border-t pt-3">
        <span className="label">To pay</span>
        <span className="figure text-5xl">
          {labourRead.ok && stringRead.ok
            ? formatMoney(labourRead.value + stringRead.value, currency)
            : '–'}
        </span>
      </p>
      {pieces.map((piece, i) => (
        <TextField
          figure
          key={piece.name}
          label={`Left over of ${piece.name}, both tails (cm)`}
          hint={piece.hint}
          {...form.field(`leftOver.${i}`)}
          problem={form.formState.errors.leftOver?.[i]?.message}
        />
      ))}
      <NoteField
        className="col-span-2"
        label="Remarks"
        hint="What you saw: wear, a replaced grommet, what to try next time."
        {...form.field('remarks')}
      />
      {missing !== undefined && (
        <p role="note" className="bg-warn-wash col-span-2 px-3 py-2">
          {missing}
        </p>
      )}
      <div className="col-span-2">
        <FormFoot form={form} action="Hand over and close the job" />
      </div>
    </KeptForm>
  );
}
