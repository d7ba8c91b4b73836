/** What the strings of a bed weigh, and where on the racket. */
import type { Bed } from '../frame/bed';
import { gramsAMetre } from '../strings/mass';
import type { JobString } from '../strings/job-string';
import { passageMm } from '../cut/lengths';
import { roundTo } from '../measure/units';
import { LENGTH_MM } from './reach';
import type { NamedPart } from './parts';

type WeighedString = Pick<JobString, 'family' | 'gaugeMm'>;

/** From the outermost point of the head to where the strings end. From memory. */
const TIP_MM = 11;
/** By so much a string between two holes is longer than straight, over and under the others. From memory. */
const CRIMP = 1.01;

/** A stretch of string: its mass, g, its middle along the racket and its length along it, mm from the butt. */
interface Stretch {
  readonly massG: number;
  readonly atMm: number;
  readonly longMm: number;
}

/**
 * The strings of a bed as one part of the racket: what lies inside, what passes through the frame at either end of each
 * string, and the runs outside from hole to hole. Knots and grommets are left out.
 *
 * Source: density of the material by handbook; the middle and the spread of what is strung by its moments. Tennis comes to 15 to
 * 20 g (common practice).
 * Limits: the racket is as long as is usual for its sport.
 *
 * @example
 * stringsAsPart(usual.bed, usual.strung).massG // 17
 */
export function stringsAsPart(
  bed: Bed,
  { mains, crosses }: { readonly mains: WeighedString; readonly crosses: WeighedString },
): NamedPart {
  const top = Math.max(...bed.outline.half.map(({ y }) => y));
  const at = (y: number): number => LENGTH_MM[bed.spec.sport] - TIP_MM - (top - y);
  const mainG = gramsAMetre(mains.family, mains.gaugeMm) / 1000;
  const crossG = gramsAMetre(crosses.family, crosses.gaugeMm) / 1000;
  const passage = passageMm(bed.spec.sport);
  const { head, throat } = bed.mainHoles;
  const stretches: Stretch[] = [];
  for (const [i, from] of head.entries()) {
    const to = throat[i];
    if (!to) continue;
    const long = Math.hypot(from.x - to.x, from.y - to.y) * CRIMP;
    for (const end of [from, to])
      stretches.push({ massG: 2 * passage * mainG, atMm: at(end.y), longMm: 0 });
    stretches.push({
      massG: 2 * long * mainG,
      atMm: at((from.y + to.y) / 2),
      longMm: from.y - to.y,
    });
    for (const [one, other] of [
      [from, head[i + 1]],
      [to, throat[i + 1]],
    ] as const)
      if (other)
        // A run outside joins every second pair of neighbours at an end: both sides have one of the two.
        stretches.push({
          massG: Math.hypot(one.x - other.x, one.y - other.y) * mainG,
          atMm: at((one.y + other.y) / 2),
          longMm: 0,
        });
  }
  for (const [i, hole] of bed.crossHoles.entries()) {
    const next = bed.crossHoles[i + 1];
    const run = next ? Math.hypot(hole.x - next.x, hole.y - next.y) : 0;
    stretches.push({
      massG: (2 * hole.x * CRIMP + 2 * passage + run) * crossG,
      atMm: at(hole.y),
      longMm: 0,
    });
  }
  const sum = (of: (stretch: Stretch) => number) =>
    stretches.reduce((total, stretch) => total + of(stretch), 0);
  const massG = sum((stretch) => stretch.massG);
  const middle = sum((stretch) => stretch.massG * stretch.atMm) / massG;
  const spread =
    sum(({ massG: g, atMm, longMm }) => g * ((atMm - middle) ** 2 + longMm ** 2 / 12)) / massG;
  return {
    name: 'strings',
    massG: roundTo(massG, 0.1),
    atMm: Math.round(middle),
    // A strip of length l spreads as l²/12.
    longMm: 2 * Math.round(Math.sqrt(12 * spread) / 2),
  };
}
