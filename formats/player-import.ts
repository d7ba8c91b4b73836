/** Players of a tournament out of any table, such as an entry list: who plays, how to reach them, and their standing orders. */
import { z } from 'zod';
import { lineText, nameText, typed } from '@/core/measure/typed';
import type { TensionUnit } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { parseOrders } from '@/core/tournament/orders';
import { guessColumns, type AnsweredRow, type Mapping, type Sheet } from './mapped-table';
import { answerNamed } from './named-rows';

export const PLAYER_FIELDS = ['name', 'contact', 'orders'] as const;
export type PlayerField = (typeof PLAYER_FIELDS)[number];

/** By what the orders are read. */
export interface PlayersAsked {
  readonly sport: Sport;
  readonly unit: TensionUnit;
}

const playerRowSchema = ({ sport, unit }: PlayersAsked) =>
  z.object({
    name: nameText('the player’s name'),
    contact: lineText('the contact'),
    // In a table several orders stand in one cell.
    orders: typed((text) => parseOrders(text.replaceAll(';', '\n'), sport, unit)),
  });
export type PlayerRow = z.output<ReturnType<typeof playerRowSchema>>;

const HINTS = [
  ['contact', /mail|phone|tel|mobile|contact|kontakt|handy|correo|móvil/i],
  ['orders', /order|rackets|tension|wants|schläger|bespannung|härte|cordage|tensión|pedido/i],
  ['name', /name|player|entr(y|ant)|spieler|nom\b|prénom|nome|nombre|apellido|jugador|joueur/i],
] as const;

export const guessPlayers = (head: readonly string[]): Mapping<PlayerField> =>
  guessColumns<PlayerField>(HINTS, head);

const JOINED: Readonly<Record<PlayerField, string>> = { name: ' ', contact: ', ', orders: '\n' };

/**
 * Each row with what would become of it.
 *
 * @param known names of who plays already, as `sameName` has them
 */
export const answerPlayers = (
  sheet: Sheet,
  mapping: Mapping<PlayerField>,
  asked: PlayersAsked,
  known: ReadonlySet<string>,
): readonly AnsweredRow<PlayerRow>[] =>
  answerNamed(sheet, mapping, JOINED, playerRowSchema(asked), known);
