import { describe, expect, it } from 'vitest';
import { HOUSE_QUESTIONS } from '../house/house-rules';
import { adviceCase, lastJob, shelfString, type CaseChanges } from '../testing/advice-case';
import { advise, type Proposal } from './advise';
import { RANKS } from './rule';
import { RULES } from './rules';
import type { ShelfString } from './shelf';
import { TRANSLATIONS } from './translations';

const SHELF: readonly ShelfString[] = [
  shelfString({ name: 'Soft', setPriceMinor: 2000 }),
  shelfString({ name: 'Soft Fine', gaugesMm: [1.2, 1.25], setPriceMinor: 2100 }),
  shelfString({ name: 'Plain', family: 'synthetic gut', setPriceMinor: 700 }),
  shelfString({
    name: 'Firm',
    family: 'monofilament',
    gaugesMm: [1.2, 1.25, 1.3],
    setPriceMinor: 1200,
  }),
  shelfString({
    name: 'Firm Six',
    family: 'monofilament',
    shape: 'angular',
    gaugesMm: [1.23],
    setPriceMinor: 1300,
    lifeHours: 10,
  }),
];

const advised = (changes: CaseChanges = {}, shelf = SHELF) =>
  advise(adviceCase(changes), { shelf, labourMinor: 1800, unit: 'kg' });
const kind = (changes: CaseChanges, name: string, shelf = SHELF): Proposal => {
  const found = advised(changes, shelf).proposals.find((each) => each.kind.name === name);
  if (!found) throw new Error(`No ${name} among the proposals.`);
  return found;
};

describe('the setups', () => {
  it('are cut from the shelf, in the thickness that comes nearest', () => {
    expect(kind({}, 'full multifilament').offers.mains[0]).toMatchObject({
      string: { name: 'Soft' },
      gaugeMm: 1.3,
    });
    expect(kind({ talk: { arm: 'now' } }, 'full multifilament').strung.mains.gaugeMm).toBe(1.25);
    expect(
      kind({ talk: { style: 'spin' } }, 'full monofilament').offers.mains[0]?.string.name,
    ).toBe('Firm Six');
    expect(kind({}, 'full natural gut').offers.mains).toEqual([]);
    expect(kind({}, 'full natural gut').priceMinor).toBeUndefined();
  });

  it('leave out last what a string is not for', () => {
    const shelf = [
      shelfString({ name: 'Cheap', notFor: ['arm trouble'], setPriceMinor: 100 }),
      shelfString({ name: 'Kind', setPriceMinor: 3000 }),
    ];
    const offers = kind({ talk: { arm: 'before' } }, 'full multifilament', shelf).offers.mains;
    expect(offers.map(({ string }) => string.name)).toEqual(['Kind', 'Cheap']);
    expect(offers[1]?.against).toEqual(['arm trouble']);
    expect(kind({}, 'full multifilament', shelf).offers.mains[0]?.string.name).toBe('Cheap');
  });

  // Source: practice (a hybrid needs two pieces; it takes half a set of each string).
  it('need two pieces when they are hybrids, and cost half of each set', () => {
    const hybrid = kind({}, 'monofilament and synthetic gut');
    expect(hybrid.method).toBe('two-piece');
    expect(hybrid.priceMinor).toBe(600 + 350);
    expect(kind({}, 'full monofilament').method).toBeUndefined();
    expect(kind({}, 'full monofilament').priceMinor).toBe(1200);
  });

  // Source: practice (monofilament 8–15 h; nylon and multifilament 15–20 h; soft strings saw through beside monofilament).
  it('last as long as their family, or as long as was measured', () => {
    const plain = kind({}, 'full synthetic gut').hours;
    expect(plain).toEqual([15, 20]);
    const mono = kind({}, 'full monofilament').hours;
    expect(mono).toEqual([8, 15]);
    const six = kind({ talk: { style: 'spin' } }, 'full monofilament').hours;
    expect((six[0] + six[1]) / 2).toBeCloseTo(10 * (1 + 0.1 * (-0.02 / 0.05)), 6);
    const hybrid = kind({}, 'multifilament and monofilament').hours;
    expect(hybrid[1]).toBeLessThan(20 * 0.9);
  });

  it('last no longer than this client needs to break them', () => {
    const talk = { breaks: 'in weeks', playsAWeek: 2 } as const;
    const last = lastJob('multifilament', 24, 24);
    // Three weeks of two plays of an hour and a half are nine hours in what was in it.
    const again = kind({ talk, last }, 'full multifilament').hours;
    const tougher = kind({ talk, last }, 'full monofilament').hours;
    expect(again[1]).toBeGreaterThan(8);
    expect(again[1]).toBeLessThan(12);
    expect(tougher[1]).toBeGreaterThan(again[1]);
  });

  // Source: practice, the table of families (what each plays like, against the others).
  it('are told beside what the client has now', () => {
    const last = lastJob('monofilament', 23, 23);
    expect(kind({ last }, 'full multifilament').changes).toMatchObject({
      comfort: 'much more',
      spin: 'much less',
      power: 'much more',
      holding: 'much more',
    });
    expect(kind({ last }, 'full monofilament').changes).toMatchObject({
      comfort: 'as now',
      power: 'as now',
    });
    expect(kind({}, 'full natural gut').changes).toMatchObject({ holding: 'much more' });
    expect(kind({ last: lastJob('multifilament', 24, 24) }, 'full natural gut').changes.power).toBe(
      'more',
    );
  });

  it('cost by the hour what string and labour cost over their hours', () => {
    const plain = kind({}, 'full synthetic gut');
    expect(plain.hourMinor).toBe(Math.round((700 + 1800) / 17.5));
  });

  it('give every reason, the weightiest first, and their sum is the rank', () => {
    const { proposals } = advised({ talk: { level: 'club', style: 'flat', arm: 'before' } });
    for (const { reasons } of proposals)
      reasons
        .slice(1)
        .forEach(({ points }, i) =>
          expect(Math.abs(points)).toBeLessThanOrEqual(Math.abs(reasons[i]?.points ?? 0)),
        );
    const soft = proposals[0];
    expect(soft?.kind.name).toBe('full multifilament');
    expect(soft?.points).toBeCloseTo(
      0.5 + (soft?.reasons.reduce((sum, { points }) => sum + points, 0) ?? 0),
      9,
    );
  });

  it('are pre-stretched where the house does', () => {
    const house = { preStretch: 'gut and nylon' } as const;
    expect(kind({ house }, 'full multifilament').preStretch).toBe(true);
    expect(kind({ house }, 'full monofilament').preStretch).toBe(false);
    expect(kind({ house: { preStretch: 'every string' } }, 'full monofilament').preStretch).toBe(
      true,
    );
    expect(kind({}, 'full multifilament').preStretch).toBe(false);
  });

  // Source: practice (pre-stretch: steadier; thicker mains with thinner crosses of one string last longer).
  it('tell what pre-stretch and thick mains do', () => {
    const last = lastJob('multifilament', 24, 24);
    const stretched = kind({ last, house: { preStretch: 'every string' } }, 'full multifilament');
    expect(stretched.changes.holding).toBe('more');
    const thick = kind({}, 'thick and thin monofilament');
    expect(thick.method).toBe('two-piece');
    expect(thick.strung.mains.gaugeMm).toBeGreaterThan(thick.strung.crosses.gaugeMm);
    expect(kind({}, 'full monofilament').hours[1]).toBeLessThan(thick.hours[1]);
  });

  it('are each another bed, whatever the shelf makes of them', () => {
    const shelf = [shelfString({ name: 'Only', family: 'monofilament', gaugesMm: [1.25] })];
    const names = advised({}, shelf).proposals.map((each) => each.kind.name);
    expect(names).toContain('full monofilament');
    expect(names).not.toContain('thick and thin monofilament');
  });

  it('never offer aramid', () => {
    for (const sport of ['tennis', 'badminton', 'squash'] as const)
      for (const { strung } of advised({ spec: { sport } }).proposals)
        expect([strung.mains.family, strung.crosses.family]).not.toContain('aramid');
  });
});

describe('a bed that a client left', () => {
  it('is offered last, with the reason, whatever else speaks for it', () => {
    const wants = { talk: { wants: ['comfort' as const] } };
    const [first] = advised(wants).proposals;
    const before = lastJob('multifilament', 24, 24);
    const left = first ? [first.strung] : [];
    const { proposals } = advised({ ...wants, last: { ...before, left } });
    const place = proposals.findIndex(({ kind }) => kind.name === first?.kind.name);
    expect(place).toBeGreaterThanOrEqual(proposals.length - 2);
    expect(proposals[place]?.reasons[0]?.title).toBe('They would not take it again');
  });
});

describe('the rules', () => {
  const all = [...RULES, ...TRANSLATIONS];
  it('each have a name of their own, a plain sentence, a source and a rank', () => {
    const named = RULES.map(({ id }) => id);
    expect(new Set(named).size).toBe(named.length);
    for (const { why, rank, source } of all) {
      expect(why).toMatch(/^[A-Z][^\n]{25,}\.$/);
      expect(RANKS).toContain(rank);
      if (typeof source === 'string') expect(['common practice', 'from memory']).toContain(source);
    }
  });
  it('name the question that schools differ on, where they do', () => {
    for (const { school, rank } of all) {
      if (school) expect(HOUSE_QUESTIONS).toHaveProperty(school);
      if (rank === 'house rule' && !school)
        expect('machine').toBe(all.find((each) => each.rank === rank && !each.school)?.id);
    }
  });
  it('do something: move, favour, thin or tell', () => {
    for (const rule of RULES)
      expect(Boolean(rule.small ?? rule.favours ?? rule.thicker ?? rule.tells), rule.id).toBe(true);
  });
});
