import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from '../frame/bed';
import { METHODS, type Method } from '../terms/method';
import { methodProblem } from '../cut/methods';
import { OUTLINE_FAMILIES } from '../frame/outline';
import { SIDES, otherSide, type Side } from '../terms/ends';
import { beforeKnots, pathThrough, type Path, type PathChoice } from './path';
import { isInside, placeName, type HolePlace, type Segment } from './segments';
import { bedOf, frameSpec, type SpecChanges } from '../testing/frame-spec';
import { knotCount } from '../cut/wording';

const through = (bed: Bed, method: Method, shortSide: Side = 'left', crossStart: Side = 'left') =>
  pathThrough(bed, { method, shortSide, crossStart });
const insides = ({ pieces }: Path, piece?: number) =>
  pieces.flatMap(({ segments }, i) =>
    piece === undefined || piece === i ? segments.filter(isInside) : [],
  );
const strings = (path: Path, piece?: number) => insides(path, piece).map(({ string }) => string);
const ends = (segment: Segment): readonly [string, string] =>
  segment.kind === 'tail'
    ? [placeName(segment.at), placeName(segment.at)]
    : [placeName(segment.from), placeName(segment.to)];
const knots = ({ knots }: Path) =>
  knots.map(({ string, hole, side }) => `${string} ${hole.label} ${side}`);
const range = (from: number, to: number) =>
  Array.from({ length: Math.abs(to - from) + 1 }, (_, i) => from + Math.sign(to - from) * i);
const mains = (from: number, to: number, side: 'L' | 'R') =>
  range(from, to).map((n) => `M${n}${side}`);
const crosses = (from: number, to: number) => range(from, to).map((n) => `C${n}`);

const READ = { head: [7, 9], throat: [7, 9] };
const SIXTEEN = { ...READ, tieOff: ['6H', '8H', '6T', '8T'] };
/** Eighteen mains from the head finish at the throat. */
const EIGHTEEN: SpecChanges = {
  lengthMm: 332,
  widthMm: 244,
  mains: 18,
  crosses: 20,
  head: [8, 10],
  throat: [8, 10],
  tieOff: ['7H', '9H', '7T', '9T'],
};

describe('two pieces', () => {
  // Source: practice (two-piece, 18 mains from the head: three at the throat, one at the head; 16: the reverse).
  it.each([
    [16, 8, '3 at the head, 1 at the throat'],
    [18, 8, '1 at the head, 3 at the throat'],
    [16, 6, '1 at the head, 3 at the throat'],
    [18, 6, '3 at the head, 1 at the throat'],
  ] as const)('%d mains, %d bridge holes: knots %s', (mains, bridgeHoles, count) => {
    expect(knotCount(through(bedOf({ mains, bridgeHoles }), 'two-piece').knots)).toBe(count);
  });

  it('ties each tail in a bored hole of its own', () => {
    expect(knots(through(bedOf(SIXTEEN), 'two-piece'))).toEqual([
      'M8L 8H left',
      'M8R 8H right',
      'C1 6H left',
      'C19 6T right',
    ]);
  });

  it('strings the mains 1, 2, 3 … on each side of a centre loop at the head', () => {
    const path = through(bedOf(SIXTEEN), 'two-piece');
    expect(strings(path, 0)).toEqual([...mains(8, 1, 'L'), ...mains(1, 8, 'R')]);
    expect(strings(path, 1)).toEqual(crosses(1, 19));
    const outside = path.pieces[0]?.segments.filter(({ kind }) => kind === 'outside').map(ends);
    expect(outside?.find(([from, to]) => from.includes('left') && to.includes('right'))).toEqual([
      '1H left',
      '1H right',
    ]);
    expect(outside?.slice(8, 10)).toEqual([
      ['1T right', '2T right'],
      ['2H right', '3H right'],
    ]);
  });

  // Source: practice (odd number: last tie-off on the opposite side; even: on the same side).
  it.each([
    [19, 'left', 'right'],
    [20, 'left', 'left'],
    [19, 'right', 'left'],
    [20, 'right', 'right'],
  ] as const)('%d crosses from the %s finish on the %s', (count, start, finish) => {
    expect(through(bedOf({ crosses: count }), 'two-piece', 'left', start).crossFinish).toBe(finish);
  });

  it('runs the crosses upwards where the frame has them start at the throat', () => {
    const path = through(bedOf({ ...SIXTEEN, stringing: { crossesFrom: 'throat' } }), 'two-piece');
    expect(strings(path, 1)).toEqual(crosses(19, 1));
    expect(path.crossesFrom).toBe('throat');
  });

  // Source: practice, the reason for counting the bridge: no outside run leaps the open throat.
  it.each([6, 8])('with %d bridge holes leaves the bridge only through the bed', (bridgeHoles) => {
    const [piece] = through(bedOf({ bridgeHoles, ...READ }), 'two-piece').pieces;
    const inBridge = ({ hole }: HolePlace) => hole.number <= bridgeHoles / 2;
    for (const segment of piece?.segments ?? [])
      if (segment.kind === 'outside' && segment.from.hole.end === 'throat')
        expect(inBridge(segment.from)).toBe(inBridge(segment.to));
  });

  it('in a skipped hole a cross meets only the mains inside it', () => {
    const counts = insides(through(bedOf(READ), 'two-piece'), 1).map((s) => s.crossings.length);
    // Hole 7 lies between M6 and M7, hole 9 between M7 and M8: 2·6 and 2·7 mains, then all 16.
    expect(counts.slice(0, 3)).toEqual([12, 14, 16]);
    expect(counts.slice(-3)).toEqual([16, 14, 12]);
  });
});

describe('one piece', () => {
  // Source: practice (short side strings its mains and ties off; long side goes on into the crosses).
  it('goes from the short side’s mains through the long side’s into the crosses', () => {
    const path = through(bedOf(SIXTEEN), 'one-piece', 'left');
    expect(strings(path)).toEqual([...mains(8, 1, 'L'), ...mains(1, 8, 'R'), ...crosses(1, 19)]);
    expect([path.crossStart, path.crossFinish]).toEqual(['right', 'left']);
    expect(knots(path)).toEqual(['M8L 8H left', 'C19 6T left']);
  });

  // Source: practice (no main precedes a knot and only the two end crosses lose a little).
  it('with the top cross on the short side has no main before a knot', () => {
    const path = through(bedOf(SIXTEEN), 'one-piece-top-cross', 'left');
    expect(strings(path)).toEqual([
      'C1',
      ...mains(8, 1, 'L'),
      ...mains(1, 8, 'R'),
      ...crosses(2, 19),
    ]);
    expect(beforeKnots(path)).toEqual(['C1', 'C19']);
    expect(path.knots.map(({ end, side }) => `${end} ${side}`)).toEqual([
      'head right',
      'throat right',
    ]);
  });

  // Source: practice (the long side strings all its mains, crosses over as the bottom cross, climbs as
  // the other side's outermost main, and from the head strings the crosses downwards; the short side
  // stops one main early, at the head).
  it('around the frame takes the bottom cross and the other side’s outermost main first', () => {
    const path = through(bedOf(EIGHTEEN), 'around-the-frame', 'left');
    expect(strings(path)).toEqual([
      ...mains(8, 1, 'L'),
      ...mains(1, 9, 'R'),
      'C20',
      'M9L',
      ...crosses(1, 19),
    ]);
    expect(knotCount(path.knots)).toBe('1 at the head, 1 at the throat');
    expect(beforeKnots(path)).toEqual(['M8L', 'C19']);
    const climb = insides(path).find(({ string }) => string === 'M9L');
    expect([climb?.from.hole.end, climb?.to.hole.end]).toEqual(['throat', 'head']);
  });

  it('from the throat up climbs from where the mains finish', () => {
    const bed = bedOf({ ...SIXTEEN, bridgeHoles: 6, stringing: { crossesFrom: 'throat' } });
    const path = through(bed, 'bottom-up', 'right');
    expect(strings(path).slice(16)).toEqual(crosses(19, 1));
    expect(path.crossStart).toBe('left');
  });

  it('reversed outer mains are strung the other way about', () => {
    const bed = bedOf({
      sport: 'badminton',
      lengthMm: 238,
      widthMm: 184,
      outline: 'squared oval',
      mains: 22,
      crosses: 21,
      stringing: { reversedOuterMains: true },
    });
    const path = through(bed, 'two-piece');
    expect(strings(path, 0).slice(-3)).toEqual(['M9R', 'M11R', 'M10R']);
    expect(path.knots.slice(0, 2).map(({ string }) => string)).toEqual(['M10L', 'M10R']);
  });
});

/** Random frames that make a bed, of every sport, shape and oddity. */
const anyBed: fc.Arbitrary<Bed> = fc
  .record({
    sport: fc.constantFrom('tennis', 'badminton', 'squash'),
    lengthMm: fc.integer({ min: 230, max: 380 }),
    widthMm: fc.integer({ min: 170, max: 280 }),
    outline: fc.constantFrom(...OUTLINE_FAMILIES),
    mains: fc.integer({ min: 6, max: 12 }).map((n) => 2 * n),
    crosses: fc.integer({ min: 14, max: 24 }),
    bridgeHoles: fc.constantFrom(6, 8),
    ownerInsists: fc.constant(true),
    tieOff: fc.subarray(['4H', '6H', '8H', '5T', '6T', '8T'] as string[]),
    shared: fc.constantFrom<readonly string[]>([], ['8H'], ['7T']),
    stringing: fc.record({
      reversedOuterMains: fc.boolean(),
      crossesFrom: fc.constantFrom('head' as const, 'throat' as const),
    }),
  } as const)
  .map((changes) => studyFrame(frameSpec(changes)).bed)
  .filter((bed): bed is Bed => bed !== undefined);

const choices = (bed: Bed): readonly PathChoice[] =>
  METHODS.filter((method) => methodProblem(bed, method, false) === undefined).flatMap((method) =>
    SIDES.flatMap((shortSide) =>
      (method === 'two-piece' ? SIDES : (['left'] as const)).map((crossStart) => ({
        method,
        shortSide,
        crossStart,
      })),
    ),
  );

/** Random beds, the same each time, by every method and choice of sides; drawn once for all that follows. */
const DRAWN = fc
  .sample(anyBed, { numRuns: 30, seed: 20_260_105 })
  .flatMap((bed) =>
    choices(bed).map((choice) => ({ bed, choice, path: pathThrough(bed, choice) })),
  );

/** What must hold of every path; a failure names the frame and the choice. */
function always(holds: (drawn: (typeof DRAWN)[number]) => void): void {
  for (const drawn of DRAWN)
    try {
      holds(drawn);
    } catch (error) {
      throw new Error(`${JSON.stringify(drawn.choice)} on ${JSON.stringify(drawn.bed.spec)}`, {
        cause: error,
      });
    }
}

/** Strings that pass through each hole, tails of knots counted with them. */
function fills(path: Path): ReadonlyMap<string, { strings: number; tails: number; at: HolePlace }> {
  const all = new Map<string, { strings: number; tails: number; at: HolePlace }>();
  const add = (at: HolePlace, kind: 'strings' | 'tails') => {
    const entry = all.get(placeName(at)) ?? { strings: 0, tails: 0, at };
    entry[kind]++;
    all.set(placeName(at), entry);
  };
  for (const { from, to } of insides(path)) [from, to].forEach((at) => add(at, 'strings'));
  for (const knot of path.knots) add(knot, 'tails');
  return all;
}

const mirror = (text: string) =>
  text
    .replace(/left|right/g, (side) => otherSide(side as Side))
    .replace(/(M\d+)([LR])/g, (_, main: string, side: string) => main + (side === 'L' ? 'R' : 'L'));

describe('any frame by any method that it takes', () => {
  it('is tried by every method', () => {
    expect(new Set(DRAWN.map(({ choice }) => choice.method)).size).toBeGreaterThanOrEqual(4);
  });

  it('strings every string of the pattern exactly once, and pulls it once', () => {
    always(({ bed, path }) => {
      const { pattern } = bed.spec;
      const strung = strings(path);
      expect(strung).toHaveLength(pattern.mains + pattern.crosses);
      expect(new Set(strung).size).toBe(strung.length);
      expect(path.order.toSorted()).toEqual(strung.toSorted());
    });
  });

  it('goes on where it arrived, and ends in two tails a piece', () => {
    always(({ path }) => {
      for (const { segments } of path.pieces) {
        segments.forEach((segment, i) => {
          const next = segments[i + 1];
          if (next) expect(ends(segment)[1]).toBe(ends(next)[0]);
        });
        expect(segments.filter(({ kind }) => kind === 'tail')).toHaveLength(2);
        expect([segments[0]?.kind, segments.at(-1)?.kind]).toEqual(['tail', 'tail']);
      }
    });
  });

  it('fills no hole beyond its capacity', () => {
    always(({ path }) => {
      for (const { strings: through, tails, at } of fills(path).values()) {
        const shared = at.hole.main !== undefined && at.hole.cross !== undefined;
        expect(through).toBeLessThanOrEqual(shared ? 2 : 1);
        // One tail at most joins one string, and none a shared hole.
        expect(tails).toBeLessThanOrEqual(shared ? 0 : 1);
      }
    });
  });

  it('weaves over and under by turns, across every turn, and as seen from both strings', () => {
    always(({ bed, path }) => {
      const over = new Map<string, boolean>();
      const woven = insides(path);
      for (const { string, crossings } of woven)
        crossings.forEach((crossing, i) => {
          const before = crossings[i - 1];
          if (before && before.over === crossing.over) throw new Error(`${string} twice alike`);
          over.set(`${string} ${crossing.string}`, crossing.over);
        });
      for (const [pair, isOver] of over) {
        const [a, b] = pair.split(' ');
        if (over.get(`${b} ${a}`) === isOver) throw new Error(`${pair} alike from both`);
      }
      // From one cross to the next each main changes face.
      for (let cross = 1; cross < bed.spec.pattern.crosses; cross++)
        for (const { string } of woven.find((s) => s.string === `C${cross}`)?.crossings ?? []) {
          const next = over.get(`${string} C${cross + 1}`);
          if (next !== undefined && next === over.get(`${string} C${cross}`))
            throw new Error(`${string} alike over C${cross} and the next`);
        }
    });
  });

  // Source: practice (parity of mains and crosses).
  it('has its knots at the ends that parity says', () => {
    always(({ bed: { mainsFinish }, choice, path }) => {
      const last = path.crossesFrom === 'head' ? 'throat' : 'head';
      const expected = {
        'two-piece': [mainsFinish, mainsFinish, 'head', 'throat'],
        'one-piece': ['head', 'throat'],
        'one-piece-top-cross': ['head', 'throat'],
        'around-the-frame': ['head', 'throat'],
        'bottom-up': [mainsFinish, last],
      }[choice.method];
      expect(path.knots.map(({ end }) => end).toSorted()).toEqual(expected.toSorted());
    });
  });

  it('mirrors when the choice is mirrored', () => {
    always(({ bed, choice, path }) => {
      // Two pieces of mains have no short side: they are always walked from left to right.
      const walk = ({ pieces }: Path) =>
        (choice.method === 'two-piece' ? pieces.slice(1) : pieces).map(({ segments }) =>
          segments.map((s) => `${s.kind} ${isInside(s) ? s.string : ''} ${ends(s).join(' ')}`),
        );
      const mirrored = pathThrough(bed, {
        method: choice.method,
        shortSide: otherSide(choice.shortSide),
        crossStart: otherSide(choice.crossStart),
      });
      expect(walk(mirrored).map((piece) => piece.map(mirror))).toEqual(walk(path));
    });
  });
});
