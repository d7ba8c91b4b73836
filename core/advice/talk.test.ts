import { describe, expect, it } from 'vitest';
import { leadG, remembered, SILENT, talkSchema, talkWords, wantsOf, type Talk } from './talk';

const said: Talk = {
  ...SILENT,
  age: 'older',
  level: 'club',
  style: 'flat',
  playsAWeek: 2,
  breaks: 'never',
  arm: 'now',
  armPart: 'elbow',
  wants: ['comfort', 'power'],
  faults: ['boardy'],
  budget: 'open',
  altitudeM: 800,
  season: 'winter',
  racket: { weightG: 290, stiffness: 'stiff', grip: 'built up', leadHeadG: 4, leadHandleG: 6 },
};

describe('the talk', () => {
  it('may be left out question by question', () => {
    expect(talkSchema.parse(SILENT)).toEqual(SILENT);
    expect(talkWords(SILENT, 'tennis')).toBe('');
    expect(talkSchema.safeParse({ ...SILENT, playsAWeek: 40 }).success).toBe(false);
    expect(talkSchema.safeParse({ ...SILENT, age: 'ancient' }).success).toBe(false);
  });

  it('is one line of words', () => {
    expect(talkWords(said, 'tennis')).toBe(
      'older, club, flat · plays 2 a week, never breaks · elbow sore now · wants comfort and power, last time: boardy · price is no matter, 800 m, winter · 290 g, stiff frame, grip built up, 10 g of lead',
    );
    expect(talkWords({ ...SILENT, arm: 'before', armPart: 'wrist' }, 'squash')).toBe(
      'wrist was sore',
    );
    expect(talkWords({ ...SILENT, arm: 'well' }, 'squash')).toBe('arm is well');
  });

  // Source: common practice (badminton speaks of repulsion and of the shuttle).
  it('speaks each sport’s words', () => {
    expect(talkWords({ ...SILENT, wants: ['power', 'control'] }, 'badminton')).toBe(
      'wants repulsion and shuttle control',
    );
    expect(wantsOf('badminton').map(({ value }) => value)).not.toContain('spin');
    expect(wantsOf('tennis')).toHaveLength(5);
  });

  it('remembers who plays and what they play with, and forgets what was said of one job', () => {
    const kept = remembered({ ...said, asksFamily: 'natural gut' });
    expect(kept.faults).toEqual([]);
    expect(kept.asksFamily).toBeNull();
    expect(kept).toMatchObject({
      age: 'older',
      arm: 'now',
      wants: ['comfort', 'power'],
      racket: said.racket,
    });
    expect(leadG(said)).toBe(10);
  });
});
