import { expect, it } from 'vitest';
import { usual } from '../testing/usual';
import { planCut } from './plan';

/** Knots so short that reaching the gripper takes nearly all of what stands out of the last hole. */
const SHORT = { knotMm: 20, tailMm: 20 };
const bridges = (gripperMm: number) =>
  planCut(usual.bed, usual.job, usual.job.choice, {
    ...usual.job.assumptions,
    ...SHORT,
    gripperMm,
  }).pieces.map((piece) => piece.bridges);

// Source: from memory (120 mm must stand out of the last hole for a clamp to take hold of).
it('a bridge lends what reaches the gripper, but for the 120 mm that its clamp holds', () => {
  const [mains, crosses] = bridges(300);
  expect(mains?.lastMm).toBeCloseTo(180, 9);
  expect(crosses).toEqual({ lastMm: 180, firstMm: 180 });
  // Of mains only the last pull goes over one: the first is held by the other half.
  expect(mains?.firstMm).toBe(0);
  // Where the gripper is no further away than the clamp, it lends nothing.
  expect(bridges(120).map(({ lastMm }) => lastMm)).toEqual([0, 0]);
});
