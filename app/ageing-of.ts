import type { Records } from '@/db/workshop';
import type { KnownRacket } from '@/db/rackets';
import type { HouseRules } from '@/core/house/house-rules';
import { racketAgeing, type RacketAgeing } from './racket-ageing';

/** How the bed of a racket ages, with all that the records know of it; undefined where none was strung here. */
export async function ageingOf(
  { tickets, readings, clients, frames }: Records,
  workshop: { readonly timeZone: string; readonly houseRules: HouseRules | null },
  racket: Pick<KnownRacket, 'id' | 'clientId' | 'frameId' | 'heat' | 'elsewhereOn'>,
  today: string,
): Promise<RacketAgeing | undefined> {
  // One after the other: behind a client's own page they share one transaction.
  const history = await tickets.ofRacket(racket.id);
  const client = await clients.get(racket.clientId);
  const frame = racket.frameId ? await frames.get(racket.frameId) : undefined;
  return racketAgeing({
    workshop,
    history,
    readings: await readings.ofTickets(history.map(({ id }) => id)),
    spec: frame?.spec,
    playsAWeek: client?.talk?.playsAWeek ?? null,
    heat: racket.heat,
    elsewhereOn: racket.elsewhereOn,
    today,
  });
}
