/** Clients and rackets as tables (RFC 4180); the columns of docs/formats/clients.md. */
import { tableRows } from './table-cells';

export interface TableClient {
  readonly id: string;
  readonly name: string;
  readonly contact: string;
  readonly address: string;
  readonly mayWrite: string;
  readonly tensionUnit: string | null;
  readonly notes: string;
}

export interface TableRacket {
  readonly id: string;
  readonly clientId: string;
  readonly clientName: string;
  readonly frameName: string;
  readonly mark: string;
  readonly notes: string;
}

export const clientTable = (clients: readonly TableClient[]): string =>
  tableRows([
    ['id', 'name', 'contact', 'address', 'messages', 'unit', 'notes'],
    ...clients.map(({ id, name, contact, address, mayWrite, tensionUnit, notes }) => [
      id,
      name,
      contact,
      address,
      mayWrite,
      tensionUnit,
      notes,
    ]),
  ]);

export const racketTable = (rackets: readonly TableRacket[]): string =>
  tableRows([
    ['id', 'client_id', 'client', 'frame', 'mark', 'notes'],
    ...rackets.map(({ id, clientId, clientName, frameName, mark, notes }) => [
      id,
      clientId,
      clientName,
      frameName,
      mark,
      notes,
    ]),
  ]);
