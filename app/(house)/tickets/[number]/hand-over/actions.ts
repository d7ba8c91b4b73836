'use server';

import type { z } from 'zod';
import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import type { Learnt } from '@/core/cut/plan';
import { benchLog } from '@/core/bench/log';
import { recordBench, recordJob, type BenchRecord, type JobRecord } from '@/core/record/record';
import type { Records } from '@/db/workshop';
import { learntFor, sequenceOf, ticketAt, type OpenTicket } from '../ticket';
import { handOverSchema, type HandOverEntry } from './hand-over-entry';

/** Everything that the record keeps, or nothing while a station before this one is open. */
function recordOf(
  open: OpenTicket,
  learnt: Learnt,
  bench: BenchRecord | null,
  { remarks, leftOver }: z.output<typeof handOverSchema>,
): JobRecord | undefined {
  const { ticket, client, frame, study, setup, choice, assumptions } = open;
  if (!frame || !study?.bed || !setup || !choice || !ticket.cutFrom) return undefined;
  const strung = ({ string, gaugeMm, supplied }: typeof setup.mains) => ({
    name: string.name,
    family: string.family,
    shape: string.shape,
    gaugeMm,
    suppliedByClient: supplied,
    setMm: string.setMm,
    stretch: string.stretch,
  });
  return recordJob({
    client: client.name,
    racket: { frameName: frame.name, mark: ticket.mark },
    bed: study.bed,
    mains: strung(setup.mains),
    crosses: strung(setup.crosses),
    tension: setup.tension,
    advice: ticket.advice,
    choice,
    cutFrom: ticket.cutFrom,
    remnantsMm: ticket.remnantsMm ?? [],
    assumptions,
    learnt,
    leftOverMm: leftOver,
    bench,
    remarks,
  });
}

/** What the events at the bench leave; null when it was strung without the bench view. */
async function atTheBench(open: OpenTicket, { bench }: Records): Promise<BenchRecord | null> {
  const sequence = await sequenceOf(open.ticket.number);
  const sport = open.study?.bed?.spec.sport;
  if (!sequence?.ok || !sport) return null;
  const log = benchLog(await bench.events(open.ticket.id));
  return recordBench(sequence.value, log, sport, open.workshop.hand);
}

/** Closes the ticket: from here on it is a record. Sent twice, the second finds it closed. */
export const closeJob = action(
  refused,
  [ticketNumber, rowVersion, entryOf<HandOverEntry>()],
  async ({ together }, number, version, entry) => {
    const read = handOverSchema.safeParse(entry);
    if (!read.success) return misread(read.error);
    const open = await ticketAt(number);
    const learnt = open && (await learntFor(open));
    return together(async (records) => {
      const record =
        open && recordOf(open, learnt ?? {}, await atTheBench(open, records), read.data);
      if (!record)
        return refused('A station before this one is still open: look at Frame, Setup and Cut.');
      const saved = await records.tickets.close(number, version, {
        labourMinor: read.data.labour,
        stringMinor: read.data.string,
        record,
      });
      return answerTo(saved, 'ticket', `/jobs/${number}`);
    });
  },
);
