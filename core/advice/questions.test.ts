import { describe, expect, it } from 'vitest';
import { adviceCase, lastJob, type CaseChanges } from '../testing/advice-case';
import { QUESTIONS, questionsToAsk } from './questions';

const asked = (changes: CaseChanges = {}, most = 5) =>
  questionsToAsk(adviceCase(changes), 'kg', most);

describe('what is asked first', () => {
  it('is what would move the job: the arm, how strings break, what they want; never the court', () => {
    // Common practice: a sore arm, broken strings and what a player misses decide string and tension before anything else.
    const first = asked();
    expect(first).toHaveLength(5);
    expect(first).toContain('arm');
    expect(first).toContain('breaks');
    expect(first).not.toContain('court');
  });

  it('is nothing that is known already', () => {
    const talk = { arm: 'well', breaks: 'in weeks', wants: ['spin'], faults: ['dead'] } as const;
    const first = asked({ talk: { ...talk, wants: [...talk.wants], faults: [...talk.faults] } });
    expect(first.filter((question) => question in talk)).toEqual([]);
    expect(first.length).toBeGreaterThan(0);
  });

  it('asks for the arm where nothing else is asked', () => {
    expect(asked({}, 1)).toEqual(['arm']);
  });

  it('asks how the last job played', () => {
    expect(asked({ last: lastJob('monofilament', 24, 24) }, 2)).toEqual(['arm', 'faults']);
  });

  it('stands in the order of the counter, and all of them are asked where there is room', () => {
    expect(asked({}, 99)).toEqual(QUESTIONS);
    const first = asked({ last: lastJob('monofilament', 24, 24) });
    expect(first).toEqual(QUESTIONS.filter((question) => first.includes(question)));
  });

  it('knows every sport', () => {
    for (const sport of ['tennis', 'badminton', 'squash'] as const)
      expect(asked({ spec: { sport } })).toContain('arm');
  });
});
