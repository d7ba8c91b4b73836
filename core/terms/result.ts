/** A computed value, or one clear sentence saying what is wrong and what would be right. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

export const success = <T>(value: T): Result<T> => ({ ok: true, value });

export const failure = (problem: string): { readonly ok: false; readonly problem: string } => ({
  ok: false,
  problem,
});
