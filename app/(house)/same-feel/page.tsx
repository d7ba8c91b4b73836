import { inTheRacket } from '@/core/record/as-strung';
import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { z } from 'zod';
import { ticketNumber } from '@/app/action';
import { rulesOf } from '@/core/house/house-rules';
import type { StretchOf } from '@/core/advice/same-feel';
import { formatTicket } from '@/core/measure/units';
import { FeelForm } from '@/app/(house)/when-used';

export const metadata: Metadata = { title: 'Same feel' };

const query = z.object({
  racket: z.uuid().optional().catch(undefined),
  ticket: z.coerce.number().pipe(ticketNumber).optional().catch(undefined),
});

/** What the question starts from: a ticket's setup, or the last job of a racket. */
async function startFrom({ racket, ticket }: z.output<typeof query>) {
  const { tickets, rackets, clients, strings, workshop } = await openFor('set up');
  const open = ticket ? await tickets.get(ticket) : undefined;
  const racketId = open?.racketId ?? racket;
  const known = racketId ? await rackets.get(racketId) : undefined;
  if (!known)
    return {
      frameId: '',
      tension: '',
      mains: undefined,
      crosses: undefined,
      unit: workshop.tensionUnit,
    };
  const client = await clients.get(known.clientId);
  const record = (await tickets.ofRacket(known.id)).find((each) => each.record)?.record;
  const setUp = open?.mainN && open.crossN && open.tensionUnit ? open : undefined;
  const strungWith = async (id: string | null | undefined, gaugeMm: number | null | undefined) => {
    const string = id ? await strings.get(id) : undefined;
    return string && gaugeMm ? { family: string.family, gaugeMm } : undefined;
  };
  const stretchOf = (of: StretchOf | undefined) => of && { family: of.family, gaugeMm: of.gaugeMm };
  const tension = setUp
    ? formatTicket({
        mainN: setUp.mainN ?? 0,
        crossN: setUp.crossN ?? 0,
        unit: setUp.tensionUnit ?? 'kg',
      })
    : record
      ? formatTicket(inTheRacket(record))
      : '';
  return {
    frameId: known.frameId ?? '',
    tension,
    mains: setUp
      ? await strungWith(setUp.mainStringId, setUp.mainGaugeMm)
      : stretchOf(record?.setup.mains),
    crosses: setUp
      ? await strungWith(setUp.crossStringId, setUp.crossGaugeMm)
      : stretchOf(record?.setup.crosses),
    unit: client?.tensionUnit ?? workshop.tensionUnit,
  };
}

export default async function SameFeelPage({ searchParams }: PageProps<'/same-feel'>) {
  const { workshop, frames } = await openFor('set up');
  const { unit, ...from } = await startFrom(query.parse(await searchParams));
  const house = rulesOf(workshop);
  return (
    <main className="px-6 py-6">
      <h1 className="figure mb-1 text-4xl">Same feel</h1>
      <p className="mb-4 max-w-prose">
        The tension that gives another frame a bed as stiff as the one they like.
      </p>
      <FeelForm
        frames={(await frames.all()).map(({ id, name, spec }) => ({ id, name, spec }))}
        from={from}
        unit={unit}
        lockOut={{ share: house.lockOutShare, measured: house.lockOutMeasured }}
      />
    </main>
  );
}
