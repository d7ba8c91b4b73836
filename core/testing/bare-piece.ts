import type { Mm } from '../measure/quantities';
import type { PieceLength } from '../cut/lengths';

/** A piece of which only the length to cut matters, mm. */
export const barePiece = (name: PieceLength['name'], cutMm: Mm): PieceLength => ({
  name,
  parts: [],
  cutMm,
  bridges: { lastMm: 240, firstMm: name === 'crosses' ? 240 : 0 },
  leftMm: 0,
  headLengths: 0,
  sides: undefined,
  mains: 0,
  crosses: 0,
});
