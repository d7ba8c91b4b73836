import { z } from 'zod';
import { decimal, plainFigures } from '@/core/measure/figures';
import { parseTicketTension } from '@/core/measure/parsing';
import { optionalTyped } from '@/core/measure/typed';
import { failure, success, type Result } from '@/core/terms/result';
import type { PlainKey } from '@/core/terms/words/english';
import type { Sport } from '@/core/terms/sport';
import { talkSchema, type Talk } from '@/core/advice/talk';
import { ticketEntry, type TensionUnit } from '@/core/measure/units';

/** A question that may be skipped: empty is no answer. */
const skippable = <T extends string>(answers: { readonly unwrap: () => z.ZodType<T, T> }) =>
  z
    .union([answers.unwrap(), z.literal('')])
    .transform((answer): T | null => (answer === '' ? null : (answer as T)));

/** A whole or halved number within limits, an optional unit after it. */
const number =
  (least: number, most: number, unit: RegExp, problem: PlainKey) =>
  (text: string): Result<number> => {
    const typed = /^(-?\d{1,4}(?:[.,]\d)?)$/.exec(plainFigures(text).replace(unit, '').trim())?.[1];
    const value = decimal(typed ?? '');
    return typed !== undefined && value >= least && value <= most
      ? success(value)
      : failure(problem);
  };

const { shape } = talkSchema;
const racketShape = shape.racket.shape;

/** The talk as it is answered: empty texts are questions that were skipped. */
export const talkEntrySchema = (sport: Sport, unit: TensionUnit) => {
  const ticket = optionalTyped((text) => parseTicketTension(text, sport, unit));
  const grams = optionalTyped(number(0, 60, /\s*g$/, 'lead.beyond'));
  return z
    .object({
      age: skippable(shape.age),
      level: skippable(shape.level),
      swing: skippable(shape.swing),
      style: skippable(shape.style),
      playsAWeek: optionalTyped(number(0, 14, /\s*(a|per) week$/, 'plays.beyond')),
      breaks: skippable(shape.breaks),
      arm: skippable(shape.arm),
      armPart: skippable(shape.armPart),
      wants: shape.wants,
      faults: shape.faults,
      budget: skippable(shape.budget),
      court: skippable(shape.court),
      altitudeM: optionalTyped(number(-400, 5000, /\s*m$/, 'altitude.beyond')),
      season: skippable(shape.season),
      weather: skippable(shape.weather),
      asksFamily: skippable(shape.asksFamily),
      asks: ticket,
      beforeFamily: skippable(shape.beforeFamily),
      before: ticket,
      beforePull: skippable(shape.beforePull),
      weightG: optionalTyped(number(50, 450, /\s*g$/, 'racket mass.beyond')),
      stiffness: skippable(racketShape.stiffness),
      grip: skippable(racketShape.grip),
      leadHeadG: grams,
      leadHandleG: grams,
    })
    .transform(({ weightG, stiffness, grip, leadHeadG, leadHandleG, ...said }): Talk => ({
      ...said,
      racket: { weightG, stiffness, grip, leadHeadG, leadHandleG },
    }));
};

export type TalkEntry = z.input<ReturnType<typeof talkEntrySchema>>;

export function talkEntryOf({ racket, ...talk }: Talk): TalkEntry {
  const figure = (value: number | null) => (value === null ? '' : String(value));
  return {
    age: talk.age ?? '',
    level: talk.level ?? '',
    swing: talk.swing ?? '',
    style: talk.style ?? '',
    playsAWeek: figure(talk.playsAWeek),
    breaks: talk.breaks ?? '',
    arm: talk.arm ?? '',
    armPart: talk.armPart ?? '',
    wants: [...talk.wants],
    faults: [...talk.faults],
    budget: talk.budget ?? '',
    court: talk.court ?? '',
    altitudeM: figure(talk.altitudeM),
    season: talk.season ?? '',
    weather: talk.weather ?? '',
    asksFamily: talk.asksFamily ?? '',
    asks: talk.asks ? ticketEntry(talk.asks) : '',
    beforeFamily: talk.beforeFamily ?? '',
    before: talk.before ? ticketEntry(talk.before) : '',
    beforePull: talk.beforePull ?? '',
    weightG: figure(racket.weightG),
    stiffness: racket.stiffness ?? '',
    grip: racket.grip ?? '',
    leadHeadG: figure(racket.leadHeadG),
    leadHandleG: figure(racket.leadHandleG),
  };
}
