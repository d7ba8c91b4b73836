import { sql, type SQL } from 'drizzle-orm';
import { clients, rackets } from './racket-schema';
import { tickets } from './ticket-schema';

/** A client, or whom they were merged into since. */
export const clientNow = (id: unknown): SQL<string> => sql<string>`client_now(${id})`;

/** Whose a ticket is, beside its racket: who had it strung, also where the racket is somebody else’s now. */
export const clientOfTicket = sql<string>`coalesce(client_now(${tickets.strungFor}), ${rackets.clientId})`;

/**
 * Their name, beside the client of the racket. Looked up by itself where it is another one: to join by what a function makes
 * of a row would read all clients, as no index is walked by it behind the walls.
 */
export const nameOfTicketsClient = sql<string>`case when ${tickets.strungFor} is null then ${clients.name} else (select had.name from clients had where had.id = client_now(${tickets.strungFor})) end`;

/** The ids of a client’s tickets, as a question. Those of rackets that they gave away are few, and looked up on their own. */
export const ticketsOfClient = (workshopId: string, clientId: string): SQL =>
  sql`(select own.id from rackets join tickets own on own.workshop_id = rackets.workshop_id and own.racket_id = rackets.id
    where rackets.workshop_id = ${workshopId} and rackets.client_id = ${clientId} and own.strung_for is null
    union all select given.id from tickets given
    where given.workshop_id = ${workshopId} and given.strung_for is not null and client_now(given.strung_for) = ${clientId})`;
