/** The beds that a stringer would lay on the counter, by sport. */
import type { Mm } from '../measure/quantities';
import type { Family } from '../terms/family';
import type { Sport } from '../terms/sport';
import { RANKS, type Rule, type Strung } from './rule';
import { GAUGE_STEP_MM, usualGaugeMm } from './strung';

export interface SetupKind {
  readonly name: string;
  /** Kinds of one group are near relations; the first three shown are of different groups. */
  readonly group: string;
  readonly mains: { readonly family: Family; readonly gaugeMm: Mm };
  readonly crosses: { readonly family: Family; readonly gaugeMm: Mm };
}

const tennis = (name: string, group: string, mains: Family, crosses: Family): SetupKind => ({
  name,
  group,
  mains: { family: mains, gaugeMm: usualGaugeMm(mains, 'tennis') },
  crosses: { family: crosses, gaugeMm: usualGaugeMm(crosses, 'tennis') },
});

const oneString = (name: string, family: Family, gaugeMm: Mm): SetupKind => ({
  name,
  group: name,
  mains: { family, gaugeMm },
  crosses: { family, gaugeMm },
});

/** Common practice; thicknesses from memory. */
const KINDS: Record<Sport, readonly SetupKind[]> = {
  tennis: [
    tennis('full multifilament', 'full soft', 'multifilament', 'multifilament'),
    tennis('full synthetic gut', 'full soft', 'synthetic gut', 'synthetic gut'),
    tennis('multifilament and synthetic gut', 'full soft', 'multifilament', 'synthetic gut'),
    tennis('full natural gut', 'full soft', 'natural gut', 'natural gut'),
    tennis('monofilament and synthetic gut', 'hybrid', 'monofilament', 'synthetic gut'),
    tennis('monofilament and multifilament', 'hybrid', 'monofilament', 'multifilament'),
    tennis('multifilament and monofilament', 'hybrid', 'multifilament', 'monofilament'),
    tennis('natural gut and monofilament', 'hybrid', 'natural gut', 'monofilament'),
    tennis('full monofilament', 'full monofilament', 'monofilament', 'monofilament'),
    {
      ...tennis('thick and thin monofilament', 'full monofilament', 'monofilament', 'monofilament'),
      mains: { family: 'monofilament', gaugeMm: 1.3 },
    },
  ],
  badminton: [
    oneString('all-round', 'multifilament', 0.68),
    oneString('thin, for repulsion', 'multifilament', 0.65),
    oneString('thick, to last', 'multifilament', 0.7),
    {
      name: 'thick mains, thin crosses',
      group: 'thick mains, thin crosses',
      mains: { family: 'multifilament', gaugeMm: 0.7 },
      crosses: { family: 'multifilament', gaugeMm: 0.66 },
    },
  ],
  squash: [
    oneString('multifilament', 'multifilament', 1.2),
    oneString('thin multifilament', 'multifilament', 1.15),
    oneString('thick multifilament', 'multifilament', 1.25),
    oneString('synthetic gut', 'synthetic gut', 1.25),
  ],
};

export const setupKinds = (sport: Sport): readonly SetupKind[] => KINDS[sport];

/** Steps of thickness that the rules ask for: the highest rank that says anything decides, by one step. */
export function thicknessWanted(inForce: readonly Rule[]): -1 | 0 | 1 {
  for (const rank of RANKS) {
    const sum = inForce
      .filter((rule) => rule.rank === rank)
      .reduce((total, { thicker = 0 }) => total + thicker, 0);
    if (sum !== 0) return sum > 0 ? 1 : -1;
  }
  return 0;
}

/** The bed of a kind for this client, in the thickness that the rules ask for. Elsewhere than in tennis the kind is the thickness. */
export function strungAs(kind: SetupKind, sport: Sport, thicker: -1 | 0 | 1): Strung {
  const moved = sport === 'tennis' ? thicker * GAUGE_STEP_MM.tennis : 0;
  const of = ({ family, gaugeMm }: SetupKind['mains']) => ({
    family,
    gaugeMm: Math.round((gaugeMm + moved) * 100) / 100,
    shape: 'round' as const,
  });
  return { mains: of(kind.mains), crosses: of(kind.crosses) };
}
