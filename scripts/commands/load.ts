/** What a hoop does while it is strung, or a bare ring under a load of the book. */
import { z } from 'zod';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { frameLoad, MOUNT_COUNTS } from '@/core/load/frame-load';
import { ringChange } from '@/core/load/ring';
import { stringUnderLoad } from '@/core/load/stringing';
import { usualJobOn } from '@/core/load/usual-job';
import { roundTo } from '@/core/measure/units';
import { print, refuse, valueOf } from './command';
import { frameOf, stringing, type CutOptions } from './frame';

const positive = z.number().positive();
const spread = z.strictObject({ tensionN: positive.max(1000), pitchMm: positive.max(200) });
const ringSchema = z.strictObject({
  radiusMm: positive.max(1000),
  eiNmm2: positive.max(1e12),
  eaN: positive.max(1e12),
  load: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('opposite points'), n: positive.max(100_000) }),
    spread.extend({ kind: z.literal('mains') }),
    spread.extend({ kind: z.literal('net') }),
  ]),
});

/** A bare ring, its JSON on the command line. */
export function ring(text: string, json: boolean): void {
  const parsed = ((): unknown => {
    try {
      return JSON.parse(text);
    } catch {
      return refuse(
        '--ring takes JSON: {"radiusMm":145,"eiNmm2":1.2e8,"eaN":1e9,"load":{"kind":"opposite points","n":100}}.',
      );
    }
  })();
  const read = ringSchema.safeParse(parsed);
  if (!read.success) {
    const [issue] = read.error.issues;
    return refuse(`--ring, ${issue?.path.join('.') || 'as a whole'}: ${issue?.message}.`);
  }
  const { alongMm, acrossMm } = ringChange(read.data);
  if (json) print({ alongMm, acrossMm });
  else console.log(`along ${alongMm.toFixed(3)} mm, across ${acrossMm.toFixed(3)} mm`);
}

export const loadOptions = {
  ring: z.string().optional(),
  mounts: z
    .string()
    .transform(Number)
    .pipe(z.union(MOUNT_COUNTS.map((count) => z.literal(count))))
    .default(6),
};
export type LoadOptions = z.output<z.ZodObject<typeof loadOptions>>;

/** A frame, strung as is usual, pull by pull. */
export function load(file: string, json: boolean, options: CutOptions & LoadOptions): void {
  const { bed } = frameOf(file);
  const { gaugeMm, tension } = stringing(bed.spec.sport, options);
  const job = usualJobOn(bed, USUAL_HOUSE, {
    tension,
    string: { family: options.family, gaugeMm },
    choice: {
      ...(options.method && { method: options.method }),
      ...(options['short-side'] && { shortSide: options['short-side'] }),
      ...(options['cross-start'] && { crossStart: options['cross-start'] }),
    },
  });
  const question = valueOf(file, frameLoad(job, { mounts: options.mounts }));
  const strung = stringUnderLoad(question);
  const pulls = strung.pulls.map(({ string: name, lengthChangeMm, widthChangeMm }) => ({
    string: name,
    lengthChangeMm: roundTo(lengthChangeMm, 0.001),
    widthChangeMm: roundTo(widthChangeMm, 0.001),
  }));
  const strings = strung.strings.map(({ name, setN, finalN }) => ({
    name,
    setN: roundTo(setN, 0.01),
    finalN: roundTo(finalN, 0.01),
  }));
  const end = {
    lengthChangeMm: roundTo(strung.end.lengthChangeMm, 0.001),
    widthChangeMm: roundTo(strung.end.widthChangeMm, 0.001),
  };
  if (json) print({ pulls, strings, end });
  else
    console.log(
      [
        ...pulls.map(
          ({ string: name, lengthChangeMm, widthChangeMm }) =>
            `${name.padEnd(4)} length ${lengthChangeMm.toFixed(2)} mm, width ${widthChangeMm.toFixed(2)} mm`,
        ),
        `mounts open: length ${end.lengthChangeMm.toFixed(2)} mm, width ${end.widthChangeMm.toFixed(2)} mm`,
        ...strings.map(
          ({ name, setN, finalN }) =>
            `${name.padEnd(4)} set ${setN.toFixed(0)} N, ends at ${finalN.toFixed(0)} N`,
        ),
      ].join('\n'),
    );
}
