import { describe, expect, it } from 'vitest';
import { deedSchema } from './log';
import {
  cameInWith,
  mishapSchema,
  mishapWords,
  stringInHand,
  wayTaken,
  waysOut,
  wayIdSchema,
  wayTitled,
} from './mishap';
import { benchPlan, everyJob, FRAME, sequenceFor } from '../testing/bench-job';

const twoPiece = sequenceFor(benchPlan());
const pullOf = (string: string, { steps } = twoPiece) =>
  steps.findIndex((step) => step.kind === 'pull' && step.string === string);
const titles = (...of: Parameters<typeof waysOut>) => waysOut(...of).map(({ title }) => title);

// Source: common practice (a main is never patched; a cross may be, and the client hears of it).
describe('a string that breaks', () => {
  it('in hand at the fifth main is cut out from the middle, and the mains begin again', () => {
    const at = pullOf('M5R');
    const [anew, ...others] = waysOut(twoPiece, at, 'string broke', 'M5R');
    expect(others).toEqual([]);
    expect(anew).toMatchObject({
      title: 'Begin the mains again with a new length',
      done: cameInWith(twoPiece.steps, 'M1R'),
    });
    // What is lost is not let down string by string.
    expect(anew?.undo).toEqual([]);
    expect(anew?.words.join(' ')).toContain('from the centre in a plus');
    expect(anew?.tell).toContain('may take longer than promised');
  });

  it('among the crosses leaves the mains, or is patched with a word to the client', () => {
    const at = pullOf('C9');
    const [anew, patch] = waysOut(twoPiece, at, 'string broke', 'C9');
    expect(anew?.title).toBe('Begin the crosses again with a new length');
    expect(twoPiece.steps[anew?.done ?? 0]).toMatchObject({ kind: 'start', string: 'C1' });
    expect(patch?.title).toBe('Patch: tie C8 off and go on from C9 with a second length');
    expect(patch).toMatchObject({ done: at, tell: expect.stringContaining('two knots more') });
  });

  it('that was in already takes its piece with it: it is cut out from the centre', () => {
    const [anew] = waysOut(twoPiece, pullOf('C5'), 'string broke', 'M3L');
    expect(anew?.words.join(' ')).toContain('from the centre in a plus');
    expect(anew?.undo).toEqual([]);
  });

  it('in one piece begins the whole bed again', () => {
    const whole = sequenceFor(benchPlan(FRAME, 'one-piece'));
    expect(waysOut(whole, pullOf('C4', whole), 'string broke', 'C4')[0]?.title).toBe(
      'Begin the whole bed again with a new length',
    );
  });
});

describe('other mishaps', () => {
  it('a slipped clamp is pulled again, or the string comes out', () => {
    const at = pullOf('M4L');
    expect(titles(twoPiece, at, 'clamp slipped', 'M3L')).toEqual([
      'Pull M3L again',
      'Go back to before M3L',
    ]);
    expect(waysOut(twoPiece, at, 'clamp slipped', 'M3L')[0]?.done).toBe(at);
  });

  it('a wrong hole goes back to before that string', () => {
    const at = pullOf('M6R');
    const [back] = waysOut(twoPiece, at, 'wrong hole', 'M4R');
    expect(back?.done).toBe(cameInWith(twoPiece.steps, 'M4R'));
    expect(back?.undo.at(-1)?.draw).toEqual(['M4R']);
  });

  // Source: common practice (a bridge lends reach to the last pulls only).
  it('too short is bridged near the end only', () => {
    const near = titles(twoPiece, pullOf('C19'), 'short of string', 'C19');
    expect(near).toEqual(['Bridge the last pulls', 'Begin the crosses again with a new length']);
    expect(titles(twoPiece, pullOf('C9'), 'short of string', 'C9')).toEqual([
      'Begin the crosses again with a new length',
    ]);
  });

  // Source: common practice (never go on with a cracked frame; cut out from the centre).
  it('a cracked frame has one way only, and the client is told', () => {
    const ways = waysOut(twoPiece, pullOf('C9'), 'frame cracked', undefined);
    expect(ways).toHaveLength(1);
    expect(ways[0]).toMatchObject({ caution: expect.stringContaining('glasses on') });
    expect(ways[0]?.tell).toContain('the maker decides');
  });

  it('a second pull is written down, and changes nothing', () => {
    const at = pullOf('C9');
    expect(waysOut(twoPiece, at, 'pulled again', 'C8')).toMatchObject([{ done: at, undo: [] }]);
  });

  it('comes back from what was kept of it, unless nothing is left to do', () => {
    const step = pullOf('C9');
    const kept = { step, string: 'C8' } as const;
    const taken = wayTaken(twoPiece, { ...kept, mishap: 'wrong hole', wayId: 'go back' });
    expect(taken?.undo.length).toBeGreaterThan(0);
    expect(wayTaken(twoPiece, { ...kept, mishap: 'wrong hole' })).toBeUndefined();
    expect(
      wayTaken(twoPiece, { ...kept, mishap: 'pulled again', wayId: 'write down' }),
    ).toBeUndefined();
  });

  it('is found by what it is, and not by its words, which older jobs kept alone', () => {
    // As they were titled then, whatever they are called now.
    expect(
      [
        'Write down that C8 was pulled again',
        'Pull C8 again',
        'Go back to before C8',
        'Stop, and take the load off',
        'Bridge the last pulls',
        'Begin the crosses again with a new length',
        'Patch: tie C7 off and go on from C8 with a second length',
      ].map(wayTitled),
    ).toEqual(wayIdSchema.options);
    expect(wayTitled('Fly')).toBeUndefined();
    const old = { kind: 'mishap', mishap: 'wrong hole', string: 'C8', way: 'Go back to before C8' };
    expect(deedSchema.parse(old)).toEqual({ ...old, wayId: 'go back' });
    expect(deedSchema.parse({ ...old, wayId: 'patch' })).toEqual({ ...old, wayId: 'patch' });
  });

  it('is most likely about the string in hand, else the last that went in', () => {
    expect(stringInHand(twoPiece, pullOf('C9'))).toBe('C9');
    expect(stringInHand(twoPiece, 0)).toBeUndefined();
    expect(stringInHand(twoPiece, twoPiece.steps.length)).toBe('C19');
  });
});

it('over the library, every mishap at any step has a way out that goes nowhere ahead', () => {
  for (const { plan } of everyJob()) {
    const sequence = sequenceFor(plan);
    for (let done = 0; done <= sequence.steps.length; done += 7)
      for (const mishap of mishapSchema.options) {
        const string = stringInHand(sequence, done);
        const ways = waysOut(sequence, done, mishap, string);
        expect(ways.length > 0).toBe(string !== undefined || mishap === 'frame cracked');
        for (const way of ways) {
          expect(way.done).toBeLessThanOrEqual(done);
          expect(way.done).toBeGreaterThanOrEqual(0);
        }
        expect(mishapWords(mishap)).toBeTruthy();
      }
  }
});
