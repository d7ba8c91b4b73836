import type { Bed } from '@/core/bed';
import { formatArea, formatHeadDimension, type LengthSystem } from '@/core/units';
import { skipWords } from '@/core/wording';
import { Fact, Facts } from './facts';

/** What follows from a frame: where its mains start and finish, what to leave empty. */
export function FrameFacts({
  bed,
  lengthSystem,
}: {
  readonly bed: Bed;
  readonly lengthSystem: LengthSystem;
}) {
  const { head, pattern, bridgeHoles, tension, holes } = bed.spec;
  const size = (mm: number) => formatHeadDimension(mm, lengthSystem);
  return (
    <Facts>
      <Fact name="Skip at the head" figure>
        {skipWords(bed.skips.head, 'head')}
      </Fact>
      <Fact name="Skip at the throat" figure>
        {skipWords(bed.skips.throat, 'throat')}
      </Fact>
      <Fact name="Mains start" note={`${bridgeHoles / 2} bridge holes a side`}>
        at the {bed.mainsStart}
      </Fact>
      <Fact name="Mains finish" note={`${bed.mainsPerSide} mains a side`}>
        at the {bed.mainsFinish}
      </Fact>
      <Fact name="Pattern">
        {pattern.mains} × {pattern.crosses}
      </Fact>
      <Fact name="Inside of the head">
        {size(head.lengthMm)} × {size(head.widthMm)}
      </Fact>
      <Fact name="Strung area">{formatArea(bed.areaMm2)}</Fact>
      <Fact name="Tie-off holes">{holes.tieOff.join(' ') || 'not entered'}</Fact>
      {holes.shared.length > 0 && <Fact name="Shared holes">{holes.shared.join(' ')}</Fact>}
      <Fact name="Printed range">
        {tension ? `${tension.min} to ${tension.max} ${tension.unit}` : 'not known'}
      </Fact>
    </Facts>
  );
}
