import { expect, it } from 'vitest';
import { checkSchema } from './check-entry';

// From memory: what is more than a fifth off was more likely misread than pulled.
it('asks whether a check was misread from a fifth on, unless it is said to be so', () => {
  const read = (measured: string, sure = false) =>
    checkSchema('kg').safeParse({ asked: '20', measured, sure });
  expect([read('23.9').success, read('16.1').success]).toEqual([true, true]);
  for (const measured of ['24.1', '15.9']) {
    expect(read(measured).error?.issues).toMatchObject([
      { path: ['measured'], message: expect.stringContaining('is it misread?') as string },
    ]);
    expect(read(measured, true).success).toBe(true);
  }
});
