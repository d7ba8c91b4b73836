/**
 * Study and plan without the interface and without a database:
 *   npm run -s orthotens -- study FRAME.json [--json]
 *   npm run -s orthotens -- plan FRAME.json --method two-piece [--short-side left] [--tension 24/23] [--json]
 *   npm run -s orthotens -- job|queue|shelf|balance|read-bed FILE.json [--json]
 *   npm run -s orthotens -- pitch FILE.wav [--json]
 *   npm run -s orthotens -- load FRAME.json [--method two-piece] [--tension 55/53] [--mounts 6] [--json]
 *   npm run -s orthotens -- load --ring '{"radiusMm":145,"eiNmm2":1.2e8,"eaN":1e9,"load":{"kind":"mains","tensionN":20,"pitchMm":14}}' [--json]
 */
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { METHODS } from '@/core/terms/method';
import { refuse } from './commands/command';
import { balance, job, queue, readBed, shelf } from './commands/documents';
import { cutOptions, plan, study, type CutOptions } from './commands/frame';
import { load, loadOptions, ring, type LoadOptions } from './commands/load';
import { pitch } from './commands/pitch';

const USAGE =
  'Say study FRAME.json, job JOB.json, queue QUEUE.json, shelf SHELF.json, balance RACKET.json, read-bed BED.json, pitch TAPS.wav, load FRAME.json [--mounts 6], load --ring JSON or plan FRAME.json --method two-piece [--short-side left] [--cross-start left] [--family monofilament] [--gauge 1.25] [--tension 24/23], with --json for programs; - reads from the standard input.';

const COMMANDS: Readonly<
  Record<string, (file: string, json: boolean, options: CutOptions & LoadOptions) => void>
> = { study, plan, job, queue, shelf, balance, pitch, load, 'read-bed': readBed };

const optionsSchema = z.object({ json: z.boolean().default(false), ...cutOptions, ...loadOptions });

function commandLine() {
  try {
    return parseArgs({
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

const { positionals, values } = commandLine();
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
