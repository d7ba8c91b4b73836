import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Bed } from './bed';
import type { Skips } from './holes';
import { OUTLINE_FAMILIES } from './outline';
import {
  answerCost,
  DEEPEST,
  possibleSkips,
  solveSkips,
  type SeenSkips,
  type SkipQuestion,
} from './skip-solver';
import { bedOf, type SpecChanges } from '../testing/frame-spec';

const NOTHING: SeenSkips = { skip: [], all: false, count: undefined };
const question = (bed: Bed, changes: Partial<SkipQuestion> = {}): SkipQuestion => ({
  sport: bed.spec.sport,
  outline: bed.outline,
  arcs: bed.holes.map(({ arc }) => arc),
  mainsPerSide: bed.mainsPerSide,
  crosses: bed.spec.pattern.crosses,
  shared: { head: [], throat: [] },
  bridgeAside: undefined,
  seen: { head: NOTHING, throat: NOTHING },
  fan: bed.spec.head.outline === 'teardrop',
  ...changes,
});
const best = (asked: SkipQuestion) => solveSkips(asked).answers[0]?.skips;

/** Every set of at most `most` numbers from 1 to `to`. */
function sets(to: number, most: number): number[][] {
  const all: number[][] = [];
  for (let bits = 0; bits < 2 ** to; bits++) {
    const set = Array.from({ length: to }, (_, i) => i + 1).filter((i) => (bits >> (i - 1)) & 1);
    if (set.length <= most) all.push(set);
  }
  return all;
}

describe('the exact optimum', () => {
  const small: SpecChanges[] = OUTLINE_FAMILIES.flatMap((outline) => [
    { outline, sport: 'squash', lengthMm: 260, widthMm: 170, mains: 8, crosses: 14 } as const,
    { outline, sport: 'tennis', lengthMm: 300, widthMm: 220, mains: 10, crosses: 15 } as const,
  ]);

  // Source: trying every pair of skip sets, built here by bits and not by the solver's own search.
  it.each(small)('is what trying everything finds: %j', (changes) => {
    const bed = bedOf(changes);
    const noisy = bed.holes.map(({ arc }, i) => arc + Math.sin(i * 12.9898) * 0.8);
    const asked = question(bed, { arcs: noisy });
    const possible = possibleSkips(asked);
    const allowed = (end: 'head' | 'throat') => {
      const known = new Set(possible[end].map(String));
      return sets(bed.mainsPerSide + 4, DEEPEST).filter((set) => known.has(String(set)));
    };
    expect(allowed('head').length).toBe(possible.head.length);
    const all = allowed('head').flatMap((head) =>
      allowed('throat').map((throat): { skips: Skips; cost: number } => ({
        skips: { head, throat },
        cost: answerCost(asked, { head, throat }),
      })),
    );
    const byTrying = all.sort((a, b) => a.cost - b.cost).slice(0, 5);
    const { answers } = solveSkips(asked);
    expect(answers.map(({ cost }) => cost.toFixed(6))).toEqual(
      byTrying.map(({ cost }) => cost.toFixed(6)),
    );
    expect(answers[0]?.skips).toEqual(byTrying[0]?.skips);
  });

  it('considers every set that counting allows: skips lie inside the outermost main', () => {
    const bed = bedOf({});
    const { head } = possibleSkips(question(bed));
    const byHand = sets(12, DEEPEST).filter((set) => set.every((hole, i) => hole <= 8 + i));
    // Holes 1 to 4 could only take a cross of less than 0.3 of the width: 2·x is 37 mm at 2H's 18 mm.
    const far = bed.holes.filter((hole) => hole.end === 'head' && 2 * hole.x >= 0.3 * 248);
    const first = far[0]?.number ?? 0;
    expect(head.map(String).sort()).toEqual(
      byHand
        .filter((set) => set.every((hole) => hole >= first))
        .map(String)
        .sort(),
    );
  });
});

describe('what is found', () => {
  // Source: practice (skips 7 and 9 at both ends on a 16 × 19 of 100 in²).
  it('7 and 9 at both ends of a 16 × 19, and that is sure', () => {
    const proposal = solveSkips(question(bedOf({ head: [7, 9], throat: [7, 9] })));
    expect(proposal.answers[0]?.skips).toEqual({ head: [7, 9], throat: [7, 9] });
    expect(proposal.certainty).toBe('sure');
    expect(proposal.answers.map(({ share }) => share)).toEqual(
      proposal.answers.map(({ share }) => share).toSorted((a, b) => b - a),
    );
  });

  it('is not thrown off by one bad reading', () => {
    const bed = bedOf({ head: [7, 9], throat: [7, 9] });
    for (const bad of [2, 5, 7, 8, 14, 20, 27, 33]) {
      const arcs = bed.holes.map(({ arc }, i) => arc + (i === bad ? 3.5 : 0));
      expect(best(question(bed, { arcs: arcs.sort((a, b) => a - b) }))).toEqual({
        head: [7, 9],
        throat: [7, 9],
      });
    }
  });

  it('judges the fan of a teardrop, whose mains are not parallel', () => {
    const bed = bedOf({
      sport: 'squash',
      lengthMm: 345,
      widthMm: 185,
      outline: 'teardrop',
      mains: 14,
      crosses: 18,
      bridgeHoles: 6,
      head: [7],
      throat: [],
    });
    expect(best(question(bed))).toEqual({ head: [7], throat: [] });
  });

  it('a near tie is said to be one', () => {
    const bed = bedOf({ head: [7, 9], throat: [7, 9] });
    // At both ends hole 7 and hole 8 moved together: nobody can tell the cross from the main.
    const arcOf = (label: string) => bed.holes.find((hole) => hole.label === label)?.arc ?? 0;
    const arcs = bed.holes
      .map(({ label, arc, end }) => {
        if (!/^[78][HT]$/.test(label)) return arc;
        const letter = end === 'head' ? 'H' : 'T';
        const middle = (arcOf(`7${letter}`) + arcOf(`8${letter}`)) / 2;
        return middle + (arc < middle ? -0.2 : 0.2);
      })
      .sort((a, b) => a - b);
    const { answers, certainty } = solveSkips(question(bed, { arcs }));
    expect(certainty).toBe('near tie');
    expect(answers.map(({ skips }) => skips.head)).toEqual(
      expect.arrayContaining([
        [7, 9],
        [8, 9],
      ]),
    );
  });
});

it('answers too where the ends leave no cross in the middle', () => {
  const bed = bedOf({ mains: 12, crosses: 14 });
  const crosses = 6;
  const arcs = bed.holes.map(({ arc }) => arc).slice(0, 12 + crosses);
  const seen = { head: { ...NOTHING, count: 4 }, throat: { ...NOTHING, count: 7 } };
  expect(() => solveSkips(question(bed, { arcs, crosses, seen }))).not.toThrow();
});

describe('what is known prunes', () => {
  const bed = bedOf({ head: [7, 9], throat: [7, 9] });
  const seen = (known: Partial<SeenSkips>) => ({
    head: { ...NOTHING, ...known },
    throat: NOTHING,
  });

  it('a skip already seen is in every answer', () => {
    const { answers } = solveSkips(question(bed, { seen: seen({ skip: [8] }) }));
    expect(answers.every(({ skips }) => skips.head.includes(8))).toBe(true);
  });
  it('an end that is read stays as read', () => {
    const { answers } = solveSkips(question(bed, { seen: seen({ skip: [8], all: true }) }));
    expect(answers.map(({ skips }) => skips.head)).toEqual(answers.map(() => [8]));
  });
  it('a known number of skips is kept to', () => {
    const { answers } = solveSkips(question(bed, { seen: seen({ count: 1 }) }));
    expect(answers.every(({ skips }) => skips.head.length === 1)).toBe(true);
  });
  it('the bridge takes mains only', () => {
    const { throat } = possibleSkips(question(bed, { bridgeAside: 6 }));
    expect(Math.min(...throat.flat())).toBe(7);
  });
  it('holes that do not add up have no answer', () => {
    expect(solveSkips(question(bed, { crosses: 20 })).answers).toEqual([]);
  });
  it('a shared hole is a main and a cross', () => {
    const shared = bedOf({ crosses: 20, head: [7], throat: [7, 9], shared: ['9H'] });
    expect(best(question(shared, { shared: { head: [9], throat: [] } }))).toEqual({
      head: [7],
      throat: [7, 9],
    });
  });
});

describe('any reading', () => {
  it('gives ranked answers whose shares add up to one, and never throws', () => {
    const bed = bedOf({ sport: 'badminton', lengthMm: 238, widthMm: 184, mains: 22, crosses: 22 });
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -6, max: 6, noNaN: true }), {
          minLength: bed.holes.length,
          maxLength: bed.holes.length,
        }),
        (errors) => {
          const arcs = bed.holes.map(({ arc }, i) => arc + (errors[i] ?? 0)).sort((a, b) => a - b);
          const { answers } = solveSkips(question(bed, { arcs }));
          expect(answers.length).toBeGreaterThan(0);
          expect(answers.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
          answers.forEach(({ cost }, i) =>
            expect(cost).toBeGreaterThanOrEqual(answers[i - 1]?.cost ?? -Infinity),
          );
        },
      ),
      { numRuns: 20 },
    );
  });
});
