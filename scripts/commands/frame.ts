/** A frame studied, and a cut of it planned. */
import { z } from 'zod';
import { usualChoice } from '@/core/cut/methods';
import { studyFrame } from '@/core/frame/bed';
import { parseGauge } from '@/core/measure/gauge';
import { parseTicketTension } from '@/core/measure/parsing';
import { USUAL_PULL_N } from '@/core/measure/pull-limits';
import type { TicketTension } from '@/core/measure/units';
import { sideSchema } from '@/core/terms/ends';
import { familySchema } from '@/core/terms/family';
import { methodSchema } from '@/core/terms/method';
import { success } from '@/core/terms/result';
import type { Sport } from '@/core/terms/sport';
import { readFrameFile } from '@/formats/frame-file';
import { planData, planText, studyData, studyText, type PlanQuestion } from '@/formats/plan-report';
import { print, refuse, textOf } from './command';

const USUAL_GAUGE: Record<Sport, string> = { tennis: '1.25', badminton: '0.68', squash: '1.20' };

export const cutOptions = {
  method: methodSchema.optional(),
  'short-side': sideSchema.optional(),
  'cross-start': sideSchema.optional(),
  family: familySchema.default('monofilament'),
  gauge: z.string().optional(),
  tension: z.string().optional(),
};
export type CutOptions = z.output<z.ZodObject<typeof cutOptions>>;

/** The one frame of a file, with its bed. */
export function frameOf(file: string) {
  const entries = readFrameFile(textOf(file));
  const [entry] = entries;
  if (!entry || entries.length > 1)
    return refuse(`${file} holds ${entries.length} frames: give one at a time.`);
  if (!entry.ok) {
    const [problem] = entry.problems;
    return refuse(`${file}, line ${problem?.line}: ${problem?.reason}`);
  }
  const study = studyFrame(entry.frame.spec);
  const { bed } = study;
  return bed
    ? { frame: entry.frame, study, bed }
    : refuse(study.problems[0]?.problem ?? 'This frame makes no bed.');
}

/** Thickness and pulls as they are given, or as is usual for the sport. */
export function stringing(sport: Sport, { gauge, tension }: Pick<CutOptions, 'gauge' | 'tension'>) {
  const thickness = parseGauge(gauge ?? USUAL_GAUGE[sport], sport);
  if (!thickness.ok) return refuse(thickness.problem);
  const usualN = USUAL_PULL_N[sport];
  const pulls =
    tension === undefined
      ? success<TicketTension>({ mainN: usualN, crossN: usualN, unit: 'kg' })
      : parseTicketTension(tension, sport, 'kg');
  return pulls.ok ? { gaugeMm: thickness.value, tension: pulls.value } : refuse(pulls.problem);
}

export function study(file: string, json: boolean): void {
  const known = frameOf(file);
  if (json) print(studyData(known.frame, known.study, known.bed));
  else console.log(studyText(known.frame, known.study, known.bed));
}

export function plan(file: string, json: boolean, options: CutOptions): void {
  const { frame, study: studied, bed } = frameOf(file);
  const { gaugeMm, tension } = stringing(frame.spec.sport, options);
  const usual = usualChoice(bed, false);
  const question: PlanQuestion = {
    bed,
    study: studied,
    choice: {
      method: options.method ?? usual.method,
      shortSide: options['short-side'] ?? usual.shortSide,
      crossStart: options['cross-start'] ?? usual.crossStart,
    },
    string: { family: options.family, gaugeMm },
    tension,
  };
  const planned = json ? planData(question) : planText(frame.name, question);
  if (!planned.ok) refuse(planned.problem);
  if (typeof planned.value === 'string') console.log(planned.value);
  else print(planned.value.data);
}
