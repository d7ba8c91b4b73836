/** What stands on the small papers of a ticket, whichever way they are laid out. */
import type { ClientLetter } from '../advice/words';
import type { Slip } from './slip';

/** A name and what it says. */
export interface PaperFact {
  readonly name: string;
  readonly value: string;
}

export interface PaperHead {
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
export type PaperOf<K extends PaperKind> = Extract<Paper, { readonly kind: K }>;

/** What each is called where it is printed, and the sheet that it is laid out for, mm. */
export const PAPERS: Readonly<
  Record<
    PaperKind,
    { readonly name: string; readonly sheet: readonly [width: number, height: number] }
  >
> = {
  slip: { name: 'Slip for the handle', sheet: [40, 210] },
  label: { name: 'Label for the bag', sheet: [62, 100] },
  stub: { name: 'Ticket stub', sheet: [62, 100] },
  letter: { name: 'Letter to the client', sheet: [210, 297] },
  unstrung: { name: 'Handed back unstrung', sheet: [210, 297] },
};

/**
 * Whether there is a paper of this name.
 *
 * @example
 * isPaperKind('stub') // true
 */
export const isPaperKind = (text: string): text is PaperKind => Object.hasOwn(PAPERS, text);

export const PAPER_KINDS: readonly PaperKind[] = Object.keys(PAPERS).filter(isPaperKind);
