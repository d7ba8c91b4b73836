import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { studyFrame } from './bed';
import type { FrameSpec } from './frame';
import { keepApart } from './placement';
import { bedOf, frameSpec, ruledRows, type SpecChanges } from '../testing/frame-spec';

const problemsOf = (changes: SpecChanges) =>
  Object.fromEntries(
    studyFrame(frameSpec(changes)).problems.map(({ field, problem }) => [field, problem]),
  );

const labels = (holes: readonly { readonly label: string }[]) => holes.map(({ label }) => label);

describe('a 16 × 19 on a 100 in² oval', () => {
  const bed = bedOf({});

  // Source: practice (skips 7 and 9 at both ends are very common on a 16×19 of 100 in²).
  it('skips 7 and 9 at head and throat by even spacing', () => {
    expect(bed.proposedSkips).toEqual({ head: [7, 9], throat: [7, 9] });
  });

  it('numbers its holes from the centre outwards at both ends', () => {
    expect(labels(bed.mainHoles.head)).toEqual(
      [...'123456'].map((n) => `${n}H`).concat('8H', '10H'),
    );
    expect(labels(bed.crossHoles).slice(0, 4)).toEqual(['7H', '9H', '11H', '12H']);
    expect(labels(bed.crossHoles).slice(-3)).toEqual(['11T', '9T', '7T']);
    expect(bed.holes).toHaveLength(8 + 19 + 8);
  });

  it('has mains and crosses with gaps that widen smoothly outwards', () => {
    const x = bed.mainHoles.head.map((hole) => hole.x);
    const gaps = x.map((each, i) => each - (x[i - 1] ?? -each));
    gaps.slice(1).forEach((gap, i) => expect(gap).toBeGreaterThan((gaps[i] as number) - 0.3));
  });
});

describe('where mains start and finish', () => {
  // Source: practice (holes in the throat bridge, and mains per side).
  it.each([
    [16, 8, 'head', 'head'],
    [16, 6, 'throat', 'throat'],
    [18, 8, 'head', 'throat'],
    [18, 6, 'throat', 'head'],
  ] as const)('%d mains with %d bridge holes: %s to %s', (mains, bridgeHoles, start, finish) => {
    const bed = bedOf({ mains, bridgeHoles });
    expect([bed.mainsStart, bed.mainsFinish]).toEqual([start, finish]);
  });
});

describe('what is entered', () => {
  it.each([
    [{ mains: 17 }, 'mains', '16 or 18, not 17'],
    [{ mains: 40 }, 'mains', '8 to 26'],
    [{ crosses: 0 }, 'crosses', '8 to 30'],
    [{ bridgeHoles: 7 }, 'bridgeHoles', 'even number'],
    [{ lengthMm: 240, widthMm: 336 }, 'widthMm', 'swapped'],
    [{ lengthMm: 20 }, 'lengthMm', '150 mm'],
    [{ lengthMm: 160, widthMm: 110, crosses: 30 }, 'crosses', 'no room for 46 holes'],
    [{ head: [30] }, 'headSkip', 'no skip at hole 30'],
    [{ head: [3] }, 'headSkip', 'only about'],
    [
      { throat: [1, 2, 3, 4, 5, 6, 7, 8] },
      'throatSkip',
      'Hole 1T is one of the 4 a side in the bridge',
    ],
    [{ shared: ['2H'], head: [7] }, 'shared', 'hole 2H would be only'],
    [{ throat: [8, 10] }, 'throatSkip', 'outermost main is in 9T'],
    [{ crosses: 8, head: [5, 6, 7, 8], throat: [5, 6, 7] }, 'headSkip', 'too few holes'],
    [{ shared: ['7H'], head: [7, 9] }, 'shared', 'no main goes through 7H'],
    [{ tieOff: ['40T'] }, 'tieOff', 'no hole 40T'],
    [
      { positionsMm: { head: [6, 18], side: [], throat: [6, 18] } },
      'sideMm',
      'Rule all three rows',
    ],
    [
      { positionsMm: { head: [6, 130], side: [100], throat: [6, 18] } },
      'headMm',
      'outside a head 248 mm wide',
    ],
    [{ positionsMm: { head: [6, 90], side: [20], throat: [6, 18] } }, 'sideMm', 'before the last'],
    [
      { positionsMm: { head: [6, 18, 30], side: [100, 150, 200], throat: [6, 18] } },
      'crosses',
      '8 holes were ruled on one side, but 16 mains and 19 crosses, none shared, take 35',
    ],
  ] as const)('%j is refused at its field', (changes, field, part) => {
    expect(problemsOf(changes as SpecChanges)[field]).toContain(part);
  });

  // Source: ITF Rules of Tennis, Appendix II.
  it('an illegal head is refused, and strung with a caution when the owner insists', () => {
    expect(problemsOf({ lengthMm: 400 }).lengthMm).toContain('394 mm long');
    const { bed, cautions } = studyFrame(frameSpec({ lengthMm: 400, ownerInsists: true }));
    expect(bed).toBeDefined();
    expect(cautions.join()).toMatch(/394 mm long \(ITF .*\)\. The racket is not legal for play/);
  });

  it('skips that spacing alone would put elsewhere move the strings, and far ones are pointed out', () => {
    const bed = bedOf({ head: [8], throat: [8] });
    expect(labels(bed.mainHoles.head).at(-1)).toBe('9H');
    const odd = studyFrame(frameSpec({ head: [5, 6], throat: [7, 9] }));
    expect(odd.cautions.join()).toContain('even spacing would skip 7 9 at the head');
  });

  it('ruled holes stay where they were ruled, and say which are the skips', () => {
    const mains = [6, 18, 30, 42.5, 55, 68, 81.5, 95];
    const crosses = Array.from({ length: 19 }, (_, i) => 34 + i * 15);
    const head = { lengthMm: 336, widthMm: 248 };
    const bed = bedOf({ ...head, positionsMm: ruledRows(head, mains, crosses) });
    bed.mainHoles.head.forEach((hole, i) => expect(hole.x).toBeCloseTo(mains[i] as number, 2));
    bed.crossHoles.forEach((hole, i) => expect(168 - hole.y).toBeCloseTo(crosses[i] as number, 1));
    // By the ellipse M6, M7, M8 meet the rim 27.5, 41.4 and 60.0 mm below the tip; crosses at 34, 49, 64.
    expect(bed.skips.head).toEqual([7, 9]);
  });

  it('ruled holes contradict skips that were misread', () => {
    const head = { lengthMm: 336, widthMm: 248 };
    const positionsMm = ruledRows(
      head,
      [6, 18, 30, 42.5, 55, 68, 81.5, 95],
      Array.from({ length: 19 }, (_, i) => 34 + i * 15),
    );
    const read = { ...head, positionsMm, head: [8, 9], throat: [7, 9] };
    const { bed, cautions } = studyFrame(frameSpec(read));
    expect(bed?.skips.head).toEqual([8, 9]);
    expect(bed?.proposal.answers[0]?.skips).toEqual({ head: [7, 9], throat: [7, 9] });
    expect(cautions.join()).toContain('The ruled holes fit skips 7 9 at the head');
    // With only one end read, the other goes with it, and the ruler still says what it thinks.
    const half = studyFrame(frameSpec({ ...read, throat: null }));
    expect(half.bed?.skips.head).toEqual([8, 9]);
    expect(half.bed?.proposal.answers[0]?.skips.head).toEqual([7, 9]);
    expect(half.assumed.join()).toContain('proposed from the ruled holes');
  });

  it('a shared hole takes a main and a cross', () => {
    const bed = bedOf({ head: [7], shared: ['9H'], throat: [7, 9] });
    const hole = bed.holes.find(({ label }) => label === '9H');
    expect([hole?.main, hole?.cross]).toEqual([8, 2]);
    expect(bed.holes).toHaveLength(8 + 19 + 8 - 1);
  });
});

describe('any bed', () => {
  const anySpec: fc.Arbitrary<FrameSpec> = fc
    .record({
      sport: fc.constantFrom('tennis', 'badminton', 'squash'),
      lengthMm: fc.integer({ min: 200, max: 390 }),
      widthMm: fc.integer({ min: 140, max: 290 }),
      outline: fc.constantFrom('oval', 'squared oval', 'egg', 'teardrop'),
      mains: fc.integer({ min: 4, max: 13 }).map((n) => 2 * n),
      crosses: fc.integer({ min: 8, max: 30 }),
      bridgeHoles: fc.constantFrom(6, 8),
      head: fc.option(fc.uniqueArray(fc.integer({ min: 1, max: 15 }), { maxLength: 3 })),
      throat: fc.option(fc.uniqueArray(fc.integer({ min: 1, max: 15 }), { maxLength: 3 })),
    } as const)
    .map(({ head, throat, ...rest }) =>
      frameSpec({
        ...rest,
        head: head && head.toSorted((a, b) => a - b),
        throat: throat && throat.toSorted((a, b) => a - b),
      }),
    );

  it('has every string in exactly one hole at each end, in order along the rim', () => {
    fc.assert(
      fc.property(anySpec, (spec) => {
        const { bed, problems } = studyFrame(spec);
        expect(bed === undefined).toBe(problems.length > 0);
        if (!bed) return;
        const { mains, crosses } = spec.pattern;
        for (const end of ['head', 'throat'] as const)
          expect(bed.mainHoles[end].map((hole) => hole.main)).toEqual(
            Array.from({ length: mains / 2 }, (_, i) => i + 1),
          );
        expect(bed.crossHoles.map((hole) => hole.cross)).toEqual(
          Array.from({ length: crosses }, (_, i) => i + 1),
        );
        bed.holes.forEach((hole, i) => {
          const before = bed.holes[i - 1];
          if (before) expect(hole.arc - before.arc).toBeGreaterThan(3.4);
          expect(hole.arc).toBeLessThan(bed.perimeterMm / 2);
        });
      }),
      { numRuns: 60 },
    );
  });
});

describe('keeping holes apart', () => {
  it('leaves alone what is far enough, and spreads a crowd about its middle', () => {
    expect(keepApart([5, 10, 20], 5, 40)).toEqual([5, 10, 20]);
    expect(keepApart([10, 10, 30], 4, 40)).toEqual([8, 12, 30]);
    expect(keepApart([12, 8], 4, 40)).toEqual([8, 12]);
    expect(keepApart([0, 1, 39], 4, 40)).toEqual([2, 6, 38]);
  });
});
