import { z } from 'zod';
import type { Calipers } from '@/core/load/calibrate';
import { decimal, plainFigures } from '@/core/measure/figures';
import { textIn } from '@/core/measure/typed';

/** No inside changes by more, mm. */
const MOST_MM = 15;

/** A change in mm, with its sign; NaN where it is none. */
const changeIn = (text: string): number => {
  const match = /^([-+]?) ?(\d{1,2}(?:[.,]\d{1,2})?)$/.exec(plainFigures(text));
  if (!match) return NaN;
  const size = decimal(match[2] ?? '');
  return match[1] === '-' ? -size : size;
};

export const calipersSchema = z
  .object({ mainsLength: textIn, mainsWidth: textIn, endLength: textIn, endWidth: textIn })
  .transform((entry, context): Calipers => {
    const read = (path: keyof typeof entry): number => {
      const value = changeIn(entry[path]);
      if (!(Math.abs(value) <= MOST_MM))
        context.addIssue({
          code: 'custom',
          path: [path],
          message: 'Against the empty frame, in mm: -0.8, or 1.5.',
        });
      return value;
    };
    const ended = entry.endLength.trim() !== '' || entry.endWidth.trim() !== '';
    return {
      afterMains: { lengthMm: read('mainsLength'), widthMm: read('mainsWidth') },
      end: ended ? { lengthMm: read('endLength'), widthMm: read('endWidth') } : null,
    };
  });

export type CalipersEntry = z.input<typeof calipersSchema>;

export const NOT_MEASURED: CalipersEntry = {
  mainsLength: '',
  mainsWidth: '',
  endLength: '',
  endWidth: '',
};
