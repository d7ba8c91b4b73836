/** Notes of a frame or a racket, and where they show at the bench. */

/** At which part of the work a note of a frame or a racket shows. */
const NOTE_PLACES = ['inspect', 'mount', 'mains', 'crosses', 'knots'] as const;
export type NotePlace = (typeof NOTE_PLACES)[number];

export interface BenchNote {
  readonly place: NotePlace;
  readonly text: string;
}

/**
 * The notes of a frame or a racket, line by line; a line that begins with `mount:`, `mains:`, `crosses:` or
 * `knots:` shows at that part of the work, any other at the first look.
 *
 * @example
 * benchNotes('mount: adaptor for the sides\nrattles') // [{ place: 'mount', text: 'adaptor for the sides' }, { place: 'inspect', text: 'rattles' }]
 */
export function benchNotes(text: string): readonly BenchNote[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .map((line): BenchNote => {
      const [, word = '', rest = ''] = /^(\w+)\s*:\s*(.+)$/.exec(line) ?? [];
      const named = word.toLowerCase();
      const place = NOTE_PLACES.find((each) => named.length > 2 && each.startsWith(named));
      return place ? { place, text: rest } : { place: 'inspect', text: line };
    });
}
