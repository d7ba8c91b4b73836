/**
 * How much of a sweep is tried: a fixed share by `npm test`, so that it is over in minutes, and all of it by
 * `npm run bench -- trial`, which says so in the environment.
 */
const { process } = globalThis as {
  readonly process?: { readonly env: Readonly<Record<string, string | undefined>> };
};
const isWhole = process?.env.ORTHOTENS_SWEEPS === 'whole';

/** How often something is tried: as often as all of it, or as the share that is always the same. */
export const tries = (all: number, share: number): number => (isWhole ? all : share);

/** Of things that are alike, all or every so many, from the first on. */
export const shareOf = <T>(all: readonly T[], each: number): readonly T[] =>
  isWhole ? all : all.filter((_, i) => i % each === 0);

/** Of what can be done in several ways, every way, or one: the next one for the next thing. */
export const waysOf = <T>(ways: readonly T[], turn: number): readonly T[] =>
  isWhole ? ways : ways.filter((_, i) => i === turn % ways.length);
