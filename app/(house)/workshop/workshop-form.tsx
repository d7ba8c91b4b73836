'use client';

import { useWatch } from 'react-hook-form';
import { say } from '@/ui/say';
import { handSchema } from '@/core/bench/times';
import { METHOD_PREFERENCES } from '@/core/cut/methods';
import { ChoiceField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { workshopSchema, type WorkshopEntry } from './workshop-entry';

interface WorkshopFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: WorkshopEntry;
  readonly save: (entry: WorkshopEntry) => Promise<FormAnswer>;
}

export function WorkshopForm({ name, version, initial, save }: WorkshopFormProps) {
  const form = useKeptForm<WorkshopEntry>({
    name,
    version,
    schema: workshopSchema,
    initial,
    save,
    saved: () => say('The workshop is saved.'),
  });
  const currency = useWatch({ control: form.control, name: 'currency' });
  return (
    <KeptForm form={form} className="grid max-w-2xl grid-cols-2 gap-5">
      <TextField label="Name" className="col-span-2" {...form.field('name')} />
      <ChoiceField
        control={form.control}
        name="tensionUnit"
        label="Tension"
        options={[
          { value: 'kg', text: 'kg' },
          { value: 'lb', text: 'lb' },
        ]}
      />
      <ChoiceField
        control={form.control}
        name="lengthSystem"
        label="Lengths"
        options={[
          { value: 'metric', text: 'm and mm' },
          { value: 'imperial', text: 'ft and in' },
        ]}
      />
      <TextField
        label="Currency"
        hint={
          currency.trim().toUpperCase() === initial.currency
            ? undefined
            : 'What strings, work and events cost keeps its figure: look it over. What was billed stays as it was.'
        }
        {...form.field('currency')}
      />
      <TextField label="Labour for one racket" {...form.field('labour')} />
      <TextField
        label="Clock"
        hint="Promised times are on this clock."
        className="col-span-2"
        {...form.field('timeZone')}
      />
      <h2 className="figure col-span-2 mt-4 text-2xl">What every cut assumes</h2>
      <TextField
        label="From the frame to the gripper (cm)"
        hint="From the last hole to the far side of the gripper. Measure it once on your machine."
        {...form.field('gripperMm')}
      />
      <TextField
        label="Margin on each piece (cm)"
        hint="For reading errors; a little too much is right."
        {...form.field('marginMm')}
      />
      <TextField label="A knot takes (cm)" {...form.field('knotMm')} />
      <TextField label="Tail to pull the knot up by (cm)" {...form.field('tailMm')} />
      <TextField
        label="Your arm span (cm)"
        hint="From fingertip to fingertip, for measuring without a tape. Empty when you do not."
        {...form.field('armSpanMm')}
      />
      <ChoiceField
        control={form.control}
        name="methodPreference"
        label="When methods compare, look first at"
        className="col-span-2"
        options={METHOD_PREFERENCES.map((value) => ({ value, text: value }))}
      />
      <ChoiceField
        control={form.control}
        name="hand"
        label="The hand at the bench, for how long a job takes"
        className="col-span-2"
        options={handSchema.options.map((value) => ({ value, text: value }))}
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Save the workshop" onlySaves />
      </div>
    </KeptForm>
  );
}
