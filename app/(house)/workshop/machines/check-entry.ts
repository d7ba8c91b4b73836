import { z } from 'zod';
import { parsePull } from '@/core/measure/parsing';
import { reading } from '@/core/measure/reading';
import type { TensionUnit } from '@/core/measure/units';

export const checkSchema = (unit: TensionUnit) =>
  z
    .object({
      asked: reading((text) => parsePull(text, unit)),
      measured: reading((text) => parsePull(text, unit)),
    })
    .transform(({ asked, measured }) => ({ askedN: asked, measuredN: measured }));

export type CheckEntry = z.input<ReturnType<typeof checkSchema>>;
