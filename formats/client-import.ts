/** Clients out of any table: its columns are mapped by hand once, and each row is answered before anything is kept. */
import { z } from 'zod';
import { lineText, nameText, noteText, textIn } from '@/core/measure/typed';
import { guessColumns, type AnsweredRow, type Mapping, type Sheet } from './mapped-table';
import { answerNamed } from './named-rows';

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
 * Each row with what would become of it.
 *
 * @param known names as `sameName` has them
 */
export const answerClients = (
  sheet: Sheet,
  mapping: Mapping<ClientField>,
  known: ReadonlySet<string>,
): readonly AnsweredRow<ClientRow>[] => answerNamed(sheet, mapping, JOINED, clientRowSchema, known);
