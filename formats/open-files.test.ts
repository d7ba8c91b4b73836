import Papa from 'papaparse';
import { rateShares } from '@/core/papers/payment';
import { describe, expect, it } from 'vitest';
import { calendarOf } from './calendar';
import { clientCards } from './client-cards';
import { invoiceTable, paymentTable } from './books-table';
import { jobTableHead, jobTableRows, type TableJob } from './job-table';
import { clientTable } from './people-tables';
import { newtons } from '@/core/measure/units';

/** Lines as RFC 5545 and RFC 6350 unfold them. */
const unfold = (text: string): readonly string[] => text.replaceAll('\r\n ', '').split('\r\n');
const rowsOf = (table: string) =>
  Papa.parse<Record<string, string>>(table, { header: true, skipEmptyLines: true });

describe('a calendar', () => {
  const text = calendarOf(
    'The bench',
    [
      {
        id: 'ticket-4',
        title: '4 Ada; Threllan, 100',
        detail: 'softer\nplease',
        at: '2026-11-27T17:00',
      },
      { id: 'due-2', title: `${'ž'.repeat(60)} due`, detail: '', at: '2026-12-24' },
    ],
    new Date('2026-11-26T09:00:00Z'),
    'Europe/Lisbon',
  );

  // RFC 5545: 3.1 (75 octets, CR LF), 3.3.11 (escapes), 3.3.5 form 3 (with a zone), 3.6.1 (UID and DTSTAMP), 3.6.5 (VTIMEZONE).
  // Source of the days: in Europe the clock is changed on the last Sundays of March and October at 01:00 UTC (Directive 2000/84/EC).
  it('follows RFC 5545', () => {
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    const lines = unfold(text);
    expect(lines).toContain('SUMMARY:4 Ada\\; Threllan\\, 100');
    expect(lines).toContain('DESCRIPTION:softer\\nplease');
    expect(lines).toContain('DTSTART;TZID=Europe/Lisbon:20261127T170000');
    const zone = lines.slice(lines.indexOf('BEGIN:VTIMEZONE'), lines.indexOf('END:VTIMEZONE'));
    expect(zone).toContain('TZID:Europe/Lisbon');
    const summer = zone.indexOf('DTSTART:20260329T010000');
    expect(zone.slice(summer - 1, summer + 4)).toEqual([
      'BEGIN:DAYLIGHT',
      'DTSTART:20260329T010000',
      'TZOFFSETFROM:+0000',
      'TZOFFSETTO:+0100',
      'END:DAYLIGHT',
    ]);
    const winter = zone.indexOf('DTSTART:20261025T020000');
    expect(zone.slice(winter - 1, winter + 3)).toEqual([
      'BEGIN:STANDARD',
      'DTSTART:20261025T020000',
      'TZOFFSETFROM:+0100',
      'TZOFFSETTO:+0000',
    ]);
    expect(lines).toContain('DTSTART;VALUE=DATE:20261224');
    expect(lines).toContain('DTSTAMP:20261126T090000Z');
    expect(lines.filter((line) => line.startsWith('UID:'))).toHaveLength(2);
    expect(lines).toContain(`SUMMARY:${'ž'.repeat(60)} due`);
  });
});

describe('cards of clients', () => {
  // RFC 6350: 6.1 (BEGIN, VERSION first), 6.2.1 (FN), 6.3.1 (seven parts of an address), 6.4.1.
  it('follow RFC 6350', () => {
    const lines = unfold(
      clientCards([
        {
          id: '0f3c2f1e-8f61-4c8e-9b0a-3f5a7f6f0c11',
          name: 'Brill, Ada',
          contact: '+351 555 0100; ada@court.example',
          address: 'Court Lane 2\nSkerrowmouth',
          notes: 'left-handed; \\o/',
        },
      ]),
    );
    expect(lines.slice(0, 2)).toEqual(['BEGIN:VCARD', 'VERSION:4.0']);
    expect(lines).toContain('FN:Brill\\, Ada');
    expect(lines).toContain('EMAIL:ada@court.example');
    expect(lines).toContain('TEL;VALUE=text:+351 555 0100');
    expect(lines).toContain('ADR:;;Court Lane 2;Skerrowmouth;;;');
    expect(lines).toContain('NOTE:left-handed\\; \\\\o/');
  });
});

describe('tables', () => {
  const job: TableJob = {
    number: 12,
    day: '2026-02-03',
    client: '=cmd|"x"',
    sport: 'tennis',
    frame: 'Threllan "100"',
    mark: 'A1\nB',
    mainN: newtons(24, 'kg'),
    crossN: newtons(23, 'kg'),
    unit: 'kg',
    mains: 'Lull',
    mainGaugeMm: 1.25,
    crosses: 'Lull',
    crossGaugeMm: 1.25,
    by: null,
    machine: null,
    priceMinor: 2150,
    toPayMinor: null,
    paidMinor: 0,
    collected: null,
    currency: 'EUR',
  };

  it('of jobs come back cell by cell, and no spreadsheet runs one', () => {
    const text = jobTableHead() + jobTableRows([job, { ...job, number: 13, currency: 'JPY' }]);
    const [row, other] = rowsOf(text).data;
    expect(row).toMatchObject({
      client: `'=cmd|"x"`,
      frame: 'Threllan "100"',
      mark: 'A1\nB',
      tension: '24/23 kg',
      mains_n: '235.36',
      price: '21.5',
      paid: '',
    });
    expect(other?.price).toBe('2150');
    expect(jobTableRows([])).toBe('');
  });

  it('of the books have a row for each rate, and what is given back below zero', () => {
    const price = {
      currency: 'EUR',
      taxIncluded: true,
      lines: [
        { what: 'labour' as const, text: 'a', quantity: 1, unitMinor: 1200, taxBp: 2000 },
        { what: 'string' as const, text: 'b', quantity: 1, unitMinor: 500, taxBp: 0 },
      ],
    };
    const paid = paymentTable([
      {
        day: '2026-02-03',
        job: 12,
        clientName: 'Ada',
        way: 'cash',
        kind: 'paid',
        amountMinor: 1700,
        note: '',
        currency: 'EUR',
        shares: rateShares(price, 12, 1700),
        beforeMinor: 0,
      },
    ]);
    expect(
      rowsOf(paid).data.map(({ tax_percent, amount, tax }) => [tax_percent, amount, tax]),
    ).toEqual([
      ['0', '5', '0'],
      ['20', '12', '2'],
    ]);
    const paper = {
      kind: 'credit note' as const,
      number: 3,
      day: '2026-02-04',
      currency: 'EUR',
      locale: 'en-GB',
      taxIncluded: true,
      from: { name: 'W', address: '', country: '', taxNumber: '' },
      to: { name: 'Ada', address: '' },
      lines: price.lines.map((line) => ({ ...line, job: 12 })),
      reverses: 2,
      why: 'x',
    };
    const [, row] = rowsOf(invoiceTable([{ paper, takenBackBy: null }])).data;
    expect(row).toMatchObject({ kind: 'credit note', gross: '-12', net: '-10', takes_back: '2' });
  });

  it('of clients keep their lines', () => {
    const text = clientTable([
      {
        id: 'i',
        name: '-1',
        contact: '',
        address: 'A\nB',
        mayWrite: 'yes',
        tensionUnit: null,
        notes: '',
      },
    ]);
    expect(rowsOf(text).data[0]).toMatchObject({ name: "'-1", address: 'A\nB', unit: '' });
  });
});
