import { randomUUID } from 'node:crypto';
import { and, eq, isNull } from 'drizzle-orm';
import { USUAL_ASSUMPTIONS } from '@/core/cut/lengths';
import type { HouseRules } from '@/core/house/house-rules';
import type { Role } from '@/core/house/policy';
import type { Templates } from '@/core/papers/messages';
import { benchOf } from './bench';
import { clientLinksOf } from './client-links';
import { clientsOf } from './clients';
import type { Connection, Database } from './connection';
import { bedsOutOf } from './beds-out';
import { benchesOf } from './benches';
import { broughtOf } from './brought';
import { calendarFeedsOf } from './calendar-feeds';
import { eventsOf } from './events';
import { foundOf } from './found';
import { framesOf } from './frames';
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
import { members, workshops } from './schema';
import { shelfOf } from './shelf';
import { stringsOf } from './strings';
import { ticketsOf } from './tickets';
import { trailOf } from './trail';
import { behindWalls } from './walls';

export type Workshop = typeof workshops.$inferSelect;
/** What its papers say of it, and how it states its prices. */
export type PaperFacts = Pick<
  Workshop,
  'locale' | 'address' | 'country' | 'taxNumber' | 'taxIncluded' | 'labourTaxBp' | 'stringTaxBp'
>;
export type WorkshopFacts = Omit<
  Workshop,
  'id' | 'nextTicket' | 'nextInvoice' | 'version' | 'houseRules' | 'templates' | keyof PaperFacts
>;

/** Everything of one workshop, and nothing of another. */
export function recordsOf(db: Connection, workshopId: string) {
  return {
    bench: benchOf(db, workshopId),
    bedsOut: bedsOutOf(db, workshopId),
    benches: benchesOf(db, workshopId),
    brought: broughtOf(db, workshopId),
    calendarFeeds: calendarFeedsOf(db, workshopId),
    clientLinks: clientLinksOf(db, workshopId),
    clients: clientsOf(db, workshopId),
    court: courtOf(db, workshopId),
    devices: devicesOf(db, workshopId),
    events: eventsOf(db, workshopId),
    found: foundOf(db),
    frames: framesOf(db, workshopId),
    invoices: invoicesOf(db, workshopId),
    jobs: jobsOf(db, workshopId),
    machines: machinesOf(db, workshopId),
    members: membersOf(db, workshopId),
    outbox: outboxOf(db, workshopId),
    payments: paymentsOf(db, workshopId),
    photos: photosOf(db, workshopId),
    priceList: priceListOf(db, workshopId),
    rackets: racketsOf(db, workshopId),
    readings: readingsOf(db, workshopId),
    bedsRead: bedsReadOf(db, workshopId),
    shelf: shelfOf(db, workshopId),
    strings: stringsOf(db, workshopId),
    tickets: ticketsOf(db, workshopId),
    trail: trailOf(db, workshopId),

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

    async changeWorkshop(
      version: number,
      facts:
        | WorkshopFacts
        | PaperFacts
        | { readonly houseRules: HouseRules }
        | { readonly templates: Templates },
    ): Promise<Saved> {
      const { rowCount } = await db
        .update(workshops)
        .set({ ...facts, version: version + 1 })
        .where(and(eq(workshops.id, workshopId), eq(workshops.version, version)));
      if (rowCount) return 'saved';
      const [row] = await db.select().from(workshops).where(eq(workshops.id, workshopId));
      return missed(row && { ...row, removedAt: null }, facts);
    },
  };
}

export type Records = ReturnType<typeof recordsOf>;

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

/** The same records, each question and each change of them in a transaction behind the walls of the workshop. */
function walled(db: Database, place: Place): Records {
  const asked =
    (ask: (records: Records, args: Args) => unknown) =>
    (...args: Args) =>
      behindWalls(db, place, async (transaction) =>
        ask(recordsOf(transaction, place.workshopId), args),
      );
  const partOf = (records: object, part: string) =>
    (records as Readonly<Record<string, Part>>)[part];
  const parts = Object.entries(recordsOf(db, place.workshopId)).map(([part, kept]) => [
    part,
    typeof kept === 'function'
      ? asked((records, args) => (records as unknown as Part)[part]?.(...args))
      : Object.fromEntries(
          Object.keys(kept).map((name) => [
            name,
            asked((records, args) => partOf(records, part)?.[name]?.(...args)),
          ]),
        ),
  ]);
  return Object.fromEntries(parts) as Records;
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
