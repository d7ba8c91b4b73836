/** The lines that a bench and a tension head say to each other (`docs/formats/tension-head.md`). */
import { z } from 'zod';
import { familySchema, type Family } from '@/core/terms/family';
import { failure, success, type Result } from '@/core/terms/result';
import type { PullKind } from '@/core/house/machine';
import { HEAD_FAULTS, type HeadFault } from '@/core/bench/tension-head';

/** What goes wrong in the next pull of a stand-in, so that it can be rehearsed. */
export const REHEARSALS = ['nothing', ...HEAD_FAULTS, 'lost link'] as const;
export type Rehearsal = (typeof REHEARSALS)[number];

export type ToHead =
  | { readonly say: 'identify' }
  | { readonly say: 'set'; readonly n: number }
  | { readonly say: 'string'; readonly family: Family }
  | { readonly say: 'pull' }
  | { readonly say: 'release' }
  | { readonly say: 'rehearse'; readonly what: Rehearsal };

export type FromHead =
  | {
      readonly say: 'head';
      readonly name: string;
      readonly pull: PullKind;
      readonly leastN: number;
      readonly mostN: number;
    }
  | { readonly say: 'ready'; readonly n: number }
  | { readonly say: 'reading'; readonly n: number }
  | { readonly say: 'hold'; readonly n: number }
  | { readonly say: 'released' }
  | { readonly say: 'fault'; readonly fault: HeadFault; readonly n: number }
  | { readonly say: 'refused'; readonly why: string };

const newtonsSchema = z
  .string()
  .regex(/^\d{1,4}(\.\d{1,2})?$/)
  .transform(Number);
const nothing = z.literal('');
const pullWord = z
  .enum(['constant', 'lock-out'])
  .transform((word): PullKind => (word === 'constant' ? 'constant pull' : word));

/** What stands after the first word of each line. */
const TO_HEAD = {
  identify: nothing.transform(() => ({ say: 'identify' as const })),
  set: newtonsSchema.transform((n) => ({ say: 'set' as const, n })),
  string: familySchema.transform((family) => ({ say: 'string' as const, family })),
  pull: nothing.transform(() => ({ say: 'pull' as const })),
  release: nothing.transform(() => ({ say: 'release' as const })),
  rehearse: z.enum(REHEARSALS).transform((what) => ({ say: 'rehearse' as const, what })),
};

const words = <T extends [z.ZodType, ...z.ZodType[]]>(...fields: T) =>
  z
    .string()
    .transform((text) => text.split(' '))
    .pipe(z.tuple(fields));

const FROM_HEAD = {
  head: words(z.string().min(1), pullWord, newtonsSchema, newtonsSchema).transform(
    ([name, pull, leastN, mostN]) => ({ say: 'head' as const, name, pull, leastN, mostN }),
  ),
  ready: newtonsSchema.transform((n) => ({ say: 'ready' as const, n })),
  reading: newtonsSchema.transform((n) => ({ say: 'reading' as const, n })),
  hold: newtonsSchema.transform((n) => ({ say: 'hold' as const, n })),
  released: nothing.transform(() => ({ say: 'released' as const })),
  fault: words(z.enum(HEAD_FAULTS), newtonsSchema).transform(([fault, n]) => ({
    say: 'fault' as const,
    fault,
    n,
  })),
  refused: z.string().transform((why) => ({ say: 'refused' as const, why })),
};

function read<T>(kinds: Readonly<Record<string, z.ZodType<T>>>, line: string): Result<T> {
  const [first = '', ...rest] = line.trim().split(' ');
  const kind = Object.hasOwn(kinds, first) ? kinds[first] : undefined;
  if (!kind) return failure('head.no line', { typed: first, known: Object.keys(kinds).join(', ') });
  const read = kind.safeParse(rest.join(' '));
  return read.success ? success(read.data) : failure('head.unread', { typed: line.trim() });
}

/** A line from the bench, or a sentence that says what is wrong with it. */
export const readToHead = (line: string): Result<ToHead> => read<ToHead>(TO_HEAD, line);
/** A line from the head, or a sentence that says what is wrong with it. */
export const readFromHead = (line: string): Result<FromHead> => read<FromHead>(FROM_HEAD, line);

const figure = (n: number): string => n.toFixed(1);

export function writeToHead(line: ToHead): string {
  switch (line.say) {
    case 'set':
      return `set ${figure(line.n)}`;
    case 'string':
      return `string ${line.family}`;
    case 'rehearse':
      return `rehearse ${line.what}`;
    default:
      return line.say;
  }
}

export function writeFromHead(line: FromHead): string {
  switch (line.say) {
    case 'head':
      return `head ${line.name} ${line.pull === 'lock-out' ? line.pull : 'constant'} ${figure(line.leastN)} ${figure(line.mostN)}`;
    case 'fault':
      return `fault ${line.fault} ${figure(line.n)}`;
    case 'refused':
      return `refused ${line.why}`;
    case 'released':
      return line.say;
    default:
      return `${line.say} ${figure(line.n)}`;
  }
}
