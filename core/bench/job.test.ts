import { describe, expect, it } from 'vitest';
import { bedOf } from '../testing/frame-spec';
import { MONOFILAMENT, usualJob } from '../testing/jobs';
import { english } from '../terms/words/english';
import { inTensionUnit } from '../measure/units';

const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T', '8T'] });
const stepsOf = (job: ReturnType<typeof usualJob>) => {
  if (!job.sequence.ok) throw new Error(job.sequence.problem);
  return job.sequence.value.steps;
};

describe('a job made once', () => {
  const job = usualJob({ bed });

  it('is pulled at the bench in the order that its plan shows', () => {
    // The first cross is started by hand over the mains, and pulled with the second.
    const pulled = stepsOf(job).flatMap(({ actions }) =>
      actions.flatMap((action) => (action.do === 'pull' ? [action.string] : [])),
    );
    const first = [...new Set(pulled)];
    expect(first.filter((string) => string !== 'C1')).toEqual(
      job.plan.path.order.filter((string) => string !== 'C1'),
    );
    expect(first.toSorted()).toEqual(job.plan.path.order.toSorted());
  });

  it('sets the head to the figures of its ticket', () => {
    const at = new Map(stepsOf(job).map(({ string, pullN }) => [string, pullN]));
    expect(inTensionUnit(at.get('M3R') ?? 0, 'kg')).toBe(24);
    expect(inTensionUnit(at.get('C9') ?? 0, 'kg')).toBe(23);
  });

  it('is cut from what it is said to be cut from, and says at the bench what is short', () => {
    expect(job.supply.pieces.map(({ name }) => name)).toEqual(['mains', 'crosses']);
    const short = usualJob({ bed, cutFrom: 'remnant', remnantsMm: [6500, 5400] });
    const lacking = short.supply.pieces.filter(({ spareMm }) => (spareMm ?? 0) < 0);
    expect(lacking.length).toBeGreaterThan(0);
    const bridges = (of: typeof job) => stepsOf(of).filter(({ kind }) => kind === 'bridge').length;
    expect(bridges(short)).toBeGreaterThan(bridges(job));
  });

  it('pre-stretches what the house pre-stretches', () => {
    const stretched = (of: typeof job) => stepsOf(of).filter(({ kind }) => kind === 'pre-stretch');
    const gut = { ...MONOFILAMENT, family: 'natural gut' } as const;
    const house = { ...job.house, preStretch: 'gut and nylon' } as const;
    expect(stretched(usualJob({ bed, house }))).toEqual([]);
    expect(
      stretched(usualJob({ bed, mains: gut, house })).map(({ words }) => english(words)),
    ).toEqual([expect.stringContaining('for the mains')]);
  });
});
