import type { Mm } from '../measure/quantities';
import { refusal, type Refusal } from '../terms/result';
import { squareInches } from '../measure/units';
import type { Sport } from '../terms/sport';

interface HeadLimits {
  readonly lengthMm: Mm;
  readonly widthMm?: Mm;
  readonly areaMm2?: number;
  readonly source: string;
}

const LIMITS: Record<Sport, HeadLimits> = {
  tennis: { lengthMm: 394, widthMm: 292, source: 'ITF Rules of Tennis, Appendix II' },
  badminton: { lengthMm: 280, widthMm: 220, source: 'BWF Laws of Badminton, Law 4' },
  squash: { lengthMm: 390, areaMm2: 50_000, source: 'WSF Specifications for Squash Rackets' },
};

/** What makes a head of this size illegal for play, in a sentence, or nothing. Sizes in mm and mm². */
export function beyondFederationLimits(
  sport: Sport,
  head: { readonly lengthMm: Mm; readonly widthMm: Mm; readonly areaMm2: number },
): Refusal | undefined {
  const limits = LIMITS[sport];
  const over: string[] = [];
  if (head.lengthMm > limits.lengthMm) over.push(`${limits.lengthMm} mm long`);
  if (limits.widthMm !== undefined && head.widthMm > limits.widthMm)
    over.push(`${limits.widthMm} mm wide`);
  if (limits.areaMm2 !== undefined && head.areaMm2 > limits.areaMm2)
    over.push(
      `${limits.areaMm2 / 100} cm² (${Math.round(squareInches(limits.areaMm2))} in²) in area`,
    );
  if (over.length === 0) return undefined;
  return refusal('frame.beyond the rules', { sport, limits: over, source: limits.source });
}
