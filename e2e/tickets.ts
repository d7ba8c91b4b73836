/** Tickets made from the records, for tests that begin after the counter: a browser takes ten seconds for each. */
import { randomUUID } from 'node:crypto';
import { usualChoice } from '@/core/cut/methods';
import { NOT_LOOKED_AT } from '@/core/counter/inspection';
import { studyFrame } from '@/core/frame/bed';
import { parseTicketTension } from '@/core/measure/parsing';
import { parsePromise, wallTime } from '@/core/measure/promised-time';
import { openDatabase } from '@/db/connection';
import { recordsOf, type Records } from '@/db/workshop';
import { demoWorkshop } from '@/scripts/hostile-target';
import type { Page } from '@playwright/test';
import { awake, own, type TakenIn } from './bench';

/** What is done to the records of the demo's workshop at once. */
async function withRecords<T>(work: (records: Records) => Promise<T>): Promise<T> {
  const { db, close } = openDatabase(process.env.ORTHOTENS_OWNER_URL ?? '', 'command');
  try {
    return await db.transaction(async (transaction) =>
      work(recordsOf(transaction, await demoWorkshop(transaction))),
    );
  } finally {
    await close();
  }
}

const named = <Row extends { readonly name: string }>(rows: readonly Row[], name: string): Row => {
  const found = rows.find((row) => row.name === name);
  if (!found) throw new Error(`The demo has no ${name}.`);
  return found;
};

type MoreFacts = Partial<Parameters<Records['tickets']['add']>[1]>;

async function added(
  records: Records,
  frame: { readonly name: string; readonly id: string | null },
  facts: MoreFacts,
): Promise<TakenIn> {
  const client = own('Walker');
  const clientId = randomUUID();
  await records.clients.add({ name: client, contact: '', tensionUnit: null, notes: '' }, clientId);
  const racket = await records.rackets.add({
    clientId,
    frameId: frame.id,
    label: frame.name,
    mark: '',
    notes: '',
  });
  const promised = parsePromise('+3d 17:00', wallTime(new Date(), 'Europe/Lisbon'));
  if (!promised.ok) throw new Error(promised.problem);
  const { number } = await records.tickets.add(randomUUID(), {
    racketId: racket.id,
    promised: promised.value,
    wish: '',
    condition: '',
    inspection: NOT_LOOKED_AT,
    ...facts,
  });
  return { client, number };
}

/** A racket of a new client that was taken in and looked at; its frame is one of the library, or one that nobody knows. */
export const ticketOn = (frame: string, isKnown = true): Promise<TakenIn> =>
  withRecords(async (records) =>
    added(
      records,
      { name: frame, id: isKnown ? named(await records.frames.all(), frame).id : null },
      {},
    ),
  );

/** The same, with its Frame station open. */
export async function openFrame(page: Page, frame: string, isKnown = true): Promise<TakenIn> {
  const taken = await ticketOn(frame, isKnown);
  await page.goto(`/tickets/${taken.number}/frame`);
  await awake(page);
  return taken;
}

/** A job with one string, settled and cut as is usual; ready for the bench. */
export const readyTicket = (
  frameName: string,
  stringName: string,
  tension: string,
  machineName?: string,
): Promise<number> =>
  withRecords(async (records) => {
    const frame = named(await records.frames.all(), frameName);
    const string = named(await records.strings.find(stringName), stringName);
    const { bed } = studyFrame(frame.spec);
    const pull = parseTicketTension(tension, frame.spec.sport, 'kg');
    if (!bed || !pull.ok) throw new Error(`${frameName} at ${tension} is no job.`);
    const { mainN, crossN, unit } = pull.value;
    const gaugeMm = string.gaugesMm[0] ?? 0;
    const { number } = await added(records, frame, {
      mainStringId: string.id,
      mainGaugeMm: gaugeMm,
      mainSupplied: false,
      crossStringId: string.id,
      crossGaugeMm: gaugeMm,
      crossSupplied: false,
      mainN,
      crossN,
      tensionUnit: unit,
      ...usualChoice(bed, false),
      cutFrom: 'one set',
      remnantsMm: [],
      machineId: machineName ? named(await records.machines.all(), machineName).id : null,
    });
    return number;
  });
