'use server';

import { z } from 'zod';
import { answerTo, misread, refused } from '@/app/answers';
import type { Learnt } from '@/core/plan';
import { benchLog } from '@/core/bench-log';
import { recordBench, recordJob, type BenchRecord, type JobRecord } from '@/core/record';
import { openWorkshop } from '@/db/workshop';
import type { FormAnswer } from '@/ui/form/result';
import { learntFor, openTicket, sequenceOf, type OpenTicket } from '../ticket';
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
async function atTheBench(open: OpenTicket): Promise<BenchRecord | null> {
  const sequence = await sequenceOf(open.ticket.number);
  const sport = open.study?.bed?.spec.sport;
  if (!sequence?.ok || !sport) return null;
  const { bench } = await openWorkshop();
  const log = benchLog(await bench.events(open.ticket.id));
  return recordBench(sequence.value, log, sport, open.workshop.hand);
}

/** Closes the ticket: from here on it is a record. Sent twice, the second finds it closed. */
export async function closeJob(
  number: number,
  version: number,
  entry: HandOverEntry,
): Promise<FormAnswer> {
  const read = handOverSchema.safeParse(entry);
  if (!read.success) return misread(read.error);
  const open = await openTicket(String(z.number().int().parse(number)));
  const record = recordOf(open, await learntFor(open), await atTheBench(open), read.data);
  if (!record)
    return refused('A station before this one is still open: look at Frame, Setup and Cut.');
  const { tickets } = await openWorkshop();
  const saved = await tickets.close(number, version, {
    labourMinor: read.data.labour,
    stringMinor: read.data.string,
    record,
  });
  return answerTo(saved, 'ticket', `/jobs/${number}`);
}
