import { openWorkshop } from '@/app/identity/at-work';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { routeNumber } from '@/app/route-id';
import { studied } from '@/app/studied';
import { workedOutOnce } from '@/app/worked-out-once';
import { stopsTicket } from '@/core/counter/inspection';
import { lastJobOf } from '@/core/record/last-job';
import type { LastJob } from '@/core/advice/rule';
import type { Bed, Study } from '@/core/frame/bed';
import { rulesOf, type HouseRules } from '@/core/house/house-rules';
import { learnFrom } from '@/core/cut/learning';
import { assumedOn, type CutAssumptions } from '@/core/cut/lengths';
import { stringingMachine, USUAL_MACHINE } from '@/core/house/machine';
import { methodProblem } from '@/core/cut/methods';
import type { PathChoice } from '@/core/path/path';
import type { CutSourceKind, Learnt } from '@/core/cut/plan';
import { wallTime } from '@/core/measure/promised-time';
import { jobOf, type Job } from '@/core/bench/job';
import type { TicketTension, TensionUnit } from '@/core/measure/units';
import type { Client } from '@/db/clients';
import type { Frame } from '@/db/frames';
import type { Machine } from '@/db/machines';
import type { Sport } from '@/core/terms/sport';
import type { ListedTicket } from '@/db/tickets';
import { type Workshop } from '@/db/workshop';
import { isHybridSetup, jobString, type ChosenStrings } from './setup/chosen-strings';

interface Setup extends ChosenStrings {
  readonly tension: TicketTension;
}

/** A ticket with what belongs to it, before anybody asks how far the bench is. */
interface FoundTicket {
  readonly workshop: Workshop;
  readonly now: string;
  readonly ticket: ListedTicket;
  readonly client: Client;
  readonly racketVersion: number;
  readonly racketNotes: string;
  readonly frame: Frame | undefined;
  readonly study: Study | undefined;
  readonly setup: Setup | undefined;
  /** The cut as it was planned, while this frame and these strings still take it. */
  readonly choice: PathChoice | undefined;
  /** Steps that are done at the bench. */
  readonly stepsDone: number;
  /** The machine that it stands on; undefined while several may have it. */
  readonly machine: Machine | undefined;
  /** Of the workshop, with the gripper of the machine that it stands on. */
  readonly assumptions: CutAssumptions;
  /** The unit this client's papers are written in. */
  readonly unit: TensionUnit;
}

export interface OpenTicket extends FoundTicket {
  /** Every step at the bench is done. */
  readonly strungWhole: boolean;
  /** Steps of the whole job; undefined while nothing was done at the bench. */
  readonly stepsInAll: number | undefined;
}

const findTicket = cache(async (number: number): Promise<FoundTicket | undefined> => {
  const { workshop, together } = await openWorkshop();
  // One after the other, for they share a transaction: with one for each, most of the time went into opening them.
  const found = await together(
    async ({ tickets, clients, rackets, frames, strings, machines, bench }) => {
      const ticket = await tickets.get(number);
      if (!ticket) return undefined;
      const { clientId, racketId, frameId, mainStringId, crossStringId } = ticket;
      const stringOf = async (id: string | null) => (id ? strings.get(id) : undefined);
      const mainString = await stringOf(mainStringId);
      return {
        ticket,
        client: await clients.get(clientId),
        racket: await rackets.get(racketId),
        frame: frameId ? await frames.get(frameId) : undefined,
        mainString,
        crossString: crossStringId === mainStringId ? mainString : await stringOf(crossStringId),
        machine: await machines.under(ticket),
        stepsDone: await bench.done(ticket.id),
      };
    },
  );
  if (!found) return undefined;
  const { ticket, client, racket, frame, mainString, crossString, machine, stepsDone } = found;
  if (!client || !racket) return undefined;
  const { mainGaugeMm, crossGaugeMm, mainN, crossN, tensionUnit } = ticket;
  const whole =
    mainString && crossString && mainGaugeMm && crossGaugeMm && mainN && crossN && tensionUnit;
  const setup: Setup | undefined = whole
    ? {
        mains: { string: mainString, gaugeMm: mainGaugeMm, supplied: ticket.mainSupplied },
        crosses: { string: crossString, gaugeMm: crossGaugeMm, supplied: ticket.crossSupplied },
        tension: { mainN, crossN, unit: tensionUnit },
      }
    : undefined;
  const study = frame && studied(frame.spec);
  const choice = study?.bed && setup && plannedChoice(ticket, study.bed, isHybridSetup(setup));
  return {
    workshop,
    now: wallTime(new Date(), workshop.timeZone),
    ticket,
    client,
    racketVersion: racket.version,
    racketNotes: racket.notes,
    frame,
    study,
    setup,
    choice,
    stepsDone,
    machine,
    assumptions: assumedOn(workshop.cutAssumptions, machine),
    unit: client.tensionUnit ?? workshop.tensionUnit,
  };
});

/** A ticket with everything its stations need; nothing where there is none of that number. */
export const ticketAt = cache(async (number: number): Promise<OpenTicket | undefined> => {
  const found = await findTicket(number);
  if (!found) return undefined;
  const sequence = found.stepsDone > 0 ? (await jobAt(number))?.sequence : undefined;
  const stepsInAll = sequence?.ok ? sequence.value.steps.length : undefined;
  return {
    ...found,
    stepsInAll,
    strungWhole: stepsInAll !== undefined && found.stepsDone >= stepsInAll,
  };
});

/** The ticket of an address, or the not-found page. Shared by the layout and the page of one request. */
export const openTicket = async (numberText: string): Promise<OpenTicket> =>
  (await ticketAt(routeNumber(numberText))) ?? notFound();

function plannedChoice(ticket: ListedTicket, bed: Bed, hybrid: boolean): PathChoice | undefined {
  const { method, shortSide, crossStart } = ticket;
  if (!method || !shortSide || !crossStart || methodProblem(bed, method, hybrid)) return undefined;
  return { method, shortSide, crossStart };
}

/** Every station of a ticket, the shelf and the bench ask for the same job. */
const settledJob = workedOutOnce(40, jobOf);

/** The job as its stations have settled it, with what past jobs teach; nothing while one before the bench is open. */
export const jobAt = cache(async (number: number): Promise<Job | undefined> => {
  const open = await findTicket(number);
  if (!open) return undefined;
  const { ticket, study, setup, choice, machine } = open;
  // A cracked racket is no job until its owner has written that it is to be one.
  if (stopsTicket(ticket.inspection)) return undefined;
  if (!study?.bed || !setup || !choice || !ticket.cutFrom) return undefined;
  return settledJob({
    bed: study.bed,
    mains: jobString(setup.mains),
    crosses: jobString(setup.crosses),
    tension: setup.tension,
    choice,
    cutFrom: ticket.cutFrom,
    remnantsMm: ticket.remnantsMm ?? [],
    assumptions: open.assumptions,
    learnt: await learntFor(open),
    house: houseOf(open, false),
    machine: machine ? stringingMachine(machine) : USUAL_MACHINE,
    notes: `${study.bed.spec.stringing.notes ?? ''}\n${open.racketNotes}`,
  });
});

/** Asked once for all tickets of a page. */
const pastPieces = cache(async (sport: Sport) => (await openWorkshop()).tickets.pastPieces(sport));

/** What past jobs teach about the next cut on this ticket's frame. */
export const learntFor = async ({ frame }: Pick<FoundTicket, 'frame'>): Promise<Learnt> =>
  frame ? learnFrom(await pastPieces(frame.sport), frame.id) : {};

/** The job before on a racket, as its record has it; before a ticket that is open on it, where there is one. */
export async function lastJobOn(racketId: string, ticket?: number): Promise<LastJob | undefined> {
  const { tickets, court } = await openWorkshop();
  const history = (await tickets.ofRacket(racketId)).filter(
    ({ record, number }) => record && number !== ticket,
  );
  const [before] = history;
  if (!before?.record) return undefined;
  const said = await court.ofTickets(history.map(({ id }) => id));
  const left = history.flatMap(({ id, record }) =>
    record && said.some(({ ticketId, again }) => ticketId === id && again === 'no')
      ? [{ mains: record.setup.mains, crosses: record.setup.crosses }]
      : [],
  );
  return { ...lastJobOf(before.record), ...(left.length > 0 && { left }) };
}

/** A job keeps the house rules it was begun with, unless somebody asks for today's. */
export const houseOf = (
  { ticket, workshop }: Pick<OpenTicket, 'ticket' | 'workshop'>,
  todays: boolean,
): HouseRules => (todays ? undefined : ticket.advice?.house) ?? rulesOf(workshop);

/** One set serves the whole job when it is one string of one thickness; a hybrid takes half of each. */
export const usualCutSource = (setup: ChosenStrings): CutSourceKind =>
  isHybridSetup(setup) ? 'two half sets' : 'one set';
