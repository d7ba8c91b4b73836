'use server';

import { randomUUID } from 'node:crypto';
import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import { putInOutbox, sendSoon } from '@/app/outbox';
import type { Job } from '@/core/bench/job';
import { benchLog } from '@/core/bench/log';
import { waitsForYes } from '@/core/counter/extra-work';
import { jobPrice, toPayMinor } from '@/core/counter/price';
import { dayCuts } from '@/core/shelf/day-cuts';
import { piecesOf, shelfLength } from '@/app/(house)/shelf/cuts-of-day';
import { drawnOf } from '@/core/record/drawn';
import { recordBench, recordJob, type BenchRecord } from '@/core/record/record';
import type { Records } from '@/db/workshop';
import { jobAt, ticketAt, type OpenTicket } from '../ticket';
import { handOverSchema, type HandOverEntry } from './hand-over-entry';

/** What the events at the bench leave; null when it was strung without the bench view. */
async function atTheBench(
  open: OpenTicket,
  { bed, sequence }: Job,
  { bench }: Records,
): Promise<BenchRecord | null> {
  if (!sequence.ok) return null;
  const log = benchLog(await bench.events(open.ticket.id));
  return recordBench(sequence.value, log, bed.spec.sport, open.workshop.hand);
}

/** What the plan of this job takes off the shelf; nothing where nothing on it is long enough. */
async function cutOffTheShelf(
  { shelf }: Records,
  personId: string,
  { ticket }: OpenTicket,
  job: Job,
): Promise<void> {
  const pieces = piecesOf(ticket, job);
  const lengths = (await shelf.thereToCut()).map(shelfLength);
  const { cuts } = dayCuts(lengths, [{ number: ticket.number, promised: ticket.promised, pieces }]);
  await shelf.cut(
    personId,
    ticket.id,
    cuts.flatMap(({ piece, from }) => {
      const mm = pieces.find(({ name }) => `${ticket.number} ${name}` === piece)?.mm;
      return mm === undefined ? [] : [{ lengthId: from, mm, note: piece.split(' ')[1] ?? '' }];
    }),
  );
}

/** What it rang at in the last look is the first reading of its bed, which makes all later ones exact. */
async function keepFirstTap(
  { readings }: Records,
  personId: string,
  { id, lastLook }: OpenTicket['ticket'],
  now: string,
): Promise<void> {
  if (!lastLook || lastLook.hz === null) return;
  const tap = { takenOn: now, kind: 'tap', value: lastLook.hz, massG: null, unit: '' } as const;
  await readings.add(randomUUID(), id, personId, tap);
}

/** Closes the ticket: from here on it is a record. Sent twice, the second finds it closed. */
export const closeJob = action(
  'hand over',
  refused,
  [ticketNumber, rowVersion, entryOf<HandOverEntry>()],
  async (house, number, version, entry) => {
    const { together, person, workshop } = house;
    const read = handOverSchema(workshop.currency).safeParse(entry);
    if (!read.success) return misread(read.error);
    const open = await ticketAt(number);
    const job = await jobAt(number);
    const answer = await together(async (records) => {
      if (!open?.frame || !open.setup || !job)
        return refused('A station before this one is still open: look at Frame, Setup and Cut.');
      const { client, frame, ticket, setup, machine } = open;
      if (waitsForYes(ticket.extra))
        return refused(
          'The extra work on it is not agreed yet: at Inspect, write how its owner said yes, or take it off.',
        );
      const priced = ({ string }: NonNullable<typeof setup>['mains'], piece: Job['mains']) => ({
        ...piece,
        setPriceMinor: string.setPriceMinor,
      });
      const price = jobPrice({
        house: workshop,
        method: job.choice.method,
        labourMinor: read.data.labour,
        stringMinor: read.data.string,
        mains: priced(setup.mains, job.mains),
        crosses: priced(setup.crosses, job.crosses),
        extra: ticket.extra,
      });
      const record = recordJob({
        job,
        client: client.name,
        racket: { frameName: frame.name, mark: ticket.mark },
        advice: ticket.advice,
        leftOverMm: read.data.leftOver,
        bench: await atTheBench(open, job, records),
        remarks: read.data.remarks,
        hands: {
          ...(await records.trail.hands(ticket.id)),
          strungBy: [...(await records.bench.hands(ticket.id))],
          handedOverBy: person.name,
        },
        inspection: ticket.inspection,
        price,
        machine: machine?.name ?? null,
      });
      const saved = await records.tickets.close(number, version, {
        labourMinor: read.data.labour,
        stringMinor: read.data.string,
        toPayMinor: toPayMinor(price),
        collectedAt: read.data.goes === 'now' ? new Date() : null,
        record,
        drawn: drawnOf(job),
      });
      if (saved === 'saved') {
        await cutOffTheShelf(records, person.id, open, job);
        await keepFirstTap(records, person.id, ticket, open.now);
      }
      return answerTo(saved, 'ticket', `/jobs/${number}`);
    });
    if (answer.ok && read.data.goes === 'waits') {
      await putInOutbox(house, number, 'ready', { about: '', values: {} });
      sendSoon(house);
    }
    return answer;
  },
);
