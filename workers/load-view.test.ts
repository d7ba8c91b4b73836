import { describe, expect, it } from 'vitest';
import { stringInWay } from '@/core/load/ways';
import { usual } from '@/core/testing/usual';
import { loadView } from './load-view';

describe('a job under load as it is drawn', () => {
  const strung = stringInWay(usual.job, 'as planned');
  if (!strung?.ok) throw new Error('not strung');
  const view = loadView('as planned', strung.value);

  it('has a frame for each pull and one with the mounts open, every node in each', () => {
    expect(view.frames).toHaveLength(strung.value.strung.pulls.length + 1);
    expect(view.frames.at(-1)?.string).toBe('');
    for (const { moved } of view.frames) expect(moved).toHaveLength(view.nodes.length);
    for (const [from, to] of view.beams) {
      expect(from).toBeLessThan(view.nodes.length / 2);
      expect(to).toBeLessThan(view.nodes.length / 2);
    }
  });

  it('says of each mount what it bears, and of none once they are open', () => {
    expect(view.mounts.map(({ name }) => name)).toEqual([
      'head',
      'throat',
      'upper left',
      'upper right',
      'lower left',
      'lower right',
    ]);
    const afterMains = view.frames.findLast(({ string }) => string.startsWith('M'));
    expect(afterMains?.mountsN.every((n) => n > 100)).toBe(true);
    expect(view.frames.at(-1)?.mountsN.every((n) => n === 0)).toBe(true);
  });

  it('is rounded to what an eye can tell, and its figures are not', () => {
    const [{ lengthMm } = { lengthMm: 0 }] = view.frames;
    expect(lengthMm).toBe(Math.round(lengthMm * 100) / 100);
    expect(view.figures.lengthEndMm).toBeCloseTo(view.frames.at(-1)?.lengthMm ?? 0, 2);
  });

  it('can be handed over: nothing in it is lost on the way from a worker', () => {
    expect(structuredClone(view)).toEqual(view);
  });
});
