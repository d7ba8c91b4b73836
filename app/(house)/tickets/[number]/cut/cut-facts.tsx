import { steppedPulls } from '@/core/advice/tension';
import type { CutAssumptions } from '@/core/cut/lengths';
import { stretchOf, type PlannedString } from '@/core/cut/plan';
import { crossWay, knotCount, knotWords, mainsWay } from '@/core/cut/wording';
import type { Bed } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import { pullLimits } from '@/core/measure/pull-limits';
import {
  formatHeadDimension,
  formatTension,
  newtons,
  roundTo,
  roundToTicketStep,
  type LengthSystem,
  type TicketTension,
} from '@/core/measure/units';
import type { Path } from '@/core/path/path';
import type { Sport } from '@/core/terms/sport';
import { Fact, Facts } from '@/ui/facts';

interface CutFactsProps {
  readonly bed: Bed;
  readonly path: Path;
  readonly mains: PlannedString;
  readonly crosses: PlannedString;
  readonly tension: TicketTension;
  readonly assumptions: CutAssumptions;
  readonly lengthSystem: LengthSystem;
}

/** Which way the strings go, where they are tied, and what the lengths are reckoned with. */
export function CutFacts({
  bed,
  path,
  mains,
  crosses,
  tension,
  assumptions,
  lengthSystem,
}: CutFactsProps) {
  const size = (mm: number) => formatHeadDimension(mm, lengthSystem);
  const { stepDown } = bed.spec.stringing;
  return (
    <Facts>
      <Fact name="Mains">{mainsWay(bed)}</Fact>
      <Fact name={`Crosses, from the ${path.crossesFrom}`}>
        {crossWay(path.crossStart, path.crossFinish, path.crossCount)}
      </Fact>
      <Fact name="Knots" note={path.knots.map(knotWords).join(' · ')}>
        {knotCount(path.knots)}
      </Fact>
      <Fact
        name="Assumed"
        note={`knots ${size(assumptions.knotMm + assumptions.tailMm)} each, margin ${size(assumptions.marginMm)}; change it under Workshop`}
      >
        {bed.spec.sport === 'badminton'
          ? `a hand’s breadth out of the last hole, and a clamp lends the rest of ${size(assumptions.gripperMm)} to the gripper`
          : `${size(assumptions.gripperMm)} from frame to gripper`}
      </Fact>
      <Fact name="Stretch of the mains">{stretchWords(mains, bed.spec.sport)}</Fact>
      <Fact name="Stretch of the crosses">{stretchWords(crosses, bed.spec.sport)}</Fact>
      {stepDown && (
        <Fact
          name="Outer strings, stepped down"
          note={`crosses ${stepped(tension.crossN, tension, stepDown, bed.spec.sport)}`}
        >
          mains {stepped(tension.mainN, tension, stepDown, bed.spec.sport)}
        </Fact>
      )}
    </Facts>
  );
}

function stretchWords(string: PlannedString, sport: Sport): string {
  const percent = `${roundTo(stretchOf(string, sport) * 100, 0.1)} %`;
  return string.stretch === null
    ? `${percent}, ${string.family} of this thickness at this pull (from memory)`
    : `${percent}, as noted for this string`;
}

/** `58, then 53 48 43 lb`. */
function stepped(
  n: number,
  { unit }: TicketTension,
  step: NonNullable<FrameSpec['stringing']['stepDown']>,
  sport: Sport,
): string {
  const { leastN } = pullLimits(sport);
  const pulls = steppedPulls(n, step.strings, newtons(step.by, step.unit), leastN);
  return [n, ...pulls].map((each) => formatTension(roundToTicketStep(each, unit), unit)).join(', ');
}
