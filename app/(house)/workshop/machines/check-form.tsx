'use client';

import { useMemo } from 'react';
import { say } from '@/ui/say';
import type { TensionUnit } from '@/core/measure/units';
import { TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { checkSchema, type CheckEntry } from './check-entry';

interface CheckFormProps {
  readonly name: string;
  readonly unit: TensionUnit;
  readonly save: (entry: CheckEntry) => Promise<FormAnswer>;
}

/** A check of the pull: what was set, and what the weight or the scale said. */
export function CheckForm({ name, unit, save }: CheckFormProps) {
  const schema = useMemo(() => checkSchema(unit), [unit]);
  const form = useKeptForm<CheckEntry>({
    name,
    schema,
    initial: { asked: '', measured: '', sure: false },
    save,
    saved: () => say('The check is saved.'),
  });
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-x-5">
      <TextField label={`Set to (${unit})`} {...form.field('asked')} />
      <TextField label={`Scale or weight says (${unit})`} {...form.field('measured')} />
      {form.formState.errors.measured && (
        <TickField
          control={form.control}
          name="sure"
          className="col-span-2 mt-2"
          label="It really reads so"
        />
      )}
      <div className="col-span-2">
        <FormFoot form={form} action="Save the check" />
      </div>
    </KeptForm>
  );
}
