import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from './bed';
import { OUTLINE_FAMILIES, type Side } from './outline';
import { twoPiecePath, type HolePlace, type Piece, type Segment } from './path';
import { frameSpec, type SpecChanges } from './testing/frame-spec';
import { knotCount } from './wording';

const bedOf = (changes: SpecChanges = {}): Bed => {
  const { bed, problems } = studyFrame(frameSpec(changes));
  if (!bed) throw new Error(JSON.stringify(problems));
  return bed;
};

const insides = ({ segments }: Piece) =>
  segments.flatMap((segment) => (segment.kind === 'inside' ? [segment] : []));
const place = ({ hole, side }: HolePlace) => `${hole.label} ${side}`;
const ends = (segment: Segment): readonly [string, string] =>
  segment.kind === 'tail'
    ? [place(segment.at), place(segment.at)]
    : [place(segment.from), place(segment.to)];

describe('knots of a two-piece job', () => {
  // Source: practice (two-piece, 18 mains from the head: three at the throat, one at the head; 16: the reverse).
  it.each([
    [16, 8, '3 at the head, 1 at the throat'],
    [18, 8, '1 at the head, 3 at the throat'],
    [16, 6, '1 at the head, 3 at the throat'],
    [18, 6, '3 at the head, 1 at the throat'],
  ] as const)('%d mains, %d bridge holes: %s', (mains, bridgeHoles, count) => {
    expect(knotCount(twoPiecePath(bedOf({ mains, bridgeHoles }), 'left').knots)).toBe(count);
  });

  it('fall in the named tie-off holes, each tail in its own', () => {
    const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
    const knots = twoPiecePath(bed, 'left').knots.map(
      ({ piece, hole, side }) => `${piece} ${hole.label} ${side}`,
    );
    expect(knots).toEqual([
      'mains 8H left',
      'mains 8H right',
      'crosses 6H left',
      'crosses 6T right',
    ]);
  });

  it('take the nearest main hole inwards where none is named', () => {
    const { knots } = twoPiecePath(bedOf({ head: [7, 9], throat: [7, 9] }), 'right');
    expect(knots.map(({ hole }) => hole.label)).toEqual(['8H', '8H', '6H', '6T']);
  });
});

describe('crosses', () => {
  // Source: practice (odd number: last tie-off on the opposite side; even: on the same side).
  it.each([
    [19, 'left', 'right'],
    [20, 'left', 'left'],
    [19, 'right', 'left'],
    [20, 'right', 'right'],
  ] as const)('%d of them from the %s finish on the %s', (crosses, start, finish) => {
    expect(twoPiecePath(bedOf({ crosses }), start).crossFinish).toBe(finish);
  });

  it('in a skipped hole meet only the mains inside it', () => {
    const { crosses } = twoPiecePath(bedOf({ head: [7, 9], throat: [7, 9] }), 'left');
    const counts = insides(crosses).map(({ crossings }) => crossings.length);
    // Hole 7 lies between M6 and M7, hole 9 between M7 and M8: 2·6 and 2·7 mains, then all 16.
    expect(counts.slice(0, 3)).toEqual([12, 14, 16]);
    expect(counts.slice(-3)).toEqual([16, 14, 12]);
  });
});

describe('the way of the mains', () => {
  it('is the one that is strung: 1, 2, 3 … on each side of a centre loop at the head', () => {
    const { mains } = twoPiecePath(bedOf({ head: [7, 9], throat: [7, 9] }), 'left');
    expect(insides(mains).map(({ string }) => string)).toEqual(
      ['M8L', 'M7L', 'M6L', 'M5L', 'M4L', 'M3L', 'M2L', 'M1L'].concat([
        'M1R',
        'M2R',
        'M3R',
        'M4R',
        'M5R',
        'M6R',
        'M7R',
        'M8R',
      ]),
    );
    const loop = mains.segments.find(
      (segment) => segment.kind === 'outside' && segment.from.side !== segment.to.side,
    );
    expect(loop && ends(loop)).toEqual(['1H left', '1H right']);
    const rightOutside = mains.segments
      .filter((segment) => segment.kind === 'outside' && segment.from.side === 'right')
      .map(ends);
    expect(rightOutside.slice(0, 2)).toEqual([
      ['1T right', '2T right'],
      ['2H right', '3H right'],
    ]);
  });

  // Source: practice, the reason for counting the bridge: no outside run leaps the open throat.
  it.each([6, 8])('with %d bridge holes leaves the bridge only through the bed', (bridgeHoles) => {
    const { mains } = twoPiecePath(bedOf({ bridgeHoles, head: [7, 9], throat: [7, 9] }), 'left');
    const inBridge = ({ hole }: HolePlace) => hole.number <= bridgeHoles / 2;
    for (const segment of mains.segments)
      if (segment.kind === 'outside' && segment.from.hole.end === 'throat')
        expect(inBridge(segment.from)).toBe(inBridge(segment.to));
  });
});

describe('every path', () => {
  const shapes: SpecChanges[] = OUTLINE_FAMILIES.flatMap((outline) => [
    { outline },
    { outline, mains: 18, crosses: 20, lengthMm: 332, widthMm: 244 },
    { outline, mains: 18, crosses: 16, bridgeHoles: 6 },
    { outline, sport: 'badminton', lengthMm: 240, widthMm: 186, mains: 22, crosses: 21 } as const,
    {
      outline,
      sport: 'squash',
      lengthMm: 330,
      widthMm: 178,
      mains: 14,
      crosses: 18,
      bridgeHoles: 6,
    } as const,
  ]);
  const all = shapes.flatMap((changes) =>
    (['left', 'right'] as const).map(
      (side) => [JSON.stringify(changes), bedOf(changes), side] as const,
    ),
  );

  it.each(all)('%s keeps its invariants (crosses %s)', (_, bed, side) => {
    const path = twoPiecePath(bed, side);

    const strung = [...insides(path.mains), ...insides(path.crosses)].map(({ string }) => string);
    expect(strung).toHaveLength(bed.spec.pattern.mains + bed.spec.pattern.crosses);
    expect(new Set(strung).size).toBe(strung.length);

    for (const { segments } of [path.mains, path.crosses])
      segments.forEach((segment, i) => {
        const next = segments[i + 1];
        if (next) expect(ends(segment)[1]).toBe(ends(next)[0]);
      });

    const over = new Map<string, boolean>();
    for (const { string, crossings } of [...insides(path.mains), ...insides(path.crosses)]) {
      crossings.forEach((crossing, i) => {
        const before = crossings[i - 1];
        if (before) expect(crossing.over).toBe(!before.over);
        over.set(`${string} ${crossing.string}`, crossing.over);
      });
    }
    // Seen from the two strings of a crossing, one is over and the other is under.
    for (const [pair, isOver] of over) {
      const [a, b] = pair.split(' ');
      expect(over.get(`${b} ${a}`)).toBe(!isOver);
    }
    // Across each turn of the crosses the weave changes, main by main.
    const crosses = insides(path.crosses);
    crosses.forEach((cross, i) => {
      const next = crosses[i + 1];
      for (const { string, over: isOver } of next ? cross.crossings : []) {
        const other = next?.crossings.find((crossing) => crossing.string === string);
        if (other) expect(other.over).toBe(!isOver);
      }
    });
  });

  it('is mirrored by the other start side, in as far as knots and crosses go', () => {
    const bed = bedOf({ crosses: 20 });
    const mirror = (side: Side) => (side === 'left' ? 'right' : 'left');
    const [left, right] = [twoPiecePath(bed, 'left'), twoPiecePath(bed, 'right')];
    expect(right.crosses.segments.map((segment) => ends(segment))).toEqual(
      left.crosses.segments.map((segment) =>
        ends(segment).map((text) => text.replace(/left|right/, (word) => mirror(word as Side))),
      ),
    );
  });
});
