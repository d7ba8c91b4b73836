import { describe, expect, it } from 'vitest';
import { USUAL_ASSUMPTIONS } from './lengths';
import { measureWords } from './measuring';
import { METHODS } from '../terms/method';
import {
  compareMethods,
  METHOD_PREFERENCES,
  methodProblem,
  pathCautions,
  possibleMethods,
  usualChoice,
} from './methods';
import { pathThrough } from '../path/path';
import { planCut, type PlannedString } from './plan';
import { bedOf, type SpecChanges } from '../testing/frame-spec';
import { lengthWords } from './wording';

const STRING: PlannedString = { family: 'monofilament', gaugeMm: 1.25, stretch: null };
const STRINGS = { mains: STRING, crosses: STRING };
const SIDES = { shortSide: 'left', crossStart: 'left' } as const;
const READ = { head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T', '8T'] };

describe('which methods a frame takes', () => {
  // Source: practice (one piece only when the mains finish at the head, around the frame when they
  // finish at the throat, bottom-up only when the frame says so).
  it.each<[string, SpecChanges, readonly string[]]>([
    ['16 mains from the head', {}, ['two-piece', 'one-piece', 'one-piece-top-cross']],
    ['16 mains from the throat', { bridgeHoles: 6 }, ['two-piece', 'around-the-frame']],
    [
      '18 mains from the head',
      { mains: 18, head: [8, 10], throat: [8, 10] },
      ['two-piece', 'around-the-frame'],
    ],
    [
      '18 mains from the throat',
      { mains: 18, bridgeHoles: 6, head: [8, 10], throat: [8, 10] },
      ['two-piece', 'one-piece', 'one-piece-top-cross'],
    ],
    [
      'crosses that must start at the throat, mains that finish there',
      { bridgeHoles: 6, stringing: { crossesFrom: 'throat' } },
      ['two-piece', 'bottom-up'],
    ],
    [
      'crosses that must start at the throat, mains that finish at the head',
      { stringing: { crossesFrom: 'throat' } },
      ['two-piece'],
    ],
    [
      'reversed outer mains that finish at the throat',
      { bridgeHoles: 6, stringing: { reversedOuterMains: true } },
      ['two-piece'],
    ],
  ])('%s', (_, changes, methods) => {
    expect(possibleMethods(bedOf({ ...READ, ...changes }), false)).toEqual(methods);
  });

  it('two strings make two pieces', () => {
    const bed = bedOf(READ);
    expect(possibleMethods(bed, true)).toEqual(['two-piece']);
    expect(methodProblem(bed, 'one-piece', true)?.code).toBe('method.hybrid');
  });

  it('what is refused says why', () => {
    const bed = bedOf(READ);
    for (const method of METHODS)
      if (!possibleMethods(bed, false).includes(method))
        expect(methodProblem(bed, method, false)?.problem.length).toBeGreaterThan(30);
  });
});

describe('cautions', () => {
  const cautions = (changes: SpecChanges, method: (typeof METHODS)[number]) => {
    const bed = bedOf({ ...READ, ...changes });
    return pathCautions(bed, pathThrough(bed, { method, ...SIDES })).join(' ');
  };
  it('the maker’s word comes first', () => {
    expect(cautions({ stringing: { methods: ['two-piece'] } }, 'one-piece')).toContain('warranty');
    expect(cautions({ stringing: { methods: ['one-piece'] } }, 'one-piece')).not.toContain(
      'warranty',
    );
  });
  // Source: practice (the load runs towards 10 and 2 o'clock, where the hoop is weakest).
  it('crosses from the throat load the shoulders', () => {
    expect(cautions({ stringing: { crossesFrom: 'throat' } }, 'two-piece')).toContain(
      '10 and 2 o’clock',
    );
  });
  it('a knot with no bored hole left is told', () => {
    expect(cautions({ tieOff: ['8H'] }, 'two-piece')).toContain('ruins its grommet');
  });
});

describe('methods side by side', () => {
  const bed = bedOf(READ);
  const compare = (preference: (typeof METHOD_PREFERENCES)[number]) =>
    compareMethods(bed, STRINGS, false, SIDES, USUAL_ASSUMPTIONS, preference);

  it('those that the frame does not take come last, with the reason', () => {
    for (const preference of METHOD_PREFERENCES) {
      const rows = compare(preference);
      expect(rows).toHaveLength(METHODS.length);
      expect(rows.slice(0, 3).every(({ found }) => found !== undefined)).toBe(true);
      expect(rows.slice(3).every(({ refused }) => refused !== undefined)).toBe(true);
    }
  });

  it('are sorted by what the workshop looks at first', () => {
    expect(compare('two pieces')[0]?.method).toBe('two-piece');
    // Two end crosses lose a little; a main and a cross lose more; two mains and two crosses most.
    expect(
      compare('fewest losses at knots')
        .map(({ method }) => method)
        .slice(0, 3),
    ).toEqual(['one-piece-top-cross', 'one-piece', 'two-piece']);
    const totals = compare('least string').flatMap(({ found }) => found?.totalMm ?? []);
    expect(totals).toEqual(totals.toSorted((a, b) => a - b));
    const minutes = compare('quickest').flatMap(({ found }) => found?.minutes ?? []);
    expect(minutes).toEqual(minutes.toSorted((a, b) => a - b));
  });

  // Two ends fewer: two reaches to the gripper and a margin less, whatever else.
  it('one piece saves the two ends in the middle', () => {
    const total = (method: string) =>
      compare('least string').find((row) => row.method === method)?.found?.totalMm ?? 0;
    const saved = total('two-piece') - total('one-piece');
    expect(saved).toBeGreaterThan(2 * USUAL_ASSUMPTIONS.gripperMm - 60);
    expect(saved).toBeLessThan(2 * USUAL_ASSUMPTIONS.gripperMm + USUAL_ASSUMPTIONS.marginMm + 20);
  });
});

describe('where to start', () => {
  it('with the maker’s method when the frame takes it', () => {
    expect(
      usualChoice(bedOf({ ...READ, stringing: { methods: ['one-piece'] } }), false).method,
    ).toBe('one-piece');
    expect(
      usualChoice(bedOf({ ...READ, stringing: { methods: ['one-piece'] } }), true).method,
    ).toBe('two-piece');
  });
  // Source: practice (choose the start side from where the tie-off hole for the last cross is).
  it('on the side from which the last cross arrives at its bored hole', () => {
    const start = (tieOff: readonly string[], crosses: number) =>
      usualChoice(bedOf({ ...READ, crosses, tieOff }), false).crossStart;
    expect(start(['8TR'], 19)).toBe('left');
    expect(start(['8TL'], 19)).toBe('right');
    expect(start(['8TL'], 20)).toBe('left');
  });
});

describe('without a tape', () => {
  const bed = bedOf(READ);
  const words = (mm: number) => lengthWords(mm, 'metric');
  const sentence = (method: (typeof METHODS)[number], armSpanMm: number | null = null) => {
    const assumptions = { ...USUAL_ASSUMPTIONS, armSpanMm };
    return planCut(bed, STRINGS, { method, ...SIDES }, assumptions).pieces.map((piece) =>
      measureWords(bed, piece, assumptions, words),
    );
  };
  // Source: practice (as many head lengths as mains on that side, a head width a cross, the distance
  // to the gripper, a tail).
  it('counts head lengths and widths, and says the rest', () => {
    const [mains, crosses] = sentence('two-piece');
    expect(mains).toMatch(
      /^Mains: 16 head lengths, from the last hole to the gripper, twice, \d+ cm less\.$/,
    );
    expect(crosses).toMatch(/^Crosses: 19 head widths, /);
  });
  it('the recipe adds up to the cut', () => {
    const [mains] = planCut(
      bed,
      STRINGS,
      { method: 'two-piece', ...SIDES },
      USUAL_ASSUMPTIONS,
    ).pieces;
    const said = /(\d+) cm (less|more)/.exec(sentence('two-piece')[0] ?? '');
    const rest = Number(said?.[1]) * 10 * (said?.[2] === 'less' ? -1 : 1);
    expect(Math.abs(16 * 336 + 2 * 360 + rest - (mains?.cutMm ?? 0))).toBeLessThanOrEqual(5);
  });
  it('marks the short side first, a width more where it takes the top cross', () => {
    const [one] = sentence('one-piece-top-cross', 1800);
    expect(one).toContain('short side 8 head lengths, 1 head width, ');
    expect(one).toContain(
      'and mark it; from the mark the long side 8 head lengths, 18 head widths',
    );
    expect(one).toMatch(/That is \d\.\d of your arm spans\./);
  });
});
