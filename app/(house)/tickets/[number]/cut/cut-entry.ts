import { z } from 'zod';
import { textIn } from '@/core/measure/typed';
import type { Bed } from '@/core/frame/bed';
import { methodProblem } from '@/core/cut/methods';
import { methodSchema } from '@/core/terms/method';
import { parseRemnants } from '@/core/measure/parsing';
import { sideSchema } from '@/core/terms/ends';
import { cutSourceSchema } from '@/core/cut/plan';
import { roundTo } from '@/core/measure/units';

/** A cut as it is chosen, read for one bed: only what this frame and these strings can take. */
export const cutSchema = (bed: Bed, hybrid: boolean) =>
  z
    .object({
      method: methodSchema,
      shortSide: sideSchema,
      crossStart: sideSchema,
      cutFrom: cutSourceSchema,
      remnants: textIn,
      machineId: z.union([z.literal(''), z.uuid()]),
    })
    .transform(({ remnants, machineId, ...entry }, context) => {
      const add = (path: 'method' | 'cutFrom' | 'remnants', message: string) =>
        context.addIssue({ code: 'custom', path: [path], message });
      const refused = methodProblem(bed, entry.method, hybrid);
      if (refused) add('method', refused.problem);
      const pieces = entry.method === 'two-piece' ? 2 : 1;
      if (entry.cutFrom === 'two half sets' && pieces === 1)
        add(
          'cutFrom',
          'One piece is longer than half a set: cut it from a set, a reel or a remnant.',
        );
      if (entry.cutFrom === 'one set' && hybrid)
        add('cutFrom', 'Two strings come from two sets: half of each, a reel or remnants.');
      let remnantsMm: number[] = [];
      if (entry.cutFrom === 'remnant') {
        const read = parseRemnants(remnants);
        if (!read.ok) add('remnants', read.problem);
        else if (read.value.length > pieces)
          add('remnants', 'One piece takes one length, not two.');
        else if (hybrid && read.value.length === 1)
          add('remnants', 'Two strings have two remnants: write mains/crosses, 6.2/5.9.');
        else remnantsMm = [...read.value];
      }
      return { ...entry, remnantsMm, machineId: machineId === '' ? null : machineId };
    });

export type CutEntry = z.input<ReturnType<typeof cutSchema>>;

/** Remnants as their field shows them again, in metres. */
export const remnantText = (lengthsMm: readonly number[] | null): string =>
  (lengthsMm ?? []).map((mm) => String(roundTo(mm / 1000, 0.001))).join('/');
