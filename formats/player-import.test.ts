import { expect, it } from 'vitest';
import { newtons } from '@/core/measure/units';
import { readSheet } from './mapped-table';
import { answerPlayers, guessPlayers } from './player-import';

const ASKED = { sport: 'tennis', unit: 'kg' } as const;
const answered = (text: string, known: readonly string[] = []) => {
  const sheet = readSheet(text);
  if (!sheet.ok) throw new Error(sheet.problem);
  return answerPlayers(sheet.value, guessPlayers(sheet.value.head), ASKED, new Set(known));
};

it('reads an entry list: names in two columns, several orders in a cell', () => {
  const [row, other] = answered(
    'First name;Last name;E-mail;Rackets\nAda;Brill;ada@court.example;"2 at 24/23, every morning; 1 at 52 lb"\nBo;Tarn;;',
  );
  expect(row).toMatchObject({
    state: 'new',
    row: {
      name: 'Ada Brill',
      contact: 'ada@court.example',
      orders: [
        { count: 2, tension: { mainN: newtons(24, 'kg'), unit: 'kg' }, when: 'every morning' },
        { count: 1, tension: { mainN: newtons(52, 'lb'), unit: 'lb' }, when: 'once' },
      ],
    },
  });
  expect(other).toMatchObject({ state: 'new', row: { name: 'Bo Tarn', contact: '', orders: [] } });
});

it('leaves out who plays already or stood there before, and says what is no order', () => {
  const rows = answered('Player,Orders\nAda Brill,\nBo,2 at 24\nbo,\nCy,a few at 24\n,\n', [
    'ada brill',
  ]);
  expect(rows.map(({ state }) => state)).toEqual([
    'here already',
    'new',
    'here already',
    'wrong',
    ...rows.slice(4).map(() => 'wrong'),
  ]);
  expect(rows[3]).toMatchObject({ line: 5, name: 'Cy' });
});
