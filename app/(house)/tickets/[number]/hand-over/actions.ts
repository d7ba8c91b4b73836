'use server';

import { randomUUID } from 'node:crypto';
import { action, entryOf, rowVersion, ticketNumber } from '@/app/action';
import { answerTo, misread, refused } from '@/app/answers';
import { putInOutbox, sendSoon } from '@/app/outbox';
import type { Job } from '@/core/bench/job';
import { waitsForYes } from '@/core/counter/extra-work';
import { jobPrice, toPayMinor } from '@/core/counter/price';
import { cutTicket, forTicket, notOnTheShelf } from '@/app/(house)/shelf/cut-ticket';
import { closingOf, unanswered, workDone } from '@/core/record/closing';
import { drawnOf } from '@/core/record/drawn';
import { recordJob, type JobRecord } from '@/core/record/record';
import { dialFor, pullsFor, type MachineCheck } from '@/core/house/calibration';
import type { TicketTension } from '@/core/measure/units';
import type { LastLook } from '@/core/reading/last-look';
import type { Records } from '@/db/workshop';
import { jobAt, ticketAt } from '../ticket';
import { tapProblem } from '../last-look/tap-problem';
import { atTheBench } from './at-the-bench';
import { closingQuestions } from './closing-questions';
import { answersOf, asked, handOverSchema, type HandOverEntry } from './hand-over-entry';

/** What it rang at in the last look is the first reading of its bed, which makes all later ones exact. */
async function keepFirstTap(
  { readings }: Records,
  personId: string,
  id: string,
  lastLook: LastLook | null,
  now: string,
): Promise<void> {
  if (!lastLook || lastLook.hz === null) return;
  const tap = { takenOn: now, kind: 'tap', value: lastLook.hz, massG: null, unit: '' } as const;
  await readings.add(randomUUID(), id, personId, tap);
}

/** What the last check of its machine has set on the dial. */
function dialOf(
  { mainN, crossN, unit }: TicketTension,
  checks: readonly MachineCheck[],
): JobRecord['dial'] {
  const pulls = pullsFor(checks);
  const [main, cross] = [dialFor(mainN, pulls, unit), dialFor(crossN, pulls, unit)];
  return main === undefined && cross === undefined
    ? null
    : { mainN: main ?? mainN, crossN: cross ?? crossN };
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
    const tap = await tapProblem(number, read.data.look?.hz ?? null);
    if (tap) return { ok: false, problems: { 'look.hz': tap } };
    const open = await ticketAt(number);
    const job = await jobAt(number);
    const planned = await forTicket(number);
    const notThere = open ? await notOnTheShelf(open) : [];
    const answer = await together(async (records) => {
      if (!open?.frame || !open.setup || !job)
        return refused('A station before this one is still open: look at Frame, Setup and Cut.');
      const { client, frame, ticket, setup, machine } = open;
      if (waitsForYes(ticket.extra))
        return refused(
          'The extra work on it is not agreed yet: at Inspect, write how its owner said yes, or take it off.',
        );
      const questions = closingQuestions(
        open,
        notThere.map(({ name }) => name),
      );
      const answers = answersOf(read.data);
      const still = unanswered(questions, answers);
      if (still.length > 0) return { ok: false, problems: Object.fromEntries(still.map(asked)) };
      const extra = workDone(ticket.extra, answers.extra);
      // It may have been taken at the bench before.
      const lastLook = read.data.look ?? ticket.lastLook;
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
        extra,
      });
      const { bench, strung } = await atTheBench(open, job, records);
      const record = recordJob({
        job,
        client: client.name,
        racket: { frameName: frame.name, mark: ticket.mark },
        advice: ticket.advice,
        leftOverMm: read.data.leftOver,
        bench,
        strung,
        remarks: read.data.remarks,
        hands: {
          ...(await records.trail.hands(ticket.id)),
          strungBy: [...(await records.bench.hands(ticket.id))],
          handedOverBy: person.name,
        },
        inspection: ticket.inspection,
        price,
        machine: machine?.name ?? null,
        dial: machine ? dialOf(setup.tension, await records.machines.checks(machine.id)) : null,
        closing: closingOf(questions, answers, ticket.extra),
      });
      const saved = await records.tickets.close(number, version, {
        labourMinor: read.data.labour,
        stringMinor: read.data.string,
        toPayMinor: toPayMinor(price),
        collectedAt: read.data.goes === 'now' ? new Date() : null,
        lastLook,
        record,
        drawn: drawnOf(job),
      });
      if (saved === 'saved') {
        await cutTicket(records, person.id, open, job, planned?.allocation ?? []);
        await keepFirstTap(records, person.id, ticket.id, lastLook, open.now);
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
