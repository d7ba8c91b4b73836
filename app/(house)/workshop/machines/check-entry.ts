import { z } from 'zod';
import { parsePull } from '@/core/measure/parsing';
import { typed } from '@/core/measure/typed';
import { MISREAD } from '@/core/house/calibration';
import { formatTension, type TensionUnit } from '@/core/measure/units';

export const checkSchema = (unit: TensionUnit) =>
  z
    .object({
      asked: typed((text) => parsePull(text, unit)),
      measured: typed((text) => parsePull(text, unit)),
      /** It really reads so, however odd. */
      sure: z.boolean(),
    })
    .transform(({ asked, measured, sure }, context) => {
      const off = measured / asked - 1;
      if (Math.abs(off) > MISREAD && !sure)
        context.addIssue({
          code: 'custom',
          path: ['measured'],
          message: `${formatTension(measured, unit)} where ${formatTension(asked, unit)} was set: is it misread? Write what it says, or tick that it really reads so.`,
        });
      return { askedN: asked, measuredN: measured };
    });

export type CheckEntry = z.input<ReturnType<typeof checkSchema>>;
