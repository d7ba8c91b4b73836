/** What hands do at the machine, one deed at a time. */
import type { StringName } from '../terms/string-name';
import type { Newtons } from '../measure/quantities';
import type { HolePlace } from '../path/segments';

/** The two clamps that slide on a machine, and the one that grips outside the frame. */
export type Holder = 'clamp 1' | 'clamp 2' | 'starting clamp';
export const MACHINE_CLAMPS = ['clamp 1', 'clamp 2'] as const satisfies readonly Holder[];

/** Towards the first or the last string of a piece. */
export type Way = -1 | 1;

/** A string at the end of what is strung, and towards which end of its piece. */
export interface StrungEnd {
  readonly string: StringName;
  readonly way: Way;
}

export type Action =
  /** `through` are the two holes it goes in by and out by, `7H left`. */
  | {
      readonly do: 'thread';
      readonly string: StringName;
      readonly through: readonly [string, string];
    }
  /** A scrap strand keeps a hole open that is about to be covered. */
  | { readonly do: 'open'; readonly at: HolePlace }
  | ({ readonly do: 'grip outside' } & StrungEnd)
  /** The head pulls beyond a string; with another, both tails are in its gripper. */
  | ({ readonly do: 'pull'; readonly pullN: Newtons; readonly and?: StrungEnd } & StrungEnd)
  | { readonly do: 'let go' }
  | { readonly do: 'clamp'; readonly holder: Holder; readonly string: StringName }
  | { readonly do: 'free'; readonly holder: Holder }
  | ({ readonly do: 'tie'; readonly at: HolePlace } & StrungEnd);
