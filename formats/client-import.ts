/** Clients out of any table: its columns are mapped by hand once, and each row is answered before anything is kept. */
import { z } from 'zod';
import { lineText, nameText, noteText, sameName, textIn } from '@/core/measure/typed';
import {
  fieldsIn,
  guessColumns,
  tooManyCells,
  type AnsweredRow,
  type Mapping,
  type Sheet,
} from './mapped-table';

export const CLIENT_FIELDS = ['name', 'contact', 'address', 'notes'] as const;
export type ClientField = (typeof CLIENT_FIELDS)[number];

const clientRowSchema = z.object({
  name: nameText('the client’s name'),
  contact: lineText('the contact'),
  address: textIn.trim().max(400, 'Keep the address under 400 letters.'),
  notes: noteText,
});
export type ClientRow = z.output<typeof clientRowSchema>;

const HINTS = [
  ['contact', /mail|phone|tel|mobile|contact|kontakt|handy|correo|courriel|móvil/i],
  [
    'address',
    /address|street|town|city|zip|post|adress|straße|strasse|\bort\b|plz|rue|ville|calle|ciudad|direcci/i,
  ],
  ['notes', /note|remark|comment|notiz|bemerkung|anmerkung|remarque|nota|observaci/i],
  [
    'name',
    /name|client|customer|player|kunde|spieler|nom\b|prénom|nome|nombre|apellido|cliente|jugador|joueur/i,
  ],
] as const;

export const guessClients = (head: readonly string[]): Mapping<ClientField> =>
  guessColumns<ClientField>(HINTS, head);

const JOINED: Readonly<Record<ClientField, string>> = {
  name: ' ',
  contact: ', ',
  address: '\n',
  notes: '\n',
};

/**
 * Each row with what would become of it. A name that is known, or that stood in the table before, is left out, so
 * that a table that is brought in twice changes nothing.
 *
 * @param known names as `sameName` has them
 */
export function answerClients(
  sheet: Sheet,
  mapping: Mapping<ClientField>,
  known: ReadonlySet<string>,
): readonly AnsweredRow<ClientRow>[] {
  const seen = new Set(known);
  return sheet.rows.map((cells, i): AnsweredRow<ClientRow> => {
    const line = sheet.lines[i] ?? i + 2;
    const fields = fieldsIn(cells, mapping, JOINED);
    const read = clientRowSchema.safeParse(fields);
    const { name } = fields;
    const beyond = tooManyCells(cells, sheet);
    if (beyond) return { line, state: 'wrong', name, why: beyond };
    if (!read.success)
      return { line, state: 'wrong', name, why: read.error.issues[0]?.message ?? '' };
    const same = sameName(name);
    if (seen.has(same)) return { line, state: 'here already', name };
    seen.add(same);
    return { line, state: 'new', row: read.data };
  });
}
