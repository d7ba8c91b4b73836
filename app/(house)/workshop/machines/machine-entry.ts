import { z } from 'zod';
import { plainFigures } from '@/core/measure/figures';
import { MOUNT_POINTS, clampKindSchema, machineKindSchema } from '@/core/house/machine';
import { cutAssumptionsSchema } from '@/core/cut/lengths';
import { parseLength } from '@/core/measure/parsing';
import { failure, success } from '@/core/terms/result';
import { nameText, optionalTyped, typed } from '@/core/measure/typed';
import { centimetreFigure } from '@/core/measure/units';
import { SPORTS } from '@/core/terms/sport';
import type { MachineFacts } from '@/db/machines';

const count = <T extends string>(...counts: [T, ...T[]]) => z.enum(counts).transform(Number);

export const machineSchema = z.object({
  name: nameText('the machine a name'),
  gripperMm: typed((text) => {
    const length = parseLength(text, 'cm');
    if (!length.ok) return length;
    return cutAssumptionsSchema.shape.gripperMm.safeParse(length.value).success
      ? success(length.value)
      : failure('machine.gripper');
  }),
  kind: machineKindSchema,
  mounts: count('6', '4', '2'),
  sports: z
    .object({ tennis: z.boolean(), badminton: z.boolean(), squash: z.boolean() })
    .transform((held) => SPORTS.filter((sport) => held[sport]))
    .refine((held) => held.length > 0, { error: 'Tick what its mounts hold: one at least.' }),
  clampKind: clampKindSchema,
  clamps: count('2', '1'),
  startingClamps: count('1', '0'),
  headAddress: optionalTyped((text) =>
    URL.canParse(text) && /^wss?:$/.test(new URL(text).protocol)
      ? success(text)
      : failure('machine.address'),
  ),
  checkEveryDays: typed((text) =>
    /^\d{1,3}$/.test(plainFigures(text)) && Number(plainFigures(text)) >= 1
      ? success(Number(plainFigures(text)))
      : failure('machine.check days'),
  ),
});

export type MachineEntry = z.input<typeof machineSchema>;

export const MOUNTS = MOUNT_POINTS.map(String) as MachineEntry['mounts'][];

export const NEW_MACHINE: MachineEntry = {
  name: '',
  gripperMm: '',
  kind: 'electronic constant pull',
  mounts: '6',
  sports: { tennis: true, badminton: true, squash: true },
  clampKind: 'fixed swivel',
  clamps: '2',
  startingClamps: '1',
  headAddress: '',
  checkEveryDays: '30',
};

export const machineEntryOf = (machine: MachineFacts): MachineEntry => ({
  name: machine.name,
  gripperMm: centimetreFigure(machine.gripperMm),
  kind: machine.kind,
  mounts: MOUNTS.find((points) => points === String(machine.mounts)) ?? '6',
  sports: {
    tennis: machine.sports.includes('tennis'),
    badminton: machine.sports.includes('badminton'),
    squash: machine.sports.includes('squash'),
  },
  clampKind: machine.clampKind,
  clamps: machine.clamps === 1 ? '1' : '2',
  startingClamps: machine.startingClamps === 0 ? '0' : '1',
  headAddress: machine.headAddress ?? '',
  checkEveryDays: String(machine.checkEveryDays),
});
