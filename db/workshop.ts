import { randomUUID } from 'node:crypto';
import { and, eq, isNull } from 'drizzle-orm';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import type { HouseRules } from '@/core/house/house-rules';
import type { Role } from '@/core/house/role-rights';
import type { Templates } from '@/core/papers/messages';
import { benchOf } from './bench';
import { clientLinksOf } from './client-links';
import { clientsOf } from './clients';
import type { Connection, Database } from './connection';
import { carryPrices } from './currency';
import { bedsOutOf } from './beds-out';
import { benchesOf } from './benches';
import { broughtOf } from './brought';
import { calendarFeedsOf } from './calendar-feeds';
import { eventsOf } from './events';
import { foundOf } from './found';
import { framesOf } from './frames';
import { invitationsOf } from './invitations';
import { invoicesOf } from './invoices';
import { jobsOf } from './jobs';
import { machinesOf } from './machines';
import { courtOf } from './court';
import { devicesOf, membersOf } from './members';
import { outboxOf } from './outbox';
import { paymentsOf } from './payments';
import { photosOf } from './photos';
import { priceListOf } from './price-list';
import { racketsOf } from './rackets';
import { bedsReadOf } from './beds-read';
import { readingsOf } from './readings';
import { missed, type Saved } from './saving';
import { members, workshops } from './workshop-schema';
import { shelfOf } from './shelf';
import { stringsOf } from './strings';
import { ticketsOf } from './tickets';
import { trailOf } from './trail';
import { behindWalls, inRounds } from './walls';

export type Workshop = typeof workshops.$inferSelect;
/** What its papers say of it, and how it states its prices. */
export type PaperFacts = Pick<
  Workshop,
  'locale' | 'address' | 'country' | 'taxNumber' | 'taxIncluded' | 'labourTaxBp' | 'stringTaxBp'
>;
export type WorkshopFacts = Omit<
  Workshop,
  | 'id'
  | 'nextTicket'
  | 'nextInvoice'
  | 'version'
  | 'houseRules'
  | 'templates'
  | 'ownersSecondStep'
  | keyof PaperFacts
>;

/** What a workshop says of itself. */
function wordsOf(db: Connection, workshopId: string) {
  return {
    /** What a client's page says of the workshop, or is worked out by. */
    async shopOfLink(): Promise<
      Pick<Workshop, 'name' | 'timeZone' | 'tensionUnit' | 'houseRules'>
    > {
      const [row] = await db
        .select({
          name: workshops.name,
          timeZone: workshops.timeZone,
          tensionUnit: workshops.tensionUnit,
          houseRules: workshops.houseRules,
        })
        .from(workshops)
        .where(eq(workshops.id, workshopId));
      if (!row) throw new Error('The workshop of a link is not there.');
      return row;
    },

    /** With another currency its prices keep their figures. Call it inside a transaction. */
    async changeWorkshop(
      version: number,
      facts:
        | WorkshopFacts
        | PaperFacts
        | { readonly houseRules: HouseRules }
        | { readonly templates: Templates }
        | { readonly ownersSecondStep: boolean },
    ): Promise<Saved> {
      const [before] = await db
        .select()
        .from(workshops)
        .where(eq(workshops.id, workshopId))
        .for('update');
      if (before?.version !== version)
        return missed(before && { ...before, removedAt: null }, facts);
      await db
        .update(workshops)
        .set({ ...facts, version: version + 1 })
        .where(eq(workshops.id, workshopId));
      if ('currency' in facts) await carryPrices(db, workshopId, before.currency, facts.currency);
      return 'saved';
    },
  };
}

/** The parts of its records, each with the questions that it answers. */
const PARTS = {
  bench: benchOf,
  bedsOut: bedsOutOf,
  benches: benchesOf,
  brought: broughtOf,
  calendarFeeds: calendarFeedsOf,
  clientLinks: clientLinksOf,
  clients: clientsOf,
  court: courtOf,
  devices: devicesOf,
  events: eventsOf,
  found: foundOf,
  frames: framesOf,
  invitations: invitationsOf,
  invoices: invoicesOf,
  jobs: jobsOf,
  machines: machinesOf,
  members: membersOf,
  outbox: outboxOf,
  payments: paymentsOf,
  photos: photosOf,
  priceList: priceListOf,
  rackets: racketsOf,
  readings: readingsOf,
  bedsRead: bedsReadOf,
  shelf: shelfOf,
  strings: stringsOf,
  tickets: ticketsOf,
  trail: trailOf,
};

type Parts = { readonly [Part in keyof typeof PARTS]: ReturnType<(typeof PARTS)[Part]> };
export type Records = Parts & ReturnType<typeof wordsOf>;

/** Everything of one workshop, and nothing of another. A part is made when it is asked for: most requests ask few. */
export function recordsOf(db: Connection, workshopId: string): Records {
  const records = wordsOf(db, workshopId);
  for (const [part, of] of Object.entries(PARTS))
    Object.defineProperty(records, part, { get: () => of(db, workshopId), enumerable: true });
  return records as Records;
}

export interface OpenWorkshop extends Records {
  readonly workshop: Workshop;
  /** All of it happens, or none. */
  readonly together: <T>(work: (records: Records) => Promise<T>) => Promise<T>;
}

/** Who works in which workshop. */
export interface Place {
  readonly workshopId: string;
  readonly personId: string;
}

type Args = readonly unknown[];
type Part = Readonly<Record<string, (...args: Args) => unknown>>;

/** What each part can be asked is the same in every workshop. */
let questions: readonly (readonly [string, readonly string[]])[] | undefined;

/** The same records, asked and changed behind the walls of the workshop. */
function walled(db: Database, place: Place): Records {
  const inRound = inRounds(db, place);
  const asked =
    (part: (records: Records) => unknown, name: string) =>
    (...args: Args) =>
      inRound(async (transaction) =>
        (part(recordsOf(transaction, place.workshopId)) as Part)[name]?.(...args),
      );
  const records = recordsOf(db, place.workshopId);
  questions ??= Object.keys(PARTS).map((part) => [part, Object.keys(records[part as keyof Parts])]);
  return Object.fromEntries([
    ...Object.keys(wordsOf(db, place.workshopId)).map((name) => [name, asked((all) => all, name)]),
    ...questions.map(([part, names]) => [
      part,
      Object.fromEntries(
        names.map((name) => [name, asked((all) => all[part as keyof Parts], name)]),
      ),
    ]),
  ]) as Records;
}

/** A workshop with those who work in it, as somebody who does; undefined for anybody else. */
export async function enterWorkshop(
  db: Database,
  place: Place,
): Promise<(OpenWorkshop & { readonly role: Role }) | undefined> {
  const [found] = await behindWalls(db, place, (transaction) =>
    transaction
      .select({ workshop: workshops, role: members.role })
      .from(workshops)
      .innerJoin(members, eq(members.workshopId, workshops.id))
      .where(
        and(
          eq(workshops.id, place.workshopId),
          eq(members.personId, place.personId),
          isNull(members.leftAt),
        ),
      ),
  );
  return found && openTo(db, place.personId, found);
}

/** A workshop, opened to one who is known to work in it. */
export function openTo<At extends { readonly workshop: Workshop }>(
  db: Database,
  personId: string,
  at: At,
): At & OpenWorkshop {
  const place = { workshopId: at.workshop.id, personId };
  return {
    ...at,
    ...walled(db, place),
    together: (work) =>
      behindWalls(db, place, (transaction) => work(recordsOf(transaction, place.workshopId))),
  };
}

/** Makes somebody the owner of a workshop: of a new one, or of one that is there and has none. */
export async function foundWorkshop(
  db: Database,
  personId: string,
  known: string | undefined,
  facts: Pick<WorkshopFacts, 'name' | 'tensionUnit' | 'currency' | 'timeZone'>,
): Promise<string> {
  const id = known ?? randomUUID();
  await behindWalls(db, { workshopId: id, personId }, async (transaction) => {
    if (known === undefined)
      await transaction.insert(workshops).values({
        ...facts,
        id,
        lengthSystem: facts.tensionUnit === 'kg' ? 'metric' : 'imperial',
        labourMinor: 1800,
        cutAssumptions: USUAL_ASSUMPTIONS,
      });
    await membersOf(transaction, id).add(personId, 'owner');
  });
  return id;
}
