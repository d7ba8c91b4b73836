/** A sentence as data: which one it is, and what it is about. */

export type Value = string | number | readonly string[];

/** What stands between a brace and the next comma or brace, where it is a name and not a branch of a plural. */
type NameAtStart<T extends string> = T extends `${infer Argument}}${string}`
  ? Argument extends `${infer Name},${string}`
    ? NotABranch<Name>
    : NotABranch<Argument>
  : never;

type NotABranch<T extends string> = T extends '' | `${string} ${string}` | `${string}#${string}`
  ? never
  : T;

/** The names that a sentence asks for: `who` and `count` of `{who} has {count, plural, one {# knot} other {# knots}}`. */
export type NamesIn<T extends string> = T extends `${string}{${infer Rest}`
  ? NameAtStart<Rest> | NamesIn<Rest>
  : never;

export interface MessageOf<Key extends string> {
  readonly key: Key;
  readonly values: Readonly<Record<string, Value>>;
}

/** The values of a sentence as arguments: none where it asks for none. */
export type ValuesOf<Sentence extends string> = [NamesIn<Sentence>] extends [never]
  ? []
  : [values: Readonly<Record<NamesIn<Sentence>, Value>>];
