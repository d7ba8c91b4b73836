import { z } from 'zod';
import { bareFigure } from '@/core/measure/figures';
import { textIn } from '@/core/measure/reading';
import { LOOKED, LOOKS, type LastLook } from '@/core/reading/last-look';
import { roundTo } from '@/core/measure/units';

const looked = z.enum(LOOKED).or(z.literal(''));

export const lookSchema = z
  .object({
    straight: looked,
    gaps: looked,
    weave: looked,
    knots: looked,
    runs: looked,
    marks: looked,
    hz: textIn,
  })
  .transform((entry, context): LastLook => {
    const amiss = (path: string, problem: string) =>
      context.addIssue({ code: 'custom', path: [path], message: problem });
    const isOpen = LOOKS.some((look) => entry[look] === '');
    if (isOpen) amiss('hz', 'Something was not looked at yet: press one answer in each line.');
    const hz = bareFigure(entry.hz, 1);
    const isPitch = hz >= 100 && hz <= 3000;
    if (entry.hz.trim() !== '' && !isPitch)
      amiss('hz', 'A bed rings between 100 and 3000 Hz: 520.');
    const { straight, gaps, weave, knots, runs, marks } = entry;
    return {
      ...({ straight, gaps, weave, knots, runs, marks } as Omit<LastLook, 'hz'>),
      hz: isPitch ? roundTo(hz, 0.1) : null,
    };
  });
export type LookEntry = z.input<typeof lookSchema>;

const NOT_LOOKED: LookEntry = {
  straight: '',
  gaps: '',
  weave: '',
  knots: '',
  runs: '',
  marks: '',
  hz: '',
};

export const lookEntryOf = (look: LastLook | null): LookEntry =>
  look ? { ...look, hz: look.hz === null ? '' : String(look.hz) } : NOT_LOOKED;
