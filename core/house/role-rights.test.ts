import { describe, expect, it } from 'vitest';
import { ALL_RIGHTS, asksPassword, isProven, isWatched, may, ROLES } from './role-rights';

describe('who may do what (common practice of small workshops, no source)', () => {
  it('an owner may do everything', () => {
    expect(ALL_RIGHTS.filter((right) => !may('owner', right))).toEqual([]);
  });

  it('nobody else changes people, the house, its devices or sees the trail', () => {
    for (const role of ROLES.filter((each) => each !== 'owner'))
      for (const right of [
        'change people',
        'change the workshop',
        'change house rules',
        'change machines',
        'trust devices',
        'see the trail',
      ] as const)
        expect([role, right, may(role, right)]).toEqual([role, right, false]);
  });

  it('the counter talks to clients and does not string', () => {
    expect(may('counter', 'take in') && may('counter', 'hand over')).toBe(true);
    expect(may('counter', 'set up') || may('counter', 'string')).toBe(false);
  });

  it('a learner practises and strings, under another’s eye, and sees no client’s address', () => {
    expect(may('learner', 'practise') && may('learner', 'string')).toBe(true);
    expect(ROLES.filter(isWatched)).toEqual(['learner']);
    expect(may('learner', 'see clients') || may('learner', 'hand over')).toBe(false);
  });

  // Source: common practice of banks and tills; ASVS 5, 7.5 (a proof anew before what is sensitive), from memory.
  it('a code is for the work of a day; what opens a door or takes money back asks for the password', () => {
    for (const right of ['take in', 'string', 'hand over', 'take payments', 'see records'] as const)
      expect([right, asksPassword(right)]).toEqual([right, false]);
    for (const right of [
      'change people',
      'trust devices',
      'change the workshop',
      'take records out',
      'give money back',
      'void jobs',
    ] as const)
      expect([right, asksPassword(right)]).toEqual([right, true]);
  });

  it('a password holds for ten minutes where a code opened the session, and always where it did', () => {
    const now = new Date('2026-03-02T12:00:00Z');
    const ago = (minutes: number) => new Date(now.getTime() - minutes * 60_000);
    expect(isProven({ byCode: false, provenAt: null }, now)).toBe(true);
    expect(isProven({ byCode: true, provenAt: null }, now)).toBe(false);
    expect(isProven({ byCode: true, provenAt: ago(9) }, now)).toBe(true);
    expect(isProven({ byCode: true, provenAt: ago(11) }, now)).toBe(false);
  });

  it('whoever may do something may also see it', () => {
    for (const role of ROLES)
      for (const [change, see] of [
        ['change clients', 'see clients'],
        ['change frames', 'see frames'],
        ['change strings', 'see strings'],
        ['change machines', 'see machines'],
        ['check machines', 'see machines'],
        ['change house rules', 'see house rules'],
        ['string', 'see the day'],
      ] as const)
        expect([role, change, !may(role, change) || may(role, see)]).toEqual([role, change, true]);
  });
});
