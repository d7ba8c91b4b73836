import type { Bed } from '@/core/frame/bed';
import { METHOD_WORDS } from '@/core/terms/method';
import { formatArea, formatHeadDimension, type LengthSystem } from '@/core/measure/units';
import { Fact, Facts } from '../facts';
import { SkipFacts } from './skip-facts';

/** What follows from a frame: where its mains start and finish, what to leave empty. */
export function FrameFacts({
  bed,
  lengthSystem,
}: {
  readonly bed: Bed;
  readonly lengthSystem: LengthSystem;
}) {
  const { head, pattern, bridgeHoles, tension, holes, stringing } = bed.spec;
  const size = (mm: number) => formatHeadDimension(mm, lengthSystem);
  return (
    <Facts>
      <SkipFacts skips={bed.skips} />
      <Fact
        name="Mains start"
        note={
          bridgeHoles === null ? 'bridge not counted' : `${bridgeHoles / 2} bridge holes a side`
        }
      >
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
      {holes.double.length > 0 && <Fact name="Two barrels at">{holes.double.join(' ')}</Fact>}
      {holes.ports.length > 0 && <Fact name="Open ports">{holes.ports.join(' ')}</Fact>}
      {stringing.reversedOuterMains && <Fact name="Outer mains">in reversed order</Fact>}
      {stringing.crossesFrom === 'throat' && <Fact name="Crosses start">at the throat</Fact>}
      {stringing.methods.length > 0 && (
        <Fact name="The maker names">
          {stringing.methods.map((method) => METHOD_WORDS[method]).join('; ')}
        </Fact>
      )}
      <Fact name="Printed range">
        {tension ? `${tension.min} to ${tension.max} ${tension.unit}` : 'not known'}
      </Fact>
    </Facts>
  );
}
