import { expect, it } from 'vitest';
import { medianMs, quantile, timesOf, verdict } from './timed';
import { WORKS } from './works';

it.each(WORKS)('$name is there to be timed', ({ work }) => {
  expect(work()).not.toSatisfy(
    (done: unknown) =>
      done === undefined || done === false || (done as { readonly ok?: boolean }).ok === false,
  );
});

it('a share of the values lies below', () => {
  expect(quantile([4, 1, 3, 2], 0.5)).toBe(3);
  expect(quantile([4, 1, 3, 2], 0.98)).toBe(4);
  expect(quantile([], 0.5)).toBeNaN();
});

it('times each run, and the first half only makes the code fast', () => {
  let runs = 0;
  const count = () => {
    runs += 1;
  };
  expect(timesOf(count, 3)).toHaveLength(3);
  expect(medianMs(count, 4)).toBeGreaterThanOrEqual(0);
  expect(runs).toBe(3 + 8);
});

it('a goal is said with whether it holds', () => {
  expect(verdict(true, '2 ms')).toBe('holds (2 ms)');
  expect(verdict(false, '2 ms')).toBe('MISSED (2 ms)');
});
