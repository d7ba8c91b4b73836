/**
 * A generator that gives the same numbers for the same seed (mulberry32, from memory), so that the demo is the
 * same everywhere and a trial can be run again. `next` is from 0 to below 1, `below(n)` a whole number below n.
 *
 * @example
 * chanceFrom(3).below(10) === chanceFrom(3).below(10) // true
 */
export function chanceFrom(seed: number) {
  let state = seed;
  const next = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    below: (n: number): number => Math.floor(next() * n),
    one: <T>(of: readonly T[]): T => of[Math.floor(next() * of.length)] as T,
  };
}

export type Chance = ReturnType<typeof chanceFrom>;
