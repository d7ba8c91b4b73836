import { expect, it } from 'vitest';
import { answerToAdded } from './answers';

const row = { id: 'x', version: 1, name: 'Ada', notes: '', spec: { mains: 16 } };

it('a form that adds is answered by what stands under its key', () => {
  const same = { name: 'Ada', notes: '', spec: { mains: 16, shared: undefined } };
  expect(answerToAdded(row, same, '/clients/x')).toEqual({ ok: true, go: '/clients/x' });
  expect(answerToAdded(undefined, same, '/clients/x').ok).toBe(true);
  expect(answerToAdded(row, { ...same, name: 'Bea' }, '/clients/x')).toMatchObject({
    ok: false,
    notice: expect.stringContaining('kept “Ada”. “Bea” is not kept'),
  });
  expect(answerToAdded(row, { ...same, notes: 'left-handed' }, '/clients/x').ok).toBe(false);
});
