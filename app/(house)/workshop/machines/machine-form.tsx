'use client';

import { say } from '@/ui/say';
import { clampKindSchema, machineKindSchema } from '@/core/house/machine';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { SPORTS } from '@/core/terms/sport';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { machineSchema, MOUNTS, type MachineEntry } from './machine-entry';

interface MachineFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: MachineEntry;
  readonly action: string;
  readonly save: (entry: MachineEntry) => Promise<FormAnswer>;
}

const plain = <T extends string>(values: readonly T[]) =>
  values.map((value) => ({ value, text: value }));

/** What of a machine bears on the cut, on the order of the work and on the pull. */
export function MachineForm({ name, version, initial, action, save }: MachineFormProps) {
  const form = useKeptForm<MachineEntry>({
    name,
    version,
    schema: machineSchema,
    initial,
    save,
    saved: () => say('The machine is saved.'),
  });
  const { problem: sportsProblem } = form.field('sports');
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-4">
      <TextField label="Machine" {...form.field('name')} />
      <TextField label="From its frame to its gripper (cm)" {...form.field('gripperMm')} />
      <ChoiceField
        control={form.control}
        name="kind"
        label="How it pulls"
        className="col-span-2"
        options={plain(machineKindSchema.options)}
      />
      <ChoiceField
        control={form.control}
        name="mounts"
        label="Points that hold the frame"
        options={plain(MOUNTS)}
      />
      <fieldset>
        <legend className="label">Its mounts hold</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1 py-1.5">
          {SPORTS.map((sport) => (
            <TickField key={sport} control={form.control} name={`sports.${sport}`} label={sport} />
          ))}
        </div>
        {sportsProblem && (
          <p role="alert" className="text-warn">
            {sportsProblem}
          </p>
        )}
      </fieldset>
      <ChoiceField
        control={form.control}
        name="clampKind"
        label="Clamps for the strings"
        options={plain(clampKindSchema.options)}
      />
      <ChoiceField
        control={form.control}
        name="clamps"
        label="How many"
        options={plain(['2', '1'] as const)}
      />
      <ChoiceField
        control={form.control}
        name="startingClamps"
        label="Starting clamp"
        options={[
          { value: '1', text: 'yes' },
          { value: '0', text: 'none' },
        ]}
      />
      <TextField
        label="Where its head answers"
        hint="ws://127.0.0.1:3411 for the stand-in that comes along; empty by hand."
        {...form.field('headAddress')}
      />
      <TextField
        label="Days from check to check"
        hint="What its maker says comes first."
        {...form.field('checkEveryDays')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action={action} onlySaves />
      </div>
    </KeptForm>
  );
}
