/** Commands that read one document and answer: a job, a day, a shelf, a balance, a finished bed. */
import { formatMetres } from '@/core/measure/units';
import { planQueue } from '@/core/queue/plan';
import { toDoWords } from '@/core/reading/words';
import { english } from '@/core/terms/words/english';
import { bedReport } from '@/formats/bed-document';
import { balanceReport } from '@/formats/balance-document';
import { jobReport, planAnew, readJobDocument } from '@/formats/job-document';
import { queueReport, readQueue } from '@/formats/queue-document';
import { readShelf, shelfReport } from '@/formats/shelf-document';
import { print, textOf, valueOf } from './command';

const show = (json: boolean, data: unknown, lines: () => readonly string[]): void =>
  json ? print(data) : console.log(lines().join('\n'));

export function job(file: string, json: boolean): void {
  const document = valueOf(file, readJobDocument(textOf(file)));
  const report = jobReport(document, valueOf(file, planAnew(document)));
  show(json, report, () => [
    `Job ${report.number}, ${report.client}, ${report.racket.frameName}: ${report.ticket}`,
    ...report.pieces.map(({ name, cutMm }) => `${name} ${formatMetres(cutMm)}`),
  ]);
}

export function queue(file: string, json: boolean): void {
  const { now, benches, jobs } = valueOf(file, readQueue(textOf(file)));
  const plan = valueOf(file, planQueue(now, benches, jobs));
  const report = queueReport(plan);
  show(json, report, () => [
    ...report.jobs.map(
      ({ number, bench, start, finish, lateMin }) =>
        `${start}  ${bench}  ${number}, done ${finish.slice(11)}${lateMin ? `, ${lateMin} min late` : ''}`,
    ),
    plan.exact
      ? `Nothing is later than ${report.maxLateMin} min; no plan is better.`
      : `Nothing is later than ${report.maxLateMin} min; no plan has less than ${Math.floor(plan.leastLateMin)} min.`,
  ]);
}

export function shelf(file: string, json: boolean): void {
  const report = shelfReport(valueOf(file, readShelf(textOf(file))));
  show(json, report, () => [
    ...report.cuts.map(({ piece, from }) => `${piece} from ${from}`),
    ...report.unserved.map((piece) => `${piece}: nothing is long enough`),
    `Opened for ${report.openedPrice}, ${report.scrapMm} mm scrap.`,
  ]);
}

export function balance(file: string, json: boolean): void {
  const report = valueOf(file, balanceReport(textOf(file)));
  const figures = ({ massG, balanceMm, swingKgCm2 }: typeof report.before) =>
    `${massG.toFixed(1)} g, ${balanceMm.toFixed(1)} mm, ${swingKgCm2.toFixed(1)} kg·cm²`;
  show(json, report, () => [
    `before ${figures(report.before)}`,
    ...(report.masses ?? []).map(({ name, massG }) => `${massG.toFixed(1)} g at ${name}`),
    ...(report.twinMasses ?? []).map(
      ({ name, massG }) => `${massG.toFixed(1)} g at ${name} of the other`,
    ),
    `after ${figures(report.after)}`,
    ...(report.words ? [report.words] : []),
  ]);
}

/** What a finished bed tells of how it was strung. */
export function readBed(file: string, json: boolean): void {
  const report = valueOf(file, bedReport(textOf(file)));
  const reasons = ({ for: speaks, against }: (typeof report.stories)[number]) =>
    [
      speaks.length > 0 ? `: ${speaks.join('; ')}` : '',
      against.length > 0 ? ` (against it: ${against.join('; ')})` : '',
    ].join('');
  show(json, report, () => [
    ...report.stories
      .slice(0, 3)
      .map((each) => `${Math.round(each.chance * 100)} %  ${each.words}${reasons(each)}`),
    report.told === 'open'
      ? 'It cannot be told from what was seen.'
      : report.told === 'sure'
        ? 'That is sure.'
        : 'That is likely.',
    ...(report.lookAt[0] ? [`Look at ${report.lookAt[0]}.`] : []),
    ...(report.toDo ? [`${english(toDoWords(report.toDo))}: ${report.why}.`] : []),
  ]);
}
