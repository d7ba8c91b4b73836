import { describe, expect, it } from 'vitest';
import {
  readFromHead,
  readToHead,
  REHEARSALS,
  writeFromHead,
  writeToHead,
  type FromHead,
  type ToHead,
} from './head-lines';

const TO: readonly ToHead[] = [
  { say: 'identify' },
  { say: 'set', n: 231.3 },
  { say: 'string', family: 'natural gut' },
  { say: 'pull' },
  { say: 'release' },
  ...REHEARSALS.map((what) => ({ say: 'rehearse' as const, what })),
];
const FROM: readonly FromHead[] = [
  { say: 'head', name: 'stand-in', pull: 'constant pull', leastN: 20, mostN: 450 },
  { say: 'head', name: 'other', pull: 'lock-out', leastN: 50, mostN: 400 },
  { say: 'ready', n: 231.3 },
  { say: 'reading', n: 12.5 },
  { say: 'hold', n: 231 },
  { say: 'released' },
  { say: 'fault', fault: 'slip', n: 64 },
  { say: 'refused', why: 'It pulls 20 to 450 N.' },
];

describe('the lines of a tension head', () => {
  it('come back as they were said, both ways', () => {
    for (const line of TO) expect(readToHead(writeToHead(line))).toEqual({ ok: true, value: line });
    for (const line of FROM)
      expect(readFromHead(writeFromHead(line))).toEqual({ ok: true, value: line });
  });

  it('are as the document writes them', () => {
    expect(writeToHead({ say: 'set', n: 231.31 })).toBe('set 231.3');
    expect(writeFromHead(FROM[1] as FromHead)).toBe('head other lock-out 50.0 400.0');
    expect(readFromHead('head stand-in constant 20 450')).toMatchObject({
      value: { pull: 'constant pull', mostN: 450 },
    });
  });

  it.each([
    '',
    'push',
    'set',
    'set many',
    'set -4',
    'set 1e9',
    'pull now',
    'constructor',
    'string wire',
  ])('refuse “%s” with a sentence', (line) => {
    expect(readToHead(line)).toMatchObject({ ok: false, problem: expect.stringMatching(/\.$/) });
  });

  it.each(['reading', 'reading x', 'fault burn 3.0', 'head stand-in', 'hold 5 6', 'set 3'])(
    'from a head, refuse “%s”',
    (line) => {
      expect(readFromHead(line).ok).toBe(false);
    },
  );
});
