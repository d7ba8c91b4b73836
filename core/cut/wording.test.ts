import { describe, expect, it } from 'vitest';
import { checkSource, cutSource } from './plan';
import { barePiece } from '../testing/bare-piece';
import {
  crossWay,
  cutAdvice,
  knotCount,
  lengthWords,
  orderWords,
  skipWords,
  spareText,
} from './wording';

describe('over and short', () => {
  it.each([
    [140, '14 cm over'],
    [-460, '46 cm short'],
    [1250, '1.25 m over'],
    [4, 'just enough'],
    [-4, 'just enough'],
  ])('%d mm is %s', (mm, words) => expect(spareText(mm, 'metric')).toBe(words));
  it('speaks feet where the workshop does', () => {
    expect(spareText(-304.8, 'imperial')).toBe('1 ft 0 in short');
    expect(lengthWords(460, 'imperial')).toBe('1 ft 6 in');
  });
});

describe('advice on the cut', () => {
  const advice = (kind: Parameters<typeof cutSource>[0], mains: number, crosses: number) =>
    cutAdvice(
      checkSource(cutSource(kind, { mainSetMm: 12_192, crossSetMm: 12_192, remnantsMm: [] }), [
        barePiece('mains', mains),
        barePiece('crosses', crosses),
      ]),
      'metric',
    );

  it('is silent when half does', () => {
    expect(advice('one set', 6000, 5600)).toEqual({
      word: 'Enough: mains 10 cm over, crosses 50 cm over.',
    });
    expect(advice('two half sets', 6000, 5600).caution).toBeUndefined();
  });
  it('moves the cut to the longer piece', () => {
    const { word, caution } = advice('one set', 6500, 5600);
    expect(word).toBe(
      'Do not halve it: cut at 6.50 m from the mains’ end, 40 cm beyond the middle.',
    );
    expect(caution).toContain('40 cm short for the mains');
    expect(advice('one set', 5600, 6500).word).toContain('before the middle');
    expect(advice('one set', 5600, 6500).caution).toContain('for the crosses');
  });
  it('says when it is enough with a bridge, and what that takes', () => {
    const { word, caution } = advice('two half sets', 6000, 6300);
    expect(word).toBe(
      'Enough, with a bridge on the last cross: mains 10 cm over, crosses 20 cm short.',
    );
    expect(caution).toContain('glasses on');
    expect(advice('two half sets', 6000, 6500).word).toContain(
      'the first cross pulled again by the starting clamp, and a bridge on the last cross',
    );
    expect(advice('one set', 6600, 5700).word).toContain('Cut at 6.60 m from the mains’ end');
  });
  it('says when a set or a half is not enough', () => {
    expect(advice('one set', 7000, 6000).caution).toContain('both pieces together are 81 cm short');
    expect(advice('two half sets', 6600, 5700).caution).toContain(
      'mains 50 cm short, crosses 40 cm over',
    );
  });
  it('has nothing to say off a reel', () => {
    expect(advice('reel', 9000, 9000)).toEqual({
      word: 'Off a reel each piece is as long as it must be.',
    });
  });
});

describe('the words of a plan', () => {
  it('count and name', () => {
    expect(skipWords([7, 9], 'throat')).toBe('7T 9T');
    expect(skipWords([], 'head')).toBe('none');
    expect(knotCount([{ end: 'head' }, { end: 'throat' }, { end: 'throat' }])).toBe(
      '1 at the head, 2 at the throat',
    );
    expect(crossWay('left', 'right', 19)).toBe('start left, finish right (19 crosses)');
  });
});

describe('the order of the pulls', () => {
  it('is said in short', () => {
    expect(orderWords(['M1R', 'M1L', 'M2R', 'M2L', 'C1', 'C2', 'C3'])).toBe(
      'M1 to M2, right then left by turns; then C1 to C3',
    );
    expect(orderWords(['M1L', 'M1R', 'M2L', 'C3', 'M2R', 'C1', 'C2'])).toBe(
      'M1 to M1, left then right by turns; then M2L; then C3; then M2R; then C1 to C2',
    );
    expect(orderWords(['M1R', 'M1L', 'C3', 'C2', 'C1'])).toContain('then C3 to C1');
    expect(
      orderWords([
        'M1R',
        'M1L',
        'M2R',
        'M3R',
        'M4R',
        'M2L',
        'M3L',
        'M4L',
        'M5L',
        'M5R',
        'C2',
        'C1',
      ]),
    ).toBe('M1R, M1L, M2R to M4R, M2L to M5L, M5R; then C2 to C1');
  });
});
