import { describe, expect, it } from 'vitest';
import { ALL_DEEDS, isWatched, may, ROLES } from './policy';

describe('who may do what (common practice of small workshops, no source)', () => {
  it('an owner may do everything', () => {
    expect(ALL_DEEDS.filter((deed) => !may('owner', deed))).toEqual([]);
  });

  it('nobody else changes people, the house, its devices or sees the trail', () => {
    for (const role of ROLES.filter((each) => each !== 'owner'))
      for (const deed of [
        'change people',
        'change the workshop',
        'change house rules',
        'change machines',
        'trust devices',
        'see the trail',
      ] as const)
        expect([role, deed, may(role, deed)]).toEqual([role, deed, false]);
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
