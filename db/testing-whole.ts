/** A workshop with a row in every table, for what has to be true of all of them. */
import { randomUUID } from 'node:crypto';
import { expect } from 'vitest';
import { USUAL_WEEK } from '@/core/queue/hours';
import { NOTHING_SAID } from '@/core/ageing/court';
import { NOTHING_SEEN } from '@/core/reading/seen';
import { invoiceFor } from '@/core/papers/invoice';
import { frameSpec } from '@/core/testing/frame-spec';
import { type Database } from './connection';
import * as ageing from './ageing-schema';
import * as earlier from './earlier-schema';
import * as things from './racket-schema';
import { EVENT, newPerson, newWorkshop, PLAYER } from './testing';

const invoiceOf = (number: number) =>
  invoiceFor(
    {
      number,
      day: '2026-11-20',
      locale: 'en-GB',
      from: { name: 'W', address: '', country: '', taxNumber: '' },
      to: { name: 'Secret', address: '' },
    },
    [{ number: 1, racket: 'F', price: { currency: 'EUR', taxIncluded: true, lines: [] } }],
  );

/** A workshop with a row in every table, and somebody who works in it. */
export async function wholeWorkshop(db: Database) {
  const { id: workshopId, ...shop } = await newWorkshop(db);
  const personId = await newPerson(db, 'Ada');
  await shop.members.add(personId, 'owner');
  const [clientId, frameId, machineId] = [randomUUID(), randomUUID(), randomUUID()];
  await shop.invitations.add({
    tokenHash: randomUUID(),
    name: 'Secret',
    address: 'secret@court.example',
    role: 'stringer',
    invitedBy: personId,
    expiresAt: new Date(Date.now() + 60_000),
  });
  await shop.clients.add({ name: 'Secret', contact: '', tensionUnit: null, notes: '' }, clientId);
  await shop.frames.add(
    { name: 'Frame', spec: frameSpec({ head: [7, 9], throat: [7, 9], tieOff: ['6H'] }) },
    frameId,
  );
  await shop.machines.add({ name: 'Bench', gripperMm: 360 }, machineId);
  await db.insert(things.machineChecks).values({
    id: randomUUID(),
    workshopId,
    machineId,
    day: '2026-11-20',
    askedN: 240,
    measuredN: 239,
  });
  await db.insert(things.strings).values({
    workshopId,
    name: 'String',
    sport: 'tennis',
    family: 'monofilament',
    gaugesMm: [1.25],
    setMm: 12_000,
    setPriceMinor: 900,
    notes: '',
  });
  const racket = await shop.rackets.add({ clientId, frameId, label: 'F', mark: '', notes: '' });
  const ticket = await shop.tickets.add(randomUUID(), {
    racketId: racket.id,
    promised: '2030-01-01T18:00',
    wish: '',
    condition: '',
  });
  await shop.bench.keep(ticket.id, [
    {
      id: randomUUID(),
      bench: randomUUID(),
      plan: '0badcafe',
      at: '2026-11-25T10:00:00.000Z',
      done: 0,
      deed: { kind: 'open' },
      personId,
    },
  ]);
  await shop.tickets.correct(ticket.id, randomUUID(), personId, 'It was 24 kg.');
  await shop.devices.trust('Bench', randomUUID(), personId);
  await shop.photos.add(randomUUID(), ticket.id, personId, {
    caption: '',
    width: 1,
    height: 1,
    image: Buffer.from('image'),
    thumb: Buffer.from('thumb'),
  });
  await shop.priceList.add(randomUUID(), { name: 'Grip', kind: 'grip', unitMinor: 600, taxBp: 0 });
  const invoiced = await shop.invoices.issue(
    randomUUID(),
    personId,
    clientId,
    [ticket.id],
    (number) => invoiceOf(number),
  );
  expect(invoiced).toEqual({ number: 1 });
  await shop.payments.add(personId, {
    id: randomUUID(),
    ticketId: ticket.id,
    day: '2026-11-20',
    way: 'cash',
    kind: 'tip',
    amountMinor: 100,
    note: '',
  });
  const token = await shop.clientLinks.ensure(racket.id);
  await shop.calendarFeeds.ensure(personId);
  const [string] = await shop.strings.find('');
  const lengthId = randomUUID();
  await shop.shelf.buy(personId, [lengthId], {
    stringId: string?.id ?? '',
    gaugeMm: 1.25,
    kind: 'set',
    mm: 12_000,
    priceMinor: 900,
    supplier: '',
    place: '',
    day: '2026-11-20',
  });
  await shop.shelf.cut(personId, ticket.id, [{ lengthId, mm: 6000, note: 'mains' }]);
  await shop.benches.add({
    name: 'Bench',
    machineId,
    hand: 'practised',
    hours: { week: USUAL_WEEK, others: {} },
  });
  await shop.benches.setHereFrom(ticket.id, '2029-12-31T10:00');
  await shop.court.say(ticket.id, personId, { ...NOTHING_SAID, note: 'Secret' });
  await shop.bedsRead.add(randomUUID(), racket.id, personId, '2026-11-20T10:00', {
    ...NOTHING_SEEN,
    marks: 'few',
  });
  await shop.readings.add(randomUUID(), ticket.id, personId, {
    takenOn: '2026-11-20T10:00',
    kind: 'tap',
    value: 540,
    massG: null,
    unit: '',
  });
  await db.insert(ageing.bedsOut).values({ racketId: racket.id, workshopId, ticketId: ticket.id });
  const [eventId, playerId] = [randomUUID(), randomUUID()];
  await shop.events.add(EVENT, eventId);
  await shop.events.addPlayer(playerId, eventId, clientId, { ...PLAYER, supplied: true });
  await shop.events.addRacket({ ticketId: ticket.id, eventId, playerId, tag: 1 });
  await db.insert(earlier.earlierJobs).values({
    workshopId,
    racketId: racket.id,
    day: '2025-04-07',
    mains: 'String',
    crosses: 'String',
    currency: 'EUR',
    notes: '',
  });
  await shop.clientLinks.wish(racket.id, 'again');
  await shop.outbox.add(personId, {
    id: randomUUID(),
    clientId,
    ticketId: ticket.id,
    kind: 'ready',
    about: '',
    toAddress: 'a@b.example',
    subject: 's',
    text: 't',
  });
  return { workshopId, personId, clientId, ticket, racketId: racket.id, token };
}
