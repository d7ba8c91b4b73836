import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { frameSpec } from '@/core/testing/frame-spec';
import type { StudyQuestion } from '@/workers/study.worker';

/** A worker that does what its test says with each question. */
class Drawn extends EventTarget {
  static made: Drawn[] = [];
  static answers = true;
  ended = false;

  constructor() {
    super();
    Drawn.made.push(this);
  }

  postMessage({ id }: StudyQuestion): void {
    const data = { id, study: { problems: [] }, mends: [] };
    if (Drawn.answers) this.dispatchEvent(new MessageEvent('message', { data }));
  }

  terminate(): void {
    this.ended = true;
  }
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('Worker', Drawn);
  vi.resetModules();
  Drawn.made = [];
  Drawn.answers = true;
});

afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const spec = frameSpec();
const other = frameSpec({ mains: 18, crosses: 20 });

describe('a frame that is studied beside its form', () => {
  it('is asked about once', async () => {
    const { askStudy } = await import('./ask-study');
    const first = askStudy(spec);
    expect(askStudy(spec)).toBe(first);
    expect(await first).toMatchObject({ study: { problems: [] } });
    expect(Drawn.made).toHaveLength(1);
  });

  it('is given up where its worker does not answer, and the next question has a new one', async () => {
    const { askStudy } = await import('./ask-study');
    Drawn.answers = false;
    const unanswered = [askStudy(spec), askStudy(other)];
    await vi.advanceTimersByTimeAsync(60_000);
    expect(await Promise.all(unanswered)).toEqual([undefined, undefined]);
    expect(Drawn.made[0]?.ended).toBe(true);
    Drawn.answers = true;
    expect(await askStudy(spec)).toBeDefined();
    expect(Drawn.made).toHaveLength(2);
  });

  it('is given up at once where its worker cannot run', async () => {
    const { askStudy } = await import('./ask-study');
    Drawn.answers = false;
    const unanswered = askStudy(spec);
    Drawn.made[0]?.dispatchEvent(new Event('error'));
    expect(await unanswered).toBeUndefined();
  });
});
