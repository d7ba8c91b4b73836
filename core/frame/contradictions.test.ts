import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tries } from '../testing/share';
import { studyFrame } from './bed';
import { checkFrame } from './contradictions';
import { frameSpecSchema } from './frame';
import { LIBRARY } from './library';
import { singleFixes } from './single-fixes';
import { bedOf, frameSpec, ruledRows, type SpecChanges } from '../testing/frame-spec';

const problems = (changes: SpecChanges) => {
  const checked = checkFrame(frameSpec(changes));
  return checked.ok ? [] : checked.problems;
};
const says = (changes: SpecChanges) => singleFixes(frameSpec(changes)).map((mend) => mend.says);

describe('facts that cannot hold together', () => {
  it('a sound frame has none, and nothing to mend', () => {
    expect(problems({ head: [7, 9], throat: [7, 9] })).toEqual([]);
    expect(says({ head: [7, 9], throat: [7, 9] })).toEqual([]);
  });

  it('17 marked mains: 8 at the head and 9 at the throat', () => {
    const marked = {
      head: [7, 9],
      throat: [7],
      headOutermost: 10,
      throatOutermost: 10,
    };
    const [problem] = problems(marked);
    expect(problem?.field).toBe('throatSkip');
    expect(problem?.problem).toContain(
      '8 mains a side at the head and 9 at the throat, 17 together',
    );
    expect(says(marked)).toContain('Skips at the throat: 7 9 instead of 7');
  });

  it('marks that agree with each other, but not with the pattern', () => {
    const marked = { head: [7, 9], throat: [7, 9], headOutermost: 11, throatOutermost: 11 };
    expect(problems(marked).map(({ field }) => field)).toEqual([
      'headOutermost',
      'throatOutermost',
    ]);
    expect(problems(marked)[0]?.problem).toContain('18 in all, not 16');
    expect(says(marked)).toContain('18 mains instead of 16');
  });

  it('a mark of the outermost main that nothing could explain is refused at once', () => {
    for (const headOutermost of [28, 30, 99])
      expect(problems({ headOutermost })[0]).toMatchObject({
        field: 'headOutermost',
        problem: expect.stringContaining('no frame has more than 7') as string,
      });
    expect(problems({ throatOutermost: 3 })[0]?.problem).toContain('to hole 8T at least');
  });

  it('a hole is a skip or the outermost main’s, never both', () => {
    const both = { head: [7, 9], throat: [7, 9], headOutermost: 9 };
    expect(problems(both)[0]).toMatchObject({ field: 'headOutermost' });
    expect(problems(both)[0]?.problem).toContain('it is one of the two');
    expect(says(both)).toContain('Outermost main in 10H instead of 9H');
  });

  it('a label that stands twice is refused as it is read', () => {
    for (const holes of [
      { ...frameSpec().holes, head: { skip: [7, 7], outermost: null } },
      { ...frameSpec().holes, shared: ['8H', '8H'] },
      { ...frameSpec().holes, tieOff: ['8HL', '8HL'] },
    ])
      expect(frameSpecSchema.safeParse({ ...frameSpec(), holes }).success).toBe(false);
    const turned = { ...frameSpec().holes, head: { skip: [9, 7], outermost: null } };
    expect(frameSpecSchema.parse({ ...frameSpec(), holes: turned }).holes.head.skip).toEqual([
      7, 9,
    ]);
  });

  it('unread skips are filled under all that is known, and the outermost main is where it was counted', () => {
    for (const marks of [
      { headOutermost: 10 },
      { headOutermost: 9, throatOutermost: 11 },
      { headOutermost: 12, throat: [7, 9] },
      { throatOutermost: 8, crosses: 18 },
      { shared: ['8H'], headOutermost: 9 },
      { shared: ['9T', '9H'] },
    ] as const) {
      const { holes } = bedOf(marks);
      for (const [end, outermost] of [
        ['head', (marks as SpecChanges).headOutermost],
        ['throat', (marks as SpecChanges).throatOutermost],
      ] as const) {
        const last = Math.max(
          ...holes.flatMap((hole) => (hole.end === end && hole.main ? [hole.number] : [])),
        );
        if (outermost !== undefined) expect(last).toBe(outermost);
      }
      for (const label of (marks as SpecChanges).shared ?? []) {
        const hole = holes.find((each) => each.label === label);
        expect(hole?.main).toBeDefined();
        expect(hole?.cross).toBeDefined();
      }
    }
  });

  it('on mutated frames, whatever passes has its outermost main in the hole that was counted', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LIBRARY),
        fc.integer({ min: -3, max: 4 }),
        fc.integer({ min: -3, max: 4 }),
        fc.constantFrom('read', 'head unread', 'both unread'),
        ({ spec }, up, down, reading) => {
          const sound = studyFrame(spec).bed;
          if (!sound) throw new Error('A library frame makes no bed.');
          const outermost = (end: 'head' | 'throat') =>
            Math.max(...sound.mainHoles[end].map(({ number }) => number));
          const marks = { head: outermost('head') + up, throat: outermost('throat') + down };
          const study = studyFrame({
            ...spec,
            holes: {
              ...spec.holes,
              head: {
                skip: reading === 'read' ? [...sound.skips.head] : null,
                outermost: marks.head,
              },
              throat: {
                skip: reading === 'both unread' ? null : [...sound.skips.throat],
                outermost: marks.throat,
              },
            },
          });
          for (const end of ['head', 'throat'] as const)
            if (study.bed)
              expect(Math.max(...study.bed.mainHoles[end].map(({ number }) => number))).toBe(
                marks[end],
              );
            else expect(study.problems.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: tries(80, 30) },
    );
  });

  it('steps at the outer strings that leave nothing, or no string at its figure', () => {
    const stepDown = (strings: number, by: number, unit: 'kg' | 'lb') =>
      problems({ head: [7, 9], throat: [7, 9], stringing: { stepDown: { strings, by, unit } } })[0];
    expect(stepDown(6, 5, 'kg')).toMatchObject({
      field: 'stepDown',
      problem: expect.stringContaining('nothing is strung below 5 kg') as string,
    });
    // Source: practice (three strings, 5 lb each, on a very large head).
    expect(stepDown(3, 5, 'lb')).toBeUndefined();
    const small = {
      mains: 8,
      crosses: 8,
      bridgeHoles: 4,
      stringing: { stepDown: { strings: 4, by: 1, unit: 'kg' as const } },
    };
    expect(problems(small)[0]?.problem).toContain('leave none at its full figure');
  });

  it('holes off a ruler that could not be bored are no frame', () => {
    const crowded = Array.from({ length: 35 }, (_, i) => 100 + i);
    expect(problems({ positionsMm: crowded })[0]?.problem).toContain('1.0 mm apart');
    const bunched = Array.from({ length: 35 }, (_, i) => 200 + 6 * i);
    expect(problems({ positionsMm: bunched })[0]?.problem).toContain('missing at one end');
  });

  it('17 mains', () => {
    expect(says({ mains: 17, head: [7, 9], throat: [7, 9] })).toEqual(
      expect.arrayContaining(['16 mains instead of 17', '18 mains instead of 17']),
    );
  });

  // Source: practice (six holes in the bridge, three a side: the mains start at the throat).
  it('six bridge holes, but a start at the head', () => {
    const wrong: SpecChanges = { bridgeHoles: 6, stringing: { mainsStart: 'head' } };
    expect(problems(wrong)[0]).toMatchObject({ field: 'mainsStart' });
    expect(says(wrong)).toEqual(
      expect.arrayContaining([
        '8 holes in the bridge instead of 6',
        'Mains start at the throat instead of the head',
      ]),
    );
  });

  it('a tie-off hole that two strings already fill', () => {
    const wrong = { head: [7], throat: [7, 9], crosses: 20, shared: ['9H'], tieOff: ['9H', '6H'] };
    expect(problems(wrong)[0]).toMatchObject({ field: 'tieOff' });
    expect(problems(wrong)[0]?.problem).toContain('third string');
    expect(says(wrong)).toContain('Tie-off holes: 6H instead of 9H 6H');
  });

  it('a shared hole that no main goes through, or where no cross can be', () => {
    expect(problems({ head: [7, 9], throat: [7, 9], shared: ['7H'] })[0]?.problem).toContain(
      'no main goes through 7H',
    );
    expect(problems({ head: [7, 9], throat: [7, 9], shared: ['2H'] })[0]?.problem).toContain(
      'only about',
    );
    expect(says({ head: [7, 9], throat: [7, 9], shared: ['2H'] })).toContain(
      'Shared holes: none instead of 2H',
    );
  });

  it('crosses that are not those of the pattern, when the holes were ruled', () => {
    const head = { lengthMm: 336, widthMm: 248 };
    const mains = [6, 18, 30, 42.5, 55, 68, 81.5, 95];
    const rows = ruledRows(
      head,
      mains,
      Array.from({ length: 19 }, (_, i) => 34 + i * 15),
    );
    const wrong = { ...head, crosses: 18, positionsMm: rows };
    expect(problems(wrong)[0]).toMatchObject({ field: 'crosses' });
    expect(problems(wrong)[0]?.problem).toContain('it would be 19 crosses');
    expect(says(wrong)).toContain('19 crosses instead of 18');
  });

  it('a skip in the bridge', () => {
    expect(problems({ throat: [3, 9] })[0]?.problem).toContain('one of the 4 a side in the bridge');
  });

  it('holes that are not there', () => {
    expect(problems({ double: ['40H'] })[0]).toMatchObject({ field: 'double' });
    expect(problems({ ports: ['40T'] })[0]).toMatchObject({ field: 'ports' });
  });

  it('every mend mends', () => {
    for (const wrong of [
      { mains: 17 },
      { head: [7, 9], throat: [7], headOutermost: 10, throatOutermost: 10 },
      { bridgeHoles: 6, stringing: { mainsStart: 'head' } },
      { tieOff: ['99H'] },
    ] as SpecChanges[]) {
      const found = singleFixes(frameSpec(wrong));
      expect(found.length).toBeGreaterThan(0);
      for (const { spec } of found) expect(checkFrame(spec).ok).toBe(true);
    }
  });
});

describe('the look test', () => {
  it('has nothing to say of even gaps', () => {
    expect(bedOf({ head: [7, 9], throat: [7, 9] }).look.outliers).toEqual([]);
  });

  it('measures every gap, the centre one and those to the rim with them', () => {
    const { look } = bedOf({ head: [7, 9], throat: [7, 9] });
    const sum = look.mains.head.reduce((total, { mm }, i) => total + (i === 0 ? mm / 2 : mm), 0);
    expect(sum + look.rim.side).toBeCloseTo(124, 0);
    const down = look.crosses.reduce((total, { mm }) => total + mm, 0);
    expect(down + look.rim.head + look.rim.throat).toBeCloseTo(336, 6);
  });

  // Source: practice, the look test (two mains too far apart mean a wrong hole).
  it('points at the main that was put into the wrong hole', () => {
    const head = { lengthMm: 336, widthMm: 248 };
    const rows = ruledRows(
      head,
      [6, 18, 30, 42.5, 55, 68, 81.5, 95],
      Array.from({ length: 19 }, (_, i) => 34 + i * 15),
    );
    const wrong = bedOf({ ...head, positionsMm: rows, head: [8, 9], throat: [7, 9] });
    const [worst] = wrong.look.outliers;
    expect(worst).toMatchObject({ end: 'head' });
    expect(['M6', 'M7']).toContain(worst?.gap.from);
  });
});
