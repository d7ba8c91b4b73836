/**
 * Study and plan a frame without the interface and without a database:
 *   npm run -s orthotens -- study FRAME.json [--json]
 *   npm run -s orthotens -- job JOB.json [--json]
 *   npm run -s orthotens -- queue QUEUE.json [--json]
 *   npm run -s orthotens -- shelf SHELF.json [--json]
 *   npm run -s orthotens -- plan FRAME.json --method two-piece [--short-side left] [--tension 24/23] [--json]
 */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { studyFrame } from '@/core/frame/bed';
import { familySchema } from '@/core/terms/family';
import { parseGauge } from '@/core/measure/gauge';
import { parseTicketTension } from '@/core/measure/parsing';
import { USUAL_PULL_N } from '@/core/measure/pull-limits';
import { formatMetres, type TicketTension } from '@/core/measure/units';
import { success } from '@/core/terms/result';
import { METHODS, methodSchema } from '@/core/terms/method';
import { usualChoice } from '@/core/cut/methods';
import { sideSchema } from '@/core/terms/ends';
import type { Sport } from '@/core/terms/sport';
import { planQueue } from '@/core/queue/plan';
import { readFrameFile } from '@/formats/frame-file';
import { jobReport, planAnew, readJobDocument } from '@/formats/job-document';
import { queueReport, readQueue } from '@/formats/queue-document';
import { readShelf, shelfReport } from '@/formats/shelf-document';
import { planData, planText, studyData, studyText, type PlanQuestion } from '@/formats/plan-report';

const USAGE =
  'Say study FRAME.json, job JOB.json, queue QUEUE.json, shelf SHELF.json or plan FRAME.json --method two-piece [--short-side left] [--cross-start left] [--family monofilament] [--gauge 1.25] [--tension 24/23], with --json for programs; - reads from the standard input.';

/** One sentence, and the exit code for bad input. */
function refuse(sentence: string): never {
  console.error(sentence);
  process.exit(2);
}

const USUAL_GAUGE: Record<Sport, string> = { tennis: '1.25', badminton: '0.68', squash: '1.20' };

const optionsSchema = z.object({
  json: z.boolean().default(false),
  method: methodSchema.optional(),
  'short-side': sideSchema.optional(),
  'cross-start': sideSchema.optional(),
  family: familySchema.default('monofilament'),
  gauge: z.string().optional(),
  tension: z.string().optional(),
});

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
      },
    });
  } catch (error) {
    return refuse(
      `${error instanceof Error ? error.message.split('. ')[0] : 'Bad option'}. ${USAGE}`,
    );
  }
}

function textOf(file: string): string {
  try {
    return readFileSync(file === '-' ? 0 : resolve(process.env.INIT_CWD ?? '.', file), 'utf8');
  } catch {
    return refuse(`The file ${file} cannot be read: is its name right?`);
  }
}

const { positionals, values } = commandLine();
const [command, file, ...more] = positionals;
if (
  !command ||
  !['study', 'plan', 'job', 'queue', 'shelf'].includes(command) ||
  !file ||
  more.length > 0
)
  refuse(USAGE);
const options = optionsSchema.safeParse(values);
if (!options.success) {
  const [issue] = options.error.issues;
  refuse(
    `--${String(issue?.path[0])} cannot be “${String(values[issue?.path[0] as 'method'])}”: ${issue?.path[0] === 'method' ? `it is one of ${METHODS.join(', ')}` : issue?.message}.`,
  );
}
const print = (data: unknown) => console.log(JSON.stringify(data, null, 2));

if (command === 'job') {
  const document = readJobDocument(textOf(file));
  if (!document.ok) refuse(`${file}: ${document.problem}`);
  const job = planAnew(document.value);
  if (!job.ok) refuse(`${file}: ${job.problem}`);
  const report = jobReport(document.value, job.value);
  if (options.data.json) print(report);
  else
    console.log(
      [
        `Job ${report.number}, ${report.client}, ${report.racket.frameName}: ${report.ticket}`,
        ...report.pieces.map(({ name, cutMm }) => `${name} ${formatMetres(cutMm)}`),
      ].join('\n'),
    );
  process.exit(0);
}

if (command === 'queue') {
  const queue = readQueue(textOf(file));
  if (!queue.ok) refuse(`${file}: ${queue.problem}`);
  const { now, benches, jobs } = queue.value;
  const plan = planQueue(now, benches, jobs);
  if (!plan.ok) refuse(`${file}: ${plan.problem}`);
  const report = queueReport(plan.value);
  if (options.data.json) print(report);
  else
    console.log(
      [
        ...report.jobs.map(
          ({ number, bench, start, finish, lateMin }) =>
            `${start}  ${bench}  ${number}, done ${finish.slice(11)}${lateMin ? `, ${lateMin} min late` : ''}`,
        ),
        plan.value.exact
          ? `Nothing is later than ${report.maxLateMin} min; no plan is better.`
          : `Nothing is later than ${report.maxLateMin} min; no plan has less than ${Math.floor(plan.value.leastLateMin)} min.`,
      ].join('\n'),
    );
  process.exit(0);
}

if (command === 'shelf') {
  const shelf = readShelf(textOf(file));
  if (!shelf.ok) refuse(`${file}: ${shelf.problem}`);
  const report = shelfReport(shelf.value);
  if (options.data.json) print(report);
  else
    console.log(
      [
        ...report.cuts.map(({ piece, from }) => `${piece} from ${from}`),
        ...report.unserved.map((piece) => `${piece}: nothing is long enough`),
        `Opened for ${report.openedPrice}, ${report.scrapMm} mm scrap.`,
      ].join('\n'),
    );
  process.exit(0);
}

const entries = readFrameFile(textOf(file));
const [entry] = entries;
if (!entry || entries.length > 1)
  refuse(`${file} holds ${entries.length} frames: give one at a time.`);
if (!entry.ok) {
  const [problem] = entry.problems;
  refuse(`${file}, line ${problem?.line}: ${problem?.reason}`);
}
const { frame } = entry;
const study = studyFrame(frame.spec);
const { bed } = study;
if (!bed) refuse(study.problems[0]?.problem ?? 'This frame makes no bed.');

const { json, method, gauge, family, tension } = options.data;

if (command === 'study') {
  if (json) print(studyData(frame, study, bed));
  else console.log(studyText(frame, study, bed));
} else {
  const thickness = parseGauge(gauge ?? USUAL_GAUGE[frame.spec.sport], frame.spec.sport);
  if (!thickness.ok) refuse(thickness.problem);
  const { sport } = frame.spec;
  const usualN = USUAL_PULL_N[sport];
  const pulls =
    tension === undefined
      ? success<TicketTension>({ mainN: usualN, crossN: usualN, unit: 'kg' })
      : parseTicketTension(tension, sport, 'kg');
  if (!pulls.ok) refuse(pulls.problem);
  const usual = usualChoice(bed, false);
  const question: PlanQuestion = {
    bed,
    study,
    choice: {
      method: method ?? usual.method,
      shortSide: options.data['short-side'] ?? usual.shortSide,
      crossStart: options.data['cross-start'] ?? usual.crossStart,
    },
    string: { family, gaugeMm: thickness.value },
    tension: pulls.value,
  };
  const planned = json ? planData(question) : planText(frame.name, question);
  if (!planned.ok) refuse(planned.problem);
  if (typeof planned.value === 'string') console.log(planned.value);
  else print(planned.value.data);
}
