import type { Family } from '@/core/terms/family';
import type { FromHead, Rehearsal } from '@/formats/head-lines';

/** A tension head that is linked to a bench. Another kind of head is another file like `line-head`. */
export interface TensionHead {
  /** Draws a string of this family to `n` newtons. */
  readonly pull: (n: number, family: Family) => void;
  readonly release: () => void;
  /** What goes wrong in the next pull; a real head takes no notice. */
  readonly rehearse: (what: Rehearsal) => void;
  readonly close: () => void;
}

interface HeadEars {
  readonly hear: (line: FromHead) => void;
  readonly linked: () => void;
  readonly lost: () => void;
}

export type LinkHead = (address: string, ears: HeadEars) => TensionHead;
