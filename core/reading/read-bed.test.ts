import { describe, expect, it } from 'vitest';
import { tries } from '../testing/share';
import { chanceFrom } from '../maths/chance';
import { FRAME } from '../testing/bench-job';
import { drawnBed } from '../testing/drawn-beds';
import { bedOf } from '../testing/frame-spec';
import { ENGLISH, english } from '../terms/words/english';
import { readBed } from './read-bed';
import { bedSeenSchema, NOTHING_SEEN, type BedSeen } from './seen';
import { bedFacts, OUTCOMES, pairsTooFew, signsOf, type PlainSign } from './signs';
import { lawsFor, STORIES, type Story } from './stories';
import { clientWords, lookWords, seenWords, storyWords, toDo } from './words';

const facts = bedFacts(bedOf(FRAME));
const read = (seen: Partial<BedSeen>, about = facts) =>
  readBed({ ...NOTHING_SEEN, ...seen }, about);
const first = (seen: Partial<BedSeen>, about = facts) => read(seen, about).ranked[0]?.story;
const chanceOf = (story: Story, seen: Partial<BedSeen>) =>
  read(seen).ranked.find((each) => each.story === story)?.chance ?? NaN;

describe('a finished bed', () => {
  // Source: common practice: the bow points to where there were no crosses yet.
  it('was crossed from the throat up where the crosses bow towards the head, and not where they bow to the throat', () => {
    expect(first({ crossBow: { towards: 'head', mm: 5 } })).toBe('crosses from the throat up');
    expect(first({ crossBow: { towards: 'throat', mm: 5 } })).toBe('never straightened');
  });

  // Source: common practice: a straight bed proves nothing about direction.
  it('that is straight says nothing about direction', () => {
    const straight = { crossBow: { towards: 'neither', mm: 0 } } as const;
    expect(read(straight).directionOpen).toBe(true);
    expect(chanceOf('crosses from the throat up', straight)).toBeCloseTo(0.09, 1);
    expect(
      read(straight).ranked.find(({ story }) => story === 'crosses from the throat up')?.against,
    ).toEqual([]);
    expect(read({ crossBow: { towards: 'head', mm: 4 } }).directionOpen).toBe(false);
  });

  it('whose maker has the crosses go up bows the other way', () => {
    const upwards = { ...facts, crossesFrom: 'throat' as const };
    expect(first({ crossBow: { towards: 'head', mm: 5 } }, upwards)).toBe('never straightened');
    expect(read({ crossBow: { towards: 'throat', mm: 5 } }, upwards).found).not.toContain(
      'crosses from the throat up',
    );
  });

  // Source: common practice: an outer main of the cross's material, or 17 mains in an 18 pattern, tells of a mains piece cut short.
  it('with an outer main of the other string, or one main missing, was patched', () => {
    expect(first({ otherMains: ['M8L'], mains: 16 })).toBe('mains piece too short');
    expect(first({ mains: 15 })).toBe('mains piece too short');
    expect(first({ otherMains: [], mains: 16 })).toBeNull();
  });

  // Source: common practice: three knots and one; a mismatch means a wrong method or a patched job.
  it('tells a patched job from one begun at the wrong end by the runs and the outer mains', () => {
    // This frame's mains end at the head, with three knots there.
    const knots = (['8HL', '6TL', '6TR', '8TL'] as const).map((hole) => ({ hole, of: null }));
    const reading = read({ knots });
    expect(reading.ranked.slice(0, 2).map(({ story }) => story)).toEqual(
      expect.arrayContaining(['wrong start', 'mains piece too short']),
    );
    expect(reading.lookAt.slice(0, 2)).toEqual(expect.arrayContaining(['mains', 'runs']));
    expect(first({ knots, runs: 'leaping', mains: 16, otherMains: [] })).toBe('wrong start');
    expect(first({ knots, runs: 'flat', mains: 16, otherMains: ['M8R'] })).toBe(
      'mains piece too short',
    );
  });

  // Source: common practice: tooth marks are of over-tight clamps.
  it('with tooth marks was clamped too tight, and comes out where there are many', () => {
    expect(first({ marks: 'few' })).toBe('clamps too tight');
    expect(toDo(['clamps too tight'], { ...NOTHING_SEEN, marks: 'few' }).what).toBe('watch');
    expect(toDo(['weave fault', 'clamps too tight'], { ...NOTHING_SEEN, marks: 'many' }).what).toBe(
      'cut out',
    );
  });

  it('can have two stories at once, each with what speaks for it', () => {
    const reading = read({ weaveFaults: [{ cross: 5, main: 'M2L' }], marks: 'many' });
    expect(reading.found.toSorted()).toEqual(['clamps too tight', 'weave fault']);
    const weave = reading.ranked.find(({ story }) => story === 'weave fault');
    expect(weave?.for).toEqual([{ sign: 'weave', outcome: 'one fault' }]);
  });

  it('is told the same by a figure however large, and by knots only when they were found', () => {
    for (const mm of [4, 8, 40])
      expect(first({ crossBow: { towards: 'head', mm } })).toBe('crosses from the throat up');
    expect(first({ pitch: { hz: 240, setHz: 500 } })).toBe('string dead');
    // Higher than it was set is a slip of the ear.
    expect(first({ pitch: { hz: 600, setHz: 500 } })).toBeNull();
    expect(signsOf({ ...NOTHING_SEEN, knots: [] }, facts).map(({ sign }) => sign)).not.toContain(
      'knots',
    );
    const bow = (mm: number) => ({ ...NOTHING_SEEN, crossBow: { towards: 'neither', mm } });
    expect(bedSeenSchema.safeParse(bow(0)).success).toBe(true);
    expect(bedSeenSchema.safeParse(bow(9)).success).toBe(false);
  });

  it('of which nothing was seen is as it was before anybody looked', () => {
    const reading = read({});
    expect(reading.told).toBe('open');
    expect(reading.tells).toBe(false);
    expect(reading.found).toEqual([]);
    for (const { story, chance } of reading.ranked) if (story) expect(chance).toBeLessThan(0.2);
    expect(reading.lookAt.length).toBeGreaterThan(0);
  });

  it('with a main in the hole beside a skip has one gap wide and its neighbour narrow', () => {
    const gap = (main: string, is: 'wide' | 'narrow') => ({ end: 'head' as const, main, is });
    const [beside = 0] = facts.besideSkips.head;
    const moved = [gap(`M${beside}R`, 'wide'), gap(`M${beside + 1}R`, 'narrow')];
    expect(first({ gaps: moved })).toBe('wrong skip');
    expect(read({ gaps: [gap('M2R', 'wide')] }).told).toBe('open');
    expect(signsOf({ ...NOTHING_SEEN, gaps: moved }, facts)).toEqual([
      { sign: 'gaps', outcome: 'by a skip' },
    ]);
  });

  it('compares like-numbered mains once there are three pairs', () => {
    const pairs = (n: number, by: number) =>
      Object.fromEntries(
        Array.from({ length: n }, (_, i) => [
          [`M${i + 1}R`, 600 * (1 + by)],
          [`M${i + 1}L`, 600],
        ]).flat(),
      );
    expect(signsOf({ ...NOTHING_SEEN, mainsHz: pairs(2, 0.05) }, facts)).toEqual([]);
    expect([0, 2, 3].map((n) => pairsTooFew(pairs(n, 0.05)))).toEqual([0, 2, 0]);
    expect(first({ mainsHz: pairs(4, 0.05) })).toBe('one side ahead');
    expect(first({ mainsHz: pairs(4, 0.002) })).toBeNull();
  });
});

describe('forty beds of the forward models, seen with noise', () => {
  const stories: readonly (Story | null)[] = [null, ...STORIES];
  /** What a story shows was looked at; of the rest four in five signs were. */
  const trial = (count: number, seed: number) => {
    const chance = chanceFrom(seed);
    let [right, sure, sureAndWrong] = [0, 0, 0];
    for (let i = 0; i < count; i++) {
      const story = stories[i % stories.length] ?? null;
      const seen = drawnBed(story, facts, chance);
      const { ranked, told } = readBed(seen, facts);
      const isRight = ranked[0]?.story === story;
      if (isRight) right++;
      if (told === 'sure') sure++;
      if (told === 'sure' && !isRight) sureAndWrong++;
    }
    return { right: right / count, sure: sure / count, sureAndWrong: sureAndWrong / count };
  };

  it('have the right story first in nine of ten, and are never surely wrong', () => {
    const { right, sureAndWrong } = trial(40, 11);
    expect(right).toBeGreaterThanOrEqual(0.9);
    expect(sureAndWrong).toBe(0);
  });

  it('hold as well for many: right first in 90 %, sure and wrong in 1 %, and sure of many', () => {
    const { right, sure, sureAndWrong } = trial(tries(2004, 504), 12);
    expect(right).toBeGreaterThanOrEqual(0.9);
    expect(sureAndWrong).toBeLessThanOrEqual(0.01);
    expect(sure).toBeGreaterThan(0.3);
  });
});

describe('the forward models', () => {
  it('add up to one for every sign and story', () => {
    for (const sign of Object.keys(OUTCOMES) as PlainSign[])
      for (const story of [null, ...STORIES]) {
        const { plain = {} } = lawsFor(sign, story ? [story] : [], facts);
        expect(Object.keys(plain).toSorted()).toEqual([...OUTCOMES[sign]].toSorted());
        expect(Object.values(plain).reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 9);
      }
  });

  it('have a sentence for everything that can be seen, told and done', () => {
    for (const sign of Object.keys(OUTCOMES) as PlainSign[]) {
      expect(english(lookWords(sign))).not.toBe('');
      for (const outcome of OUTCOMES[sign])
        expect(ENGLISH).toHaveProperty([`seen.${sign}.${outcome}`]);
    }
    for (const story of [null, ...STORIES]) {
      expect(english(storyWords(story))).not.toBe('');
      // Without blame: of what was done, never of who did it.
      expect(english(clientWords(story))).not.toMatch(/\b(wrong|fault|bad|mistake|stringer)\b/i);
      if (story) expect(english(toDo([story], NOTHING_SEEN).why)).not.toBe('');
    }
    for (const value of [-4, 0, 4]) {
      expect(english(seenWords({ sign: 'cross bow', value }))).not.toBe('');
      expect(english(seenWords({ sign: 'main bow', value }))).not.toBe('');
      expect(english(seenWords({ sign: 'balance', value }))).not.toBe('');
    }
    expect(english(seenWords({ sign: 'pitch', value: 0.8 }))).toBe(
      'the bed rings at 80 % of the pitch that it was set to',
    );
  });
});

describe('stories', () => {
  const bowed = (mm: number) =>
    readBed({ ...NOTHING_SEEN, crossBow: { towards: mm === 0 ? 'neither' : 'head', mm } }, facts);
  const throatUp = (mm: number) =>
    bowed(mm).ranked.find(({ story }) => story === 'crosses from the throat up')?.chance ?? NaN;

  // Source: the rules of probability.
  it('exclude each other and add up to one', () => {
    for (const mm of [0, 1.49, 3, 27])
      expect(bowed(mm).ranked.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
  });

  it('are never less likely by more evidence, at no threshold either', () => {
    const chances = Array.from({ length: 120 }, (_, i) => throatUp(i / 4));
    chances.slice(1).forEach((chance, i) => {
      expect(chance).toBeGreaterThanOrEqual((chances[i] ?? 0) - 1e-4);
    });
    expect(Math.abs(throatUp(1.5) - throatUp(1.49))).toBeLessThan(0.005);
  });

  it('have beside them what is likely true as well', () => {
    const both = readBed(
      {
        ...NOTHING_SEEN,
        crossBow: { towards: 'head', mm: 4.5 },
        weaveFaults: [{ cross: 4, main: 'M2L' }],
      },
      facts,
    );
    expect(both.ranked[0]).toMatchObject({
      story: 'crosses from the throat up',
      beside: ['weave fault'],
    });
    expect(both.found).toEqual(['crosses from the throat up', 'weave fault']);
  });

  it('are not sure while a rival stands at a tenth', () => {
    for (let mm = 0; mm < 8; mm += 0.1) {
      const { told, ranked } = bowed(mm);
      if (told === 'sure') expect(ranked[1]?.chance).toBeLessThan(0.1);
    }
  });
});
