'use client';

import { Controller } from 'react-hook-form';
import { toast } from 'sonner';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { workshopSchema, type WorkshopEntry } from './workshop-entry';

interface WorkshopFormProps {
  readonly name: string;
  readonly initial: WorkshopEntry;
  readonly save: (entry: WorkshopEntry) => Promise<FormAnswer>;
}

export function WorkshopForm({ name, initial, save }: WorkshopFormProps) {
  const form = useKeptForm<WorkshopEntry>({
    name,
    schema: workshopSchema,
    initial,
    save,
    saved: () => toast('The workshop is saved.'),
  });
  const { register, control, formState } = form;
  const problem = (field: keyof WorkshopEntry) => formState.errors[field]?.message;
  return (
    <form onSubmit={form.send} className="grid max-w-2xl grid-cols-2 gap-5">
      <TextField
        label="Name"
        className="col-span-2"
        problem={problem('name')}
        {...register('name')}
      />
      <Controller
        control={control}
        name="tensionUnit"
        render={({ field }) => (
          <Choice
            label="Tension"
            options={[
              { value: 'kg', text: 'kg' },
              { value: 'lb', text: 'lb' },
            ]}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="lengthSystem"
        render={({ field }) => (
          <Choice
            label="Lengths"
            options={[
              { value: 'metric', text: 'm and mm' },
              { value: 'imperial', text: 'ft and in' },
            ]}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <TextField label="Currency" problem={problem('currency')} {...register('currency')} />
      <TextField
        label="Labour for one racket"
        problem={problem('labour')}
        {...register('labour')}
      />
      <TextField
        label="Clock"
        hint="Promised times are on this clock."
        className="col-span-2"
        problem={problem('timeZone')}
        {...register('timeZone')}
      />
      <h2 className="figure col-span-2 mt-4 text-2xl">What every cut assumes</h2>
      <TextField
        label="From the frame to the gripper (cm)"
        hint="From the last hole to the far side of the gripper. Measure it once on your machine."
        problem={problem('gripperMm')}
        {...register('gripperMm')}
      />
      <TextField
        label="Margin on each piece (cm)"
        hint="For reading errors; a little too much is right."
        problem={problem('marginMm')}
        {...register('marginMm')}
      />
      <TextField label="A knot takes (cm)" problem={problem('knotMm')} {...register('knotMm')} />
      <TextField
        label="Tail to pull the knot up by (cm)"
        problem={problem('tailMm')}
        {...register('tailMm')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Save the workshop" />
      </div>
    </form>
  );
}
