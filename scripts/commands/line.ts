/** The command line of `scripts/orthotens.ts`: which command, which file, which options. */
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { METHODS } from '@/core/terms/method';
import { refuse } from './command';
import { balance, job, queue, readBed, shelf } from './documents';
import { cutOptions, plan, study, type CutOptions } from './frame';
import { load, loadOptions, ring, type LoadOptions } from './load';
import { pitch } from './pitch';

const USAGE =
  'Say study FRAME.json, job JOB.json, queue QUEUE.json, shelf SHELF.json, balance RACKET.json, read-bed BED.json, pitch TAPS.wav, load FRAME.json [--mounts 6], load --ring JSON or plan FRAME.json --method two-piece [--short-side left] [--cross-start left] [--family monofilament] [--gauge 1.25] [--tension 24/23], with --json for programs; - reads from the standard input.';

const COMMANDS: Readonly<
  Record<string, (file: string, json: boolean, options: CutOptions & LoadOptions) => void>
> = { study, plan, job, queue, shelf, balance, pitch, load, 'read-bed': readBed };

const optionsSchema = z.object({ json: z.boolean().default(false), ...cutOptions, ...loadOptions });

function read(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        json: { type: 'boolean' },
        method: { type: 'string' },
        'short-side': { type: 'string' },
        'cross-start': { type: 'string' },
        family: { type: 'string' },
        gauge: { type: 'string' },
        tension: { type: 'string' },
        ring: { type: 'string' },
        mounts: { type: 'string' },
      },
    });
  } catch (error) {
    return refuse(
      `${error instanceof Error ? error.message.split('. ')[0] : 'Bad option'}. ${USAGE}`,
    );
  }
}

/** Does what it is told on the command line, and prints it; bad input ends the process with one sentence. */
export function obey(args: readonly string[]): void {
  const { positionals, values } = read(args);
  const [command = '', file, ...more] = positionals;
  const run = Object.hasOwn(COMMANDS, command) ? COMMANDS[command] : undefined;
  const isRing = command === 'load' && values.ring !== undefined && file === undefined;
  if (!run || (!file && !isRing) || more.length > 0) refuse(USAGE);
  const options = optionsSchema.safeParse(values);
  if (!options.success) {
    const [issue] = options.error.issues;
    refuse(
      `--${String(issue?.path[0])} cannot be “${String(values[issue?.path[0] as 'method'])}”: ${issue?.path[0] === 'method' ? `it is one of ${METHODS.join(', ')}` : issue?.message}.`,
    );
  }
  const { json, ...cut } = options.data;
  if (isRing) ring(cut.ring ?? '', json);
  else run(file ?? '', json, cut);
}
