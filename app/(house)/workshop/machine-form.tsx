'use client';

import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { machineSchema, type MachineEntry } from './machine-entry';

interface MachineFormProps {
  readonly name: string;
  readonly initial: MachineEntry;
  readonly action: string;
  readonly save: (entry: MachineEntry) => Promise<FormAnswer>;
}

/** A machine with its own distance to the gripper. */
export function MachineForm({ name, initial, action, save }: MachineFormProps) {
  const form = useKeptForm<MachineEntry>({ name, schema: machineSchema, initial, save });
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-x-5">
      <TextField label="Machine" {...form.field('name')} />
      <TextField label="From its frame to its gripper (cm)" {...form.field('gripperMm')} />
      <div className="col-span-2">
        <FormFoot form={form} action={action} />
      </div>
    </KeptForm>
  );
}
