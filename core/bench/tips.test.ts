import { describe, expect, it } from 'vitest';
import { studyFrame } from '../frame/bed';
import type { BenchPlan, BenchStep } from './plan';
import { english } from '../terms/words/english';
import { benchNotes } from './notes';
import { USUAL_HOUSE } from '../house/house-rules';
import { LIBRARY } from '../frame/library';
import { pathThrough } from '../path/path';
import { benchPlan, everyJob, sequenceFor } from '../testing/bench-job';

const tipsOf = (steps: readonly BenchStep[]) => steps.flatMap(({ tips = [] }) => tips.map(english));
const jobOn = (name: string): BenchPlan => {
  const { bed } = studyFrame(LIBRARY.find((frame) => frame.name === name)!.spec);
  if (!bed) throw new Error(`${name} makes no bed.`);
  const path = pathThrough(bed, { method: 'two-piece', shortSide: 'left', crossStart: 'left' });
  return { ...benchPlan(), bed, path };
};
const at = (steps: readonly BenchStep[], part: string) =>
  steps.findIndex(({ tips = [] }) => tips.some((tip) => english(tip).includes(part)));

// Source of every sentence: common practice, no source.
describe('what is said at the step', () => {
  const { steps } = sequenceFor(benchPlan());

  it.each([
    ['as loosely as holds', 'pull', 'M1R'],
    ['goes over the mains that stand high', 'start', 'C1'],
    ['keep the crossing point moving', 'pull', 'C2'],
    ['a bow that is taken out later', 'pull', 'C3'],
    ['slower still', 'pull', 'C15'],
    ['over-pulled, it breaks', 'tie', undefined],
    ['until both knots have taken load', 'tie', undefined],
  ])('says “%s” once, at its step', (part, kind, string) => {
    const said = steps.filter(({ tips = [] }) => tips.some((tip) => english(tip).includes(part)));
    expect(said).toHaveLength(1);
    expect(said[0]?.kind).toBe(kind);
    if (string !== undefined) expect(said[0]?.string).toBe(string);
  });

  it('each cross begins opposite to the last, on every frame by every method', () => {
    for (const { name, method, plan } of everyJob()) {
      const beginnings = tipsOf(sequenceFor(plan).steps).flatMap((tip) => {
        const [, cross, over, main = '', side] =
          /^C(\d+) begins (over|under) M(\d+)([LR])$/.exec(tip) ?? [];
        return cross ? [{ cross: Number(cross), over, main: Number(main), side }] : [];
      });
      expect(beginnings, `${name}, ${method}`).toHaveLength(plan.bed.spec.pattern.crosses);
      // Counted from the left through the bed: over every other main, and the next cross the other way round.
      const weave = beginnings
        .toSorted((one, other) => one.cross - other.cross)
        .map(({ over, main, side }) => {
          const place =
            side === 'L' ? plan.bed.mainsPerSide - main + 1 : plan.bed.mainsPerSide + main;
          return (over === 'over') === (place % 2 === 0);
        });
      for (const [i, way] of weave.entries())
        if (i > 0) expect(way, `${name}, ${method}, C${i + 1}`).not.toBe(weave[i - 1]);
    }
  });

  it('an open port has its spacer in the upper half, and is told when it needs none any more', () => {
    const ported = sequenceFor(jobOn('Quillfen Marl Port 100')).steps;
    const spacers = ported.filter(({ tips = [] }) => tips.some((tip) => tip.key === 'tip.spacer'));
    const isUpper = ({ string }: BenchStep) => Number(string?.slice(1)) <= 9;
    expect(spacers.length).toBeGreaterThan(0);
    expect(spacers.every(isUpper)).toBe(true);
    expect(at(ported, 'no spacer is needed')).toBeGreaterThan(at(ported, 'A spacer in its port'));
    expect(at(steps, 'spacer')).toBe(-1);
  });

  it('double grommets, badminton and reversed mains have their word', () => {
    expect(
      at(sequenceFor(jobOn('Ostrevan Heron Twin 97')).steps, 'upper ones on the left'),
    ).toBeGreaterThan(0);
    const thimble = sequenceFor(jobOn('Wexquay Thimble')).steps;
    expect(at(thimble, 'or it coils')).toBeGreaterThan(0);
    expect(thimble[at(thimble, 'outer mains are reversed')]?.string).toMatch(/^M11/);
  });

  it('runs that share a groove are told their side of it, so that nothing crosses at the head', () => {
    const told = everyJob().flatMap(({ plan }) =>
      tipsOf(sequenceFor(plan).steps).filter((tip) => tip.includes('side of the groove')),
    );
    expect(told.length).toBeGreaterThan(0);
  });

  it('is turned off by the house; notes of frame and racket stay, each at its step', () => {
    const quiet = sequenceFor(
      benchPlan(undefined, undefined, {
        custom: { ...USUAL_HOUSE, tips: 'notes only' },
        notes: benchNotes(
          'rattles\nMount: adaptor for the sides\nknots: label at 6T\ncross: tight weave\nodd: kept whole',
        ),
      }),
    ).steps;
    expect(tipsOf(quiet)).toEqual([]);
    const notes = quiet.flatMap(({ kind, notes: own = [] }) =>
      own.map((note) => `${kind}: ${note}`),
    );
    expect(notes).toEqual([
      'inspect: rattles',
      'inspect: odd: kept whole',
      'mount: adaptor for the sides',
      'tie: label at 6T',
      'start: tight weave',
    ]);
  });
});
