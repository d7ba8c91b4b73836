import { z } from 'zod';
import { bareFigure } from '@/core/measure/figures';
import { textIn } from '@/core/measure/typed';
import { LOOKED, LOOKS, type LastLook } from '@/core/reading/last-look';
import { roundTo } from '@/core/measure/units';

const looked = z.enum(LOOKED).or(z.literal(''));

const fields = z.object({
  straight: looked,
  gaps: looked,
  weave: looked,
  knots: looked,
  runs: looked,
  marks: looked,
  hz: textIn,
});

function readLook(entry: z.output<typeof fields>, context: z.RefinementCtx): LastLook {
  const amiss = (path: string, problem: string) =>
    context.addIssue({ code: 'custom', path: [path], message: problem });
  const isOpen = LOOKS.some((look) => entry[look] === '');
  if (isOpen) amiss('hz', 'Something was not looked at yet: press one answer in each line.');
  const hz = bareFigure(entry.hz, 1);
  const isPitch = hz >= 100 && hz <= 3000;
  if (entry.hz.trim() !== '' && !isPitch) amiss('hz', 'A bed rings between 100 and 3000 Hz: 520.');
  const { straight, gaps, weave, knots, runs, marks } = entry;
  return {
    ...({ straight, gaps, weave, knots, runs, marks } as Omit<LastLook, 'hz'>),
    hz: isPitch ? roundTo(hz, 0.1) : null,
  };
}

const isUntouched = ({ hz, ...looks }: z.output<typeof fields>): boolean =>
  hz.trim() === '' && Object.values(looks).every((look) => look === '');

export const lookSchema = fields.transform(readLook);
/** The same where it may be left out: with nothing pressed it was not taken. */
export const lookOrNoneSchema = fields.transform((entry, context) =>
  isUntouched(entry) ? null : readLook(entry, context),
);
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
