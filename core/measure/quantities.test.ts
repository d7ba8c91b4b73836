import { expectTypeOf, it } from 'vitest';
import type { Mm, Newtons } from './quantities';
import { mmFromFeet, newtons } from './units';

it('a length is no pull, and a bare number is either', () => {
  expectTypeOf<Mm>().not.toExtend<Newtons>();
  expectTypeOf<Newtons>().not.toExtend<Mm>();
  expectTypeOf<number>().toExtend<Mm>();
  // @ts-expect-error Feet become millimetres, which no head pulls.
  const pull: Newtons = mmFromFeet(40);
  const length: Mm = 12_192;
  expectTypeOf(newtons(24, 'kg')).toEqualTypeOf<Newtons>();
  expectTypeOf(pull + length).toEqualTypeOf<number>();
});
