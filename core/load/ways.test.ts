import { describe, expect, it } from 'vitest';
import { usual } from '../testing/usual';
import { stringInWay, wayFigures, WAYS, type Way } from './ways';

const figuresOf = (way: Way) => {
  const strung = stringInWay(usual.job, way);
  if (!strung?.ok) throw new Error(way);
  return wayFigures(way, strung.value);
};

describe('ways to string the same frame', () => {
  const planned = figuresOf('as planned');

  it('are every one strung to the last string, or are the plan itself', () => {
    for (const way of WAYS) {
      const strung = stringInWay(usual.job, way);
      if (!strung) continue;
      expect([way, strung.ok && strung.value.strings.length]).toEqual([way, 35]);
    }
  });

  // Source: common practice, which the arithmetic bears out: six mounts are preferred to two.
  it('leave the hoop more out of shape on the way with fewer mounts', () => {
    expect(figuresOf('on two mounts').onTheWayMm).toBeGreaterThan(planned.onTheWayMm);
  });

  // Source: common practice: crosses lose pull to weave friction.
  it('end with crosses below and mains above what was set, and nearer to it where crosses are pulled higher', () => {
    expect(planned.crossesN.final).toBeLessThan(planned.crossesN.set);
    expect(planned.mainsN.final).toBeGreaterThan(planned.mainsN.set * 0.98);
    const higher = figuresOf('crosses a kilogram higher');
    expect(higher.crossesN.final).toBeGreaterThan(planned.crossesN.final);
  });
});
