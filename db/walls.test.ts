/** What one workshop can see of another: nothing, whatever is asked. */
import { randomUUID } from 'node:crypto';
import { eq, getTableName, sql, type SQL } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { clientLinksOf, linkAt } from './client-links';
import { openDatabase, type OpenDatabase } from './connection';
import * as doors from './doors-schema';
import { foundOf } from './found';
import { invitationAt, invitationsOf } from './invitations';
import * as day from './day-schema';
import * as ageing from './ageing-schema';
import * as reading from './reading-schema';
import * as tournament from './event-schema';
import * as earlier from './earlier-schema';
import * as papers from './papers-schema';
import { giveRights } from './rights';
import * as stock from './shelf-schema';
import * as things from './racket-schema';
import * as bench from './ticket-schema';
import * as house from './workshop-schema';
import { entrancesOf, newPerson, newWorkshop, openTestDatabase, withJobs } from './testing';
import { behindWalls, signWith } from './walls';
import { enterWorkshop } from './workshop';
import { wholeWorkshop } from './testing-whole';

const OWNED = [
  things.clients,
  things.frames,
  things.strings,
  things.machines,
  things.machineChecks,
  things.rackets,
  bench.tickets,
  bench.benchDeeds,
  house.members,
  house.invitations,
  bench.corrections,
  house.devices,
  house.trail,
  papers.photos,
  papers.priceItems,
  papers.invoices,
  papers.invoiceJobs,
  papers.payments,
  papers.clientLinks,
  papers.calendarFeeds,
  earlier.earlierJobs,
  day.benches,
  day.arrangements,
  ageing.bedReadings,
  reading.bedsRead,
  ageing.courtWords,
  ageing.bedsOut,
  tournament.events,
  tournament.eventPlayers,
  tournament.eventRackets,
  stock.stockLengths,
  stock.stockMoves,
  stock.stockUses,
  papers.wishes,
  papers.outbox,
] as const;
/** What triggers write and one function asks; the application may not even read them. */
const UNSEEN = [papers.finds, papers.foundWords] as const;
const AT_THE_DOORS = [
  doors.sessions,
  doors.accounts,
  doors.verifications,
  doors.passkeys,
  doors.secondSteps,
  doors.rateLimits,
  doors.attempts,
] as const;

let owner: OpenDatabase;
let app: OpenDatabase;
let gate: OpenDatabase;
let wallKey: string;

/** By which a connection comes in. */
const roleOf = ({ db }: OpenDatabase): string =>
  decodeURIComponent(new URL(String(db.$client.options.connectionString)).username);

beforeAll(async () => {
  owner = await openTestDatabase();
  const rights = await entrancesOf(owner);
  expect(rights.apart).toBe(true);
  app = openDatabase(rights.records);
  gate = openDatabase(rights.doors);
  ({ wallKey } = rights);
});
afterAll(() => Promise.all([owner.close(), app.close(), gate.close()]));

describe('the walls between workshops, as the application’s own role', () => {
  it('own nothing and cannot be gone around', async () => {
    for (const { db } of [app, gate]) {
      const { rows } = await db.execute(
        sql`select rolsuper or rolbypassrls or rolcreaterole or rolcreatedb as more,
                   (select count(*)::int from pg_class where relowner = pg_roles.oid) as owns
              from pg_roles where rolname = current_user`,
      );
      expect(rows).toEqual([{ more: false, owns: 0 }]);
      await expect(
        db.execute(sql`alter table clients disable row level security`),
      ).rejects.toThrow();
      await expect(db.execute(sql`set session authorization orthotens`)).rejects.toThrow();
    }
  });

  it('stand on every table', async () => {
    const { rows } = await owner.db.execute<{ name: string }>(
      sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and not relrowsecurity`,
    );
    expect(rows).toEqual([]);
  });

  it('show a forgotten where nothing outside of a workshop, and its own rows inside', async () => {
    const { workshopId, personId } = await wholeWorkshop(owner.db);
    await wholeWorkshop(owner.db);
    for (const table of OWNED) {
      const bare = await app.db.select({ of: table.workshopId }).from(table);
      expect([getTableName(table), bare]).toEqual([getTableName(table), []]);
      const inside = await behindWalls(app.db, { workshopId, personId }, (transaction) =>
        transaction.selectDistinct({ of: table.workshopId }).from(table),
      );
      expect([getTableName(table), inside]).toEqual([getTableName(table), [{ of: workshopId }]]);
    }
    const seen = await behindWalls(app.db, { workshopId, personId }, (transaction) =>
      transaction.select({ id: house.workshops.id }).from(house.workshops),
    );
    expect(seen).toEqual([{ id: workshopId }]);
  });

  it('let nobody write into another workshop, nor take a row over', async () => {
    const [mine, theirs] = [await wholeWorkshop(owner.db), await wholeWorkshop(owner.db)];
    const at = { workshopId: mine.workshopId, personId: mine.personId };
    const row = { contact: '', notes: '', tensionUnit: null, name: 'Intruder' };
    await expect(
      behindWalls(app.db, at, (transaction) =>
        transaction.insert(things.clients).values({ ...row, workshopId: theirs.workshopId }),
      ),
    ).rejects.toThrow();
    const changed = await behindWalls(app.db, at, (transaction) =>
      transaction
        .update(things.clients)
        .set({ name: 'Taken' })
        .where(eq(things.clients.id, theirs.clientId)),
    );
    expect(changed.rowCount).toBe(0);
    await expect(
      behindWalls(app.db, at, (transaction) =>
        transaction
          .update(things.clients)
          .set({ workshopId: theirs.workshopId })
          .where(eq(things.clients.id, mine.clientId)),
      ),
    ).rejects.toThrow();
    expect(await enterWorkshop(app.db, { ...at, workshopId: theirs.workshopId })).toBeUndefined();
    expect((await enterWorkshop(app.db, at))?.role).toBe('owner');
  });

  it('let nothing that was issued, paid or photographed be changed', async () => {
    const { workshopId, personId } = await wholeWorkshop(owner.db);
    for (const harm of [
      sql`update invoices set total_minor = 1`,
      sql`delete from invoices`,
      sql`update payments set amount_minor = 1`,
      sql`delete from payments`,
      sql`delete from invoice_jobs`,
      sql`update photos set image = ''`,
      sql`update client_links set token = 'guessed'`,
    ])
      await expect(
        behindWalls(app.db, { workshopId, personId }, (transaction) => transaction.execute(harm)),
      ).rejects.toThrow();
  });

  it('open a client’s address to one racket and nothing else, until it is withdrawn', async () => {
    const mine = await wholeWorkshop(owner.db);
    const outside = (token: string) =>
      behindWalls(app.db, {}, (transaction) => linkAt(transaction, token));
    expect(await outside(mine.token)).toEqual({
      workshopId: mine.workshopId,
      racketId: mine.racketId,
    });
    expect(
      await outside(mine.token.replace(/.$/, (end) => (end === 'A' ? 'B' : 'A'))),
    ).toBeUndefined();
    expect(await outside('%')).toBeUndefined();
    // Nobody outside can ask which addresses there are.
    const seen = await behindWalls(app.db, {}, (transaction) =>
      transaction.select({ token: papers.clientLinks.token }).from(papers.clientLinks),
    );
    expect(seen).toEqual([]);
    await behindWalls(app.db, mine, (transaction) =>
      clientLinksOf(transaction, mine.workshopId).withdraw(mine.racketId),
    );
    expect(await outside(mine.token)).toBeUndefined();
  });

  it('open an invitation to who has its address, to one of them, once', async () => {
    const mine = await wholeWorkshop(owner.db);
    const [tokenHash, first, second] = [
      randomUUID(),
      await newPerson(owner.db),
      await newPerson(owner.db),
    ];
    await behindWalls(app.db, mine, (transaction) =>
      invitationsOf(transaction, mine.workshopId).add({
        tokenHash,
        name: 'Nell',
        address: 'nell@court.example',
        role: 'counter',
        invitedBy: mine.personId,
        expiresAt: new Date(Date.now() + 60_000),
      }),
    );
    const found = () =>
      behindWalls(app.db, {}, (transaction) => invitationAt(transaction, tokenHash));
    const at = await found();
    expect(at?.workshopId).toBe(mine.workshopId);
    const take = (personId: string) =>
      behindWalls(app.db, { workshopId: mine.workshopId, personId }, (transaction) =>
        invitationsOf(transaction, mine.workshopId).take(at?.id ?? '', personId),
      );
    expect(await take(mine.personId)).toBe('here already');
    expect((await Promise.all([take(first), take(second)])).toSorted()).toEqual(['gone', 'taken']);
    expect(await found()).toBeUndefined();
    // What it asks to cannot be changed on the way.
    await expect(
      behindWalls(app.db, mine, (transaction) =>
        transaction.execute(sql`update invitations set role = 'owner'`),
      ),
    ).rejects.toThrow();
  });

  it('let search find what is inside, and nothing of another workshop', async () => {
    const [mine, theirs] = [await wholeWorkshop(owner.db), await wholeWorkshop(owner.db)];
    for (const table of UNSEEN) await expect(app.db.select().from(table)).rejects.toThrow();
    const found = await behindWalls(app.db, mine, (transaction) =>
      foundOf(transaction).find({ words: ['secret'], days: undefined, tension: undefined }),
    );
    expect(found.map(({ kind }) => kind)).toEqual(['ticket', 'job', 'client', 'racket']);
    expect(found.map(({ rowId }) => rowId)).not.toContain(theirs.clientId);
    const nowhere = await behindWalls(app.db, {}, (transaction) =>
      foundOf(transaction).find({ words: ['secret'], days: undefined, tension: undefined }),
    );
    expect(nowhere).toEqual([]);
  });

  it('keep what is behind a workshop apart from who somebody is', async () => {
    const { workshopId, personId } = await wholeWorkshop(owner.db);
    for (const table of AT_THE_DOORS) {
      await expect(app.db.select().from(table)).rejects.toThrow();
      await expect(
        behindWalls(app.db, { workshopId, personId }, (transaction) =>
          transaction.select().from(table),
        ),
      ).rejects.toThrow();
    }
    for (const table of OWNED) await expect(gate.db.select().from(table)).rejects.toThrow();
    // A name is all that the records know of a person, and of their own people only.
    await expect(app.db.select().from(doors.people)).rejects.toThrow();
    const names = await behindWalls(app.db, { workshopId, personId }, (transaction) =>
      transaction.select({ id: doors.people.id }).from(doors.people),
    );
    expect(names).toEqual([{ id: personId }]);
  });

  it('show a person every workshop that they belong to, and no other', async () => {
    const [one, two] = [await wholeWorkshop(owner.db), await wholeWorkshop(owner.db)];
    await behindWalls(owner.db, {}, (transaction) =>
      transaction
        .insert(house.members)
        .values({ workshopId: two.workshopId, personId: one.personId, role: 'counter' }),
    );
    const seen = await behindWalls(app.db, { personId: one.personId }, (transaction) =>
      transaction.select({ id: house.workshops.id }).from(house.workshops),
    );
    expect(new Set(seen.map(({ id }) => id))).toEqual(new Set([one.workshopId, two.workshopId]));
  });
});

describe('the roles that the application comes in by', () => {
  it('make nothing, of any kind, anywhere', async () => {
    const owners = `${new URL(process.env.TEST_DATABASE_URL ?? '').pathname.slice(1)}_owner`;
    for (const harm of [
      // The way that was found: a table of the trail's name that is looked at first, with a trigger of one's own.
      'create temporary table trail (like public.trail)',
      'create temporary view people as select 1 as id',
      "create function pg_temp.now() returns text language sql as 'select 1'",
      "create function public.f() returns trigger language plpgsql as 'begin return new; end'",
      'create trigger mine after update on public.clients for each row execute function public.write_trail()',
      'create schema mine',
      'create table public.mine (n integer)',
      'create sequence public.mine',
      'create type public.mine as (n integer)',
      'create domain public.mine as integer',
      'create operator public.= (leftarg = text, rightarg = text, function = texteq)',
      'create extension dblink',
      'create role mine',
      `set role ${owners}`,
      'alter table public.clients owner to current_user',
      "alter function public.write_trail() set search_path = 'pg_temp'",
      'alter table public.tickets disable trigger all',
      'set session_replication_role = replica',
      "copy public.clients to program 'id'",
      "select pg_read_file('/etc/passwd')",
      "select lo_import('/etc/passwd')",
      'do $$ begin create temporary table finds (n integer); end $$',
      'create rule mine as on update to public.clients do instead nothing',
      'create policy mine on public.clients using (true)',
    ])
      for (const { db } of [app, gate])
        await expect(db.execute(sql.raw(harm)), harm).rejects.toThrow();
  });

  it('call no function but those that are meant for them', async () => {
    const { rows } = await owner.db.execute<{ role: string; calls: string }>(
      sql.raw(`select rolname as role, p.oid::regprocedure::text as calls from pg_roles, pg_proc p
        where rolname in ('${roleOf(app)}', '${roleOf(gate)}') and pronamespace = 'public'::regnamespace
          and prorettype <> 'trigger'::regtype and has_function_privilege(rolname, p.oid, 'execute')
          and not exists (select 1 from pg_depend d where d.classid = 'pg_proc'::regclass and d.objid = p.oid and d.deptype = 'e') order by 1, 2`),
    );
    const callsOf = (open: OpenDatabase) =>
      rows
        .filter(({ role }) => role === roleOf(open))
        .map(({ calls }) => calls.replace(/\(.*/, ''));
    expect(new Set(callsOf(gate))).toEqual(
      new Set(['at_person', 'at_workshop', 'ownerless_workshops']),
    );
    expect(new Set(callsOf(app))).toEqual(
      new Set([
        'at_person',
        'at_workshop',
        'calendar_feed',
        'client_link',
        'client_now',
        'find_in_records',
        'invitation',
        'pieces_in_short',
        'rows_in_records',
      ]),
    );
  });

  it('meet functions that belong to no master of the server, and look nowhere but where they say', async () => {
    const { rows } = await owner.db.execute<{
      name: string;
      master: boolean;
      config: string[] | null;
      body: string;
    }>(sql`
      select proname as name, rolsuper or rolbypassrls or rolcanlogin as master, proconfig as config, prosrc as body
        from pg_proc p join pg_roles r on r.oid = proowner
        where pronamespace = 'public'::regnamespace
          and not exists (select 1 from pg_depend d where d.classid = 'pg_proc'::regclass and d.objid = p.oid and d.deptype = 'e')`);
    expect(rows.length).toBeGreaterThan(20);
    const { rows: tables } = await owner.db.execute<{ name: string }>(
      sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r'`,
    );
    const bare = new RegExp(
      `\\b(from|join|into|update)\\s+(${tables.map(({ name }) => name).join('|')})\\b(?!\\.)`,
      'gi',
    );
    for (const { name, master, config, body } of rows) {
      expect([name, master]).toEqual([name, false]);
      expect([name, config?.find((each) => each.startsWith('search_path'))]).toEqual([
        name,
        'search_path=pg_catalog, public, pg_temp',
      ]);
      expect([name, body.match(bare)]).toEqual([name, null]);
    }
  });

  it('say nowhere where they work but by what the application signed', async () => {
    const [mine, theirs] = [await wholeWorkshop(owner.db), await wholeWorkshop(owner.db)];
    const asking = (place: string, setting = 'orthotens.place') =>
      app.db.transaction(async (transaction) => {
        await transaction.execute(sql`select set_config(${setting}, ${place}, true)`);
        return transaction.$count(things.clients);
      });
    const signed = await behindWalls(app.db, mine, async (transaction) => {
      const { rows } = await transaction.execute<{ place: string }>(
        sql`select current_setting('orthotens.place') as place`,
      );
      return rows[0]?.place ?? '';
    });
    expect(await asking(signed)).toBe(1);
    for (const forged of [
      `${theirs.workshopId}|${theirs.personId}|`,
      `${theirs.workshopId}|${theirs.personId}`,
      signed.replace(mine.workshopId, theirs.workshopId),
      signed.replace(mine.personId, theirs.personId),
      `${theirs.workshopId}||${signed}`,
      '*||',
      'x',
    ])
      await expect(asking(forged), forged).rejects.toThrow();
    for (const setting of ['orthotens.everything', 'orthotens.workshop'])
      expect(await asking(setting.endsWith('g') ? 'on' : theirs.workshopId, setting)).toBe(0);
    await expect(app.db.execute(sql`select key from wall_keys`)).rejects.toThrow();
    await expect(app.db.execute(sql`select signed_place()`)).rejects.toThrow();
  });

  it('change nothing of a job that was handed over, nor of one that was voided since', async () => {
    const { shop, jobs } = await withJobs(owner.db, [3300, 3300]);
    const inside = (harm: SQL) =>
      behindWalls(app.db, { workshopId: shop.id }, (transaction) => transaction.execute(harm));
    const ticket = await shop.tickets.get(2);
    expect(await shop.tickets.voidJob(2, ticket?.version ?? 0, 'the wrong one')).toBe('saved');
    for (const number of jobs.map((job) => job.number)) {
      for (const harm of [
        sql`record = jsonb_set(record, '{remarks}', '"all well"')`,
        sql`record = jsonb_set(record, '{price,lines,0,unitMinor}', '1')`,
        sql`record = jsonb_set(record, '{price,lines}', '[]')`,
        sql`record = null`,
        sql`main_n = 1`,
        sql`labour_minor = 1`,
        sql`closed_at = now()`,
        sql`racket_id = gen_random_uuid()`,
        sql`number = 77`,
        sql`removed_at = now()`,
      ])
        await expect(
          inside(sql`update tickets set ${harm} where number = ${number}`),
        ).rejects.toThrow();
    }
    await inside(sql`update tickets set collected_at = now() where number = 1`);
  });
});

describe('the trail', () => {
  it('keeps of a document what it was before', async () => {
    const { workshopId, personId } = await wholeWorkshop(owner.db);
    const at = { workshopId, personId };
    const frame = await behindWalls(app.db, at, async (transaction) => {
      const [kept] = await transaction
        .select({ id: things.frames.id, spec: sql<unknown>`spec` })
        .from(things.frames);
      await transaction
        .update(things.frames)
        .set({ spec: sql`jsonb_set(spec, '{mains}', '18')` })
        .where(eq(things.frames.id, kept?.id ?? ''));
      return kept;
    });
    const open = await enterWorkshop(app.db, at);
    const [entry] = (await open?.trail.of('frames', frame?.id ?? '', 1))?.entries ?? [];
    expect(entry?.changes).toEqual({ spec: [frame?.spec] });
  });
  it('says who changed what and when, of itself', async () => {
    const { workshopId, personId, clientId } = await wholeWorkshop(owner.db);
    const open = await enterWorkshop(app.db, { workshopId, personId });
    const client = await open?.clients.get(clientId);
    expect(client?.name).toBe('Secret');
    await open?.clients.change(clientId, client?.version ?? 0, {
      name: 'Found out',
      contact: '',
      tensionUnit: null,
      notes: '',
    });
    await open?.clients.setRemoved(clientId, true);
    const [removed, changed, added] = (await open?.trail.of('clients', clientId, 9))?.entries ?? [];
    expect(changed).toMatchObject({
      who: 'Ada',
      deed: 'changed',
      changes: { name: ['Secret', 'Found out'] },
    });
    expect(removed).toMatchObject({ who: 'Ada', deed: 'removed' });
    // The owner of the tables made it, by a command.
    expect(added).toMatchObject({ who: null, deed: 'added' });
  });

  it('is only added to, by the application and by the owner of the tables alike', async () => {
    const { workshopId, personId } = await wholeWorkshop(owner.db);
    const at = { workshopId, personId };
    for (const harm of [
      sql`delete from trail`,
      sql`update trail set person_id = null`,
      sql`insert into trail (workshop_id, about, row_id, deed, changes) values (${workshopId}, 'clients', ${randomUUID()}, 'added', '{}')`,
      sql`truncate trail`,
    ])
      await expect(
        behindWalls(app.db, at, (transaction) => transaction.execute(harm)),
      ).rejects.toThrow();
    await expect(owner.db.execute(sql`delete from trail`)).rejects.toMatchObject({
      cause: { message: 'The trail is only added to.' },
    });
  });

  it('never holds a code, nor a whole document', async () => {
    const { workshopId, personId } = await wholeWorkshop(owner.db);
    const open = await enterWorkshop(app.db, { workshopId, personId });
    await open?.members.setCode(personId, 'a hash');
    const [entry] = (await open?.trail.latest(1))?.entries ?? [];
    expect(entry).toMatchObject({ about: 'members', changes: { code_hash: null } });
  });
});

it('a server that has one role only binds its owner to the walls', async () => {
  const url = new URL(process.env.TEST_DATABASE_URL ?? '');
  const name = `single_${randomUUID().slice(0, 8)}`;
  await owner.db.execute(sql.raw(`create role ${name} login password 'single'`));
  await owner.db.execute(sql.raw(`create database ${name} owner ${name}`));
  url.pathname = `/${name}`;
  url.username = name;
  url.password = 'single';
  const [{ migrateDatabase }, command, page] = [
    await import('./migrate'),
    openDatabase(url.toString(), 'command'),
    openDatabase(url.toString()),
  ];
  try {
    await migrateDatabase(command.db);
    const rights = await giveRights(command.db, url.toString(), '');
    expect(rights).toMatchObject({ records: url.toString(), doors: url.toString(), apart: false });
    signWith(rights.wallKey);
    const shop = await newWorkshop(command.db);
    await shop.clients.add(
      { name: 'Secret', contact: '', tensionUnit: null, notes: '' },
      randomUUID(),
    );
    expect(await command.db.$count(things.clients)).toBe(1);
    expect(await page.db.$count(things.clients)).toBe(0);
    const inside = await behindWalls(page.db, { workshopId: shop.id }, (transaction) =>
      transaction.$count(things.clients),
    );
    expect(inside).toBe(1);
  } finally {
    signWith(wallKey);
    await Promise.all([command.close(), page.close()]);
    await owner.db.execute(sql.raw(`drop database ${name} with (force)`));
    await owner.db.execute(sql.raw(`drop role ${name}`));
  }
});
