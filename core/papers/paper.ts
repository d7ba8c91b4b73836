/** What stands on the small papers of a ticket, whichever way they are laid out. */
import type { ClientLetter } from '../advice/words';
import type { Slip } from './slip';

/** A name and what it says. */
export interface PaperFact {
  readonly name: string;
  readonly value: string;
}

interface PaperHead {
  readonly workshop: string;
  /** Line by line. */
  readonly address: string;
  readonly number: number;
  readonly client: string;
  readonly racket: string;
  readonly day: string;
  /** The client's page, or empty where it was withdrawn. */
  readonly page: string;
  /** BCP 47 of the words: they are English. */
  readonly language: string;
}

export type Paper =
  | ({ readonly kind: 'slip'; readonly slip: Slip } & PaperHead)
  | ({
      readonly kind: 'label';
      readonly figure: string;
      readonly facts: readonly PaperFact[];
    } & PaperHead)
  | ({
      readonly kind: 'stub';
      readonly promised: string;
      readonly facts: readonly PaperFact[];
    } & PaperHead)
  | ({
      readonly kind: 'letter';
      readonly letter: ClientLetter;
      readonly facts: readonly PaperFact[];
      readonly back: string;
    } & PaperHead)
  | ({
      readonly kind: 'unstrung';
      readonly why: string;
      readonly seen: readonly string[];
    } & PaperHead);

export type PaperKind = Paper['kind'];

export const PAPER_KINDS = [
  'slip',
  'label',
  'stub',
  'letter',
  'unstrung',
] as const satisfies readonly PaperKind[];

/** What each is called, where it is printed. */
export const PAPER_NAMES: Readonly<Record<PaperKind, string>> = {
  slip: 'Slip for the handle',
  label: 'Label for the bag',
  stub: 'Ticket stub',
  letter: 'Letter to the client',
  unstrung: 'Handed back unstrung',
};

/** The sheet that each is laid out for, mm. */
export const PAPER_SIZES: Readonly<Record<PaperKind, readonly [width: number, height: number]>> = {
  slip: [40, 210],
  label: [62, 100],
  stub: [62, 100],
  letter: [210, 297],
  unstrung: [210, 297],
};
