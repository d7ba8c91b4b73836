import type { StringName } from '../terms/string-name';
import { describe, expect, it } from 'vitest';
import { english } from '../terms/words/english';
import type { Action } from './actions';
import { openLedger } from './clamp-proof';
import type { ClampSet } from '../house/machine';
import { pathThrough, type PathChoice } from '../path/path';
import { isInside, placeName } from '../path/segments';
import { bedOf } from '../testing/frame-spec';

const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T', '8T'] });
const MACHINE: ClampSet = { clamps: 2, clampKind: 'fixed', startingClamps: 1 };
const CHOICE: PathChoice = { method: 'two-piece', shortSide: 'left', crossStart: 'left' };

const PATH = pathThrough(bed, CHOICE);
const FIGURES = { set: () => 200, knot: () => 220 };
const ENDS = new Map(
  PATH.pieces.flatMap(({ segments }) =>
    segments
      .filter(isInside)
      .map(({ string, from, to }) => [string, [placeName(from), placeName(to)] as const] as const),
  ),
);

function problemOf(actions: readonly Action[], machine = MACHINE): string | undefined {
  const ledger = openLedger(bed, PATH, machine, FIGURES);
  for (const action of actions) {
    const problem = ledger.take(action);
    if (problem) return english(problem);
  }
  return undefined;
}

const thread = (...strings: StringName[]): Action[] =>
  strings.map((string) => ({
    do: 'thread',
    string,
    through: ENDS.get(string) ?? ['1H left', '1T left'],
  }));
const pull = (string: StringName, way: -1 | 1): Action => ({ do: 'pull', string, way, pullN: 200 });
const clamp = (holder: 'clamp 1' | 'clamp 2', string: StringName): Action => ({
  do: 'clamp',
  holder,
  string,
});
const letGo: Action = { do: 'let go' };
const free = (holder: 'clamp 1' | 'clamp 2' | 'starting clamp'): Action => ({ do: 'free', holder });

/** The two centre mains in, each on its own clamp. */
const STARTED: readonly Action[] = [
  ...thread('M1L', 'M1R'),
  { do: 'grip outside', string: 'M1L', way: -1 },
  pull('M1R', 1),
  clamp('clamp 1', 'M1R'),
  letGo,
  pull('M1L', -1),
  free('starting clamp'),
  clamp('clamp 2', 'M1L'),
  letGo,
];

// Source: common practice (a clamp is released only while the head holds the string behind it).
describe('the ledger', () => {
  it('takes the usual start, and the next main with the clamp moved under pull', () => {
    expect(problemOf(STARTED)).toBeUndefined();
    expect(
      problemOf([
        ...STARTED,
        ...thread('M2R'),
        pull('M2R', 1),
        free('clamp 1'),
        clamp('clamp 1', 'M2R'),
        letGo,
      ]),
    ).toBeUndefined();
  });

  it.each<[string, readonly Action[], string]>([
    ['a clamp freed before the next pull', [...STARTED, free('clamp 1')], 'Nothing holds M1R'],
    [
      'the head let go before a clamp is on',
      [...STARTED, ...thread('M2R'), pull('M2R', 1), free('clamp 1'), letGo],
      'Nothing holds M2R',
    ],
    [
      'a main pulled before it is in',
      [...STARTED, pull('M2R', 1)],
      'M2R is pulled before it is threaded',
    ],
    [
      'a first pull that nothing holds against',
      [...thread('M1L', 'M1R'), pull('M1R', 1)],
      'Nothing holds M1R',
    ],
    [
      'two pulls at once',
      [...STARTED, ...thread('M2R', 'M2L'), pull('M2R', 1), pull('M2L', -1)],
      'head is in use',
    ],
    [
      'a pull in the middle',
      [...STARTED, ...thread('M2R', 'M3R'), pull('M3R', 1), pull('M2R', 1)],
      'head is in use',
    ],
    ['a clamp in two places', [...STARTED, clamp('clamp 1', 'M1L')], 'clamp 1 is in use'],
    [
      'a clamp on a slack string',
      [...STARTED.slice(0, 3), clamp('clamp 1', 'M2R')],
      'holds nothing',
    ],
    [
      'a starting clamp twice',
      [...STARTED.slice(0, 3), { do: 'grip outside', string: 'M1R', way: 1 }],
      'starting clamp is in use',
    ],
    ['a string threaded twice', [...STARTED, ...thread('M1R')], 'in already'],
    [
      'a knot in the middle',
      [
        ...STARTED,
        { do: 'tie', string: 'M1R', way: 1, at: { hole: bed.holes[0]!, side: 'right' } },
      ],
      'not the end of its piece',
    ],
  ])('refuses %s', (_, actions, part) => {
    expect(problemOf(actions)).toContain(part);
  });

  it('knows what the machine has', () => {
    expect(problemOf(STARTED, { ...MACHINE, clamps: 1 })).toContain('one clamp only');
    expect(problemOf(STARTED, { ...MACHINE, startingClamps: 0 })).toContain('no starting clamp');
  });

  // Source: common practice (a flying clamp holds one string by its neighbour).
  it('lets a flying clamp hold two neighbours, and none alone', () => {
    const flying: ClampSet = { ...MACHINE, clampKind: 'flying' };
    expect(problemOf(STARTED, flying)).toBeUndefined();
    const alone: readonly Action[] = [
      ...thread('M1L', 'M1R'),
      { do: 'grip outside', string: 'M1R', way: -1 },
      pull('M1R', 1),
      clamp('clamp 1', 'M1R'),
    ];
    expect(problemOf(alone, MACHINE)).toBeUndefined();
    expect(problemOf(alone, flying)).toContain('M1R has none under tension');
  });

  // Source: common practice (never more than three mains ahead on one side).
  it('refuses a fourth main ahead', () => {
    const right = (['M2R', 'M3R', 'M4R', 'M5R'] as const).flatMap((string): Action[] => [
      ...thread(string),
      pull(string, 1),
      free('clamp 1'),
      clamp('clamp 1', string),
      letGo,
    ]);
    expect(problemOf([...STARTED, ...right.slice(0, 15)])).toBeUndefined();
    expect(problemOf([...STARTED, ...right])).toContain('4 mains ahead, and 3 are allowed');
  });

  it('refuses a cross before its mains, and a job that is not done', () => {
    const cross: readonly Action[] = [
      ...thread('C1', 'C2'),
      { do: 'grip outside', string: 'C1', way: -1 },
      pull('C2', 1),
    ];
    expect(problemOf([...STARTED, ...cross])).toMatch(
      /C2 is pulled before M\d[LR], which it crosses/,
    );
    const ledger = openLedger(bed, PATH, MACHINE, FIGURES);
    expect(ledger.unfinished()?.key).toBe('ledger.not all in');
  });

  it('refuses a string that the path does not have', () => {
    expect(() => problemOf(thread('M9L'))).toThrow('no string M9L');
  });
});
