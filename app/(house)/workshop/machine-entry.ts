import { z } from 'zod';
import { parseLength } from '@/core/notation';
import { failure, success } from '@/core/result';
import { nameText, reading } from '@/core/reading';
import { cutAssumptionsSchema } from '@/core/lengths';

export const machineSchema = z.object({
  name: nameText('the machine a name'),
  gripperMm: reading((text) => {
    const length = parseLength(text, 'cm');
    if (!length.ok) return length;
    return cutAssumptionsSchema.shape.gripperMm.safeParse(length.value).success
      ? success(length.value)
      : failure('The gripper is 10 to 90 cm from the frame: 36 on most machines.');
  }),
});

export type MachineEntry = z.input<typeof machineSchema>;
