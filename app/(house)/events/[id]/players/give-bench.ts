import { dayOf } from '@/app/(house)/day/day-of';
import { wallMinutes } from '@/core/queue/clock';
import { bagAt, benchForBag } from '@/core/tournament/court';
import type { OpenWorkshop } from '@/db/workshop';

/**
 * Gives the bags of players who want no bench by name to the benches of their event that keep their promises, as the day
 * stands now. A bag that somebody has begun or taken stays where it is.
 */
export async function giveBenches(
  open: OpenWorkshop,
  eventId: string,
  playerIds: readonly string[],
): Promise<void> {
  const event = await open.events.get(eventId);
  if (!event?.oneBench) return;
  const { now, open: benches, jobs, tickets, unsuited } = await dayOf(open, open.workshop);
  const there = benches.flatMap(({ name }) => (event.benchIds.includes(name) ? [name] : []));
  let planned = jobs;
  for (const id of playerIds) {
    const player = await open.events.player(id);
    if (!player || player.benchId) continue;
    const theirs = tickets.filter(({ playerId }) => playerId === id);
    if (theirs.some(({ stepsDone, takenBy }) => stepsDone > 0 || takenBy !== null)) continue;
    const bag = theirs.map(({ number }) => number);
    const suited = there.filter((bench) =>
      theirs.every(({ number }) => !unsuited.get(number)?.some(({ benchId }) => benchId === bench)),
    );
    const bench = benchForBag({
      now: wallMinutes(now),
      benches,
      jobs: planned,
      bag,
      at: suited.length > 0 ? suited : there,
    });
    if (!bench) continue;
    planned = bagAt(planned, bag, bench);
    if (bench !== player.givenBenchId) await open.events.giveBench(id, bench);
  }
}
