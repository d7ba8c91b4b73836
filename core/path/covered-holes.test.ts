import { describe, expect, it } from 'vitest';
import { coveredHoles, leaps, longestRun, transitions } from './covered-holes';
import { coveredBy, crossovers, lanesOf, rimAlong } from './groove';
import type { Hole } from '../frame/holes';
import { pathThrough, runsOf } from './path';
import { placeName, type Run } from './segments';
import { bedOf } from '../testing/frame-spec';

const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
const two = pathThrough(bed, { method: 'two-piece', shortSide: 'left', crossStart: 'left' });
const hole = (label: string) => bed.holes.find((each) => each.label === label) as Hole;
const run = (from: string, to: string): Run => ({
  kind: 'outside',
  from: { hole: hole(from), side: 'right' },
  to: { hole: hole(to), side: 'right' },
});

describe('covered holes', () => {
  // By hand: mains start at the head, so M6–M7 and M8's end lie at the head, M7–M8 at the throat. The
  // run 6H–8H passes over the skip 7H, 8T–10T over 9T; 7H–9H of the crosses over 8H, where a main is.
  it('are those that a run passes over while something still needs them', () => {
    const covered = coveredHoles(bed, two).map(
      ({ at, before, needs }) =>
        `${placeName(at)} before ${before.knot ? 'tying ' : ''}${before.string} for ${needs.string}`,
    );
    expect(covered).toEqual([
      '7H right before M7R for C1',
      '7H left before M7L for C1',
      '9T right before M8R for C18',
      '9H right before tying M8R for C2',
      '9T left before M8L for C18',
      '9H left before tying M8L for C2',
    ]);
  });

  it('need nothing once everything is strung', () => {
    for (const { before, needs } of coveredHoles(bed, two))
      expect(two.order.indexOf(needs.string)).toBeGreaterThan(two.order.indexOf(before.string));
  });

  it('lie between the two holes of a run, its ends left out', () => {
    expect(coveredBy(bed, run('6H', '9H')).map(placeName)).toEqual(['7H right', '8H right']);
    expect(coveredBy(bed, run('1H', '2H'))).toEqual([]);
  });
});

describe('crossovers', () => {
  it('two runs that interleave lie side by side', () => {
    const runs = [run('5H', '7H'), run('6H', '8H')];
    expect(crossovers(bed, runs)).toEqual([]);
    const { lane } = lanesOf(bed, runs);
    expect(lane.get(runs[0] as Run)).not.toBe(lane.get(runs[1] as Run));
  });
  it('one within another does not cross it', () => {
    expect(crossovers(bed, [run('5H', '8H'), run('6H', '7H')])).toEqual([]);
  });
  // Three runs that interleave pairwise would need three lanes: an odd cycle.
  it('three that interleave pairwise cross', () => {
    expect(crossovers(bed, [run('4H', '7H'), run('5H', '8H'), run('6H', '9H')])).toHaveLength(1);
  });
  it('a plain job has none', () => {
    expect(crossovers(bed, runsOf(two))).toEqual([]);
  });
});

describe('turns and leaps', () => {
  const one = pathThrough(bed, { method: 'one-piece', shortSide: 'left', crossStart: 'left' });

  it('one piece turns from mains into crosses once, two pieces never', () => {
    const turns = one.pieces.flatMap((piece) => transitions(bed, piece));
    expect(turns.map(({ run: { from, to } }) => [placeName(from), placeName(to)])).toEqual([
      ['10H right', '7H right'],
    ]);
    expect(turns[0]?.mm).toBeCloseTo(hole('10H').arc - hole('7H').arc, 6);
    expect(two.pieces.flatMap((piece) => transitions(bed, piece))).toEqual([]);
  });

  it('a turn on too little frame is told', () => {
    const close = bedOf({ head: [7, 8], throat: [7, 9] });
    const path = pathThrough(close, { method: 'one-piece', shortSide: 'left', crossStart: 'left' });
    for (const { mm, tooLittle } of path.pieces.flatMap((piece) => transitions(close, piece)))
      expect(tooLittle).toBe(mm < 7);
  });

  it('the longest run is the longest of all between two strings', () => {
    const all = runsOf(one).filter(({ kind }) => kind === 'outside');
    expect(longestRun(bed, one)).toBe(Math.max(...all.map((each) => rimAlong(bed, each))));
  });

  // Source: practice (the bridge is counted so that no run leaps the open throat).
  it('nothing leaps the throat where the start goes by the bridge', () => {
    expect(leaps(bed, two)).toEqual([]);
    expect(leaps(bedOf({ bridgeHoles: null, head: [7, 9], throat: [7, 9] }), two)).toEqual([]);
  });
});
