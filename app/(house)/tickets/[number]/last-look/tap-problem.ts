/** Whether the tap of a last look can be one of the bed that was just strung. */
import { setPitch } from '@/core/ageing/net-pitch';
import { amissWith, ringsNear } from '@/core/ageing/readings';
import { ticketAt } from '../ticket';

/** Why a pitch cannot be this bed's; nothing where it can, or where nobody tapped. */
export async function tapProblem(number: number, hz: number | null): Promise<string | undefined> {
  const open = hz === null ? undefined : await ticketAt(number);
  if (hz === null || !open?.study?.bed || !open.setup) return undefined;
  const { mains, crosses, tension } = open.setup;
  const of = ({ string, gaugeMm }: typeof mains) => ({
    family: string.family,
    shape: string.shape,
    gaugeMm,
    massGPerM: string.massGPerM,
  });
  const setHz = setPitch(open.study.bed, tension, { mains: of(mains), crosses: of(crosses) });
  const amiss = amissWith({ kind: 'tap', value: hz, massG: null }, [], {
    setHz,
    setN: (tension.mainN + tension.crossN) / 2,
  });
  return amiss && setHz !== undefined
    ? `A bed as it was strung rings near ${Math.round(ringsNear(setHz))} Hz: tap its middle again, or leave it empty.`
    : undefined;
}
