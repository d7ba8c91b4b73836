/** Dense nets of the shapes that membranes are known for. */
import type { Newtons } from '../measure/quantities';
import type { Net } from '../advice/net';

/** Radius of the round one, mm. */
export const R = 120;

/** A net of strings `gap` apart in both directions, from rim to rim of a shape given by its half width. */
export function denseNet(
  half: (at: number) => number,
  reach: number,
  gap: number,
  tensionN: Newtons,
): Net {
  const count = Math.round((2 * reach) / gap);
  const places = Array.from({ length: count }, (_, i) => -reach + (i + 0.5) * gap);
  const firm = { tensionN, eaN: 0 };
  return {
    mains: places.map((x) => ({ from: { x, y: half(x) }, to: { x, y: -half(x) }, ...firm })),
    crosses: places
      .toReversed()
      .map((y) => ({ from: { x: -half(y), y }, to: { x: half(y), y }, ...firm })),
  };
}

export const roundNet = (gap: number, tensionN: Newtons): Net =>
  denseNet((at) => Math.sqrt(R * R - at * at), R, gap, tensionN);
