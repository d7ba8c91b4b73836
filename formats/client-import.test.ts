import { describe, expect, it } from 'vitest';
import { answerClients, guessClients } from './client-import';
import { sameName } from '@/core/measure/typed';
import { readSheet, textOf } from './mapped-table';
import { clientTable } from './people-tables';

const sheetOf = (text: string) => {
  const read = readSheet(text);
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
const none = new Set<string>();

describe('clients out of any table', () => {
  it('are read with commas, semicolons or tabs, and quotes over lines', () => {
    for (const by of [',', ';', '\t']) {
      const sheet = sheetOf(
        ['Name', 'E-Mail', 'Remarks'].join(by) +
          '\r\n' +
          ['"Brill, Ada"', 'ada@court.example', '"left-handed\nslow swing"'].join(by),
      );
      expect(answerClients(sheet, guessClients(sheet.head), none)).toEqual([
        {
          line: 2,
          state: 'new',
          row: {
            name: 'Brill, Ada',
            contact: 'ada@court.example',
            address: '',
            notes: 'left-handed\nslow swing',
          },
        },
      ]);
    }
  });

  it('join the columns that are mapped to one field', () => {
    const sheet = sheetOf('First name,Last name,Street,Town,Phone\nAda,Brill,Court 2,Skerry,555');
    expect(guessClients(sheet.head)).toEqual({
      name: [0, 1],
      address: [2, 3],
      contact: [4],
      notes: [],
    });
    expect(answerClients(sheet, guessClients(sheet.head), none)[0]).toMatchObject({
      row: { name: 'Ada Brill', address: 'Court 2\nSkerry', contact: '555' },
    });
  });

  it('are known by their letters in older encodings too', () => {
    expect(textOf(new TextEncoder().encode('Brüggmann'))).toBe('Brüggmann');
    expect(textOf(Uint8Array.from([0x42, 0x72, 0xfc]))).toBe('Brü');
    expect(textOf(Uint8Array.from([0xff, 0xfe, 0x41, 0, 0x64, 0]))).toContain('Ad');
  });

  it('answer every row, and leave out who is here already or stood there before', () => {
    const sheet = sheetOf(`Name\nAda  BRILL\nBo\nbo\n${'x'.repeat(200)}\n`);
    const states = answerClients(sheet, guessClients(sheet.head), new Set([sameName('ada brill')]));
    expect(states.map(({ state }) => state)).toEqual([
      'here already',
      'new',
      'here already',
      'wrong',
    ]);
    expect(states[3]).toMatchObject({ why: expect.stringContaining('120 letters') as string });
  });

  it('answer ten thousand wrong rows, each with its sentence', () => {
    const sheet = sheetOf(`Name,Mail\n${',a@b.example\n'.repeat(10_000)}`);
    const rows = answerClients(sheet, guessClients(sheet.head), none);
    expect(rows).toHaveLength(10_000);
    expect(rows.every(({ state }) => state === 'wrong')).toBe(true);
  });

  it('come back from their own table as they were', () => {
    const client = {
      id: 'i',
      name: '=Ada',
      contact: '555',
      address: 'A\nB',
      mayWrite: 'no',
      tensionUnit: null,
      notes: 'n',
    };
    const sheet = sheetOf(clientTable([client]));
    expect(answerClients(sheet, guessClients(sheet.head), none)[0]).toMatchObject({
      row: { name: '=Ada', contact: '555', address: 'A\nB', notes: 'n' },
    });
  });

  it('say what is no table', () => {
    expect(readSheet('')).toMatchObject({ ok: false });
    expect(readSheet('Name\n')).toMatchObject({ ok: false });
    expect(readSheet('Name\n"open')).toMatchObject({
      problem: expect.stringContaining('quote') as string,
    });
  });
});

describe('a table from elsewhere', () => {
  it('counts its rows as the file does, after empty ones too, and says what stands beyond the headings', () => {
    const sheet = sheetOf('Name,Mail\nAda,a@x.example\n,\n\nBo,b@x.example,more\n');
    const rows = answerClients(sheet, guessClients(sheet.head), none);
    expect(rows.map(({ line, state }) => [line, state])).toEqual([
      [2, 'new'],
      [5, 'wrong'],
    ]);
    expect(rows[1]).toMatchObject({ why: expect.stringContaining('“more”') as string });
  });

  it('is called what it is where it is none', () => {
    for (const [text, what] of [
      ['%PDF-1.7 x', 'a PDF'],
      ['\u2030PNG\r\n', 'a picture'],
      ['PK\u0003\u0004', 'a workbook'],
    ] as const) {
      const read = readSheet(text);
      expect(!read.ok && read.problem).toContain(what);
    }
  });

  it.each([
    ['Kundenname;E-Mail;Straße;Bemerkung', ['name', 'contact', 'address', 'notes']],
    ['Nom;Courriel;Ville;Remarques', ['name', 'contact', 'address', 'notes']],
    ['Nombre;Correo;Calle;Observaciones', ['name', 'contact', 'address', 'notes']],
  ] as const)('has its headings guessed: %s', (head, fields) => {
    const guessed = guessClients(head.split(';'));
    expect(fields.map((field) => guessed[field])).toEqual([[0], [1], [2], [3]]);
  });
});
