import { z } from 'zod';
import { parseGauge } from '@/core/measure/gauge';
import { parsePromise, type WallTime } from '@/core/measure/promised-time';
import { parseTicketTension } from '@/core/measure/parsing';
import { lineText, optionalTyped, pickedOrNone, typed, textIn } from '@/core/measure/typed';
import type { TensionUnit } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { formatOrders, parseOrders } from '@/core/tournament/orders';
import type { PlayerFacts } from '@/db/events';

const NO_STRING = 'Which string is that thick? Choose it, or leave the thickness empty.';

/** What a player always wants, and who strings it. */
export const playerSchema = (sport: Sport, unit: TensionUnit) =>
  z
    .object({
      orders: typed((text) => parseOrders(text, sport, unit)),
      mainStringId: pickedOrNone('a string'),
      mainGauge: optionalTyped((text) => parseGauge(text, sport)),
      crossStringId: pickedOrNone('a string'),
      crossGauge: optionalTyped((text) => parseGauge(text, sport)),
      supplied: z.boolean(),
      benchId: pickedOrNone('a bench'),
    })
    .superRefine(({ mainStringId, mainGauge, crossStringId, crossGauge }, context) => {
      const add = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: [path], message });
      if (mainStringId && mainGauge === null) add('mainGauge', 'Which thickness? 1.25.');
      if (crossStringId && crossGauge === null) add('crossGauge', 'Which thickness? 1.25.');
      if (crossStringId && !mainStringId)
        add('mainStringId', 'Choose the string for the mains too.');
      else if (mainGauge !== null && !mainStringId) add('mainStringId', NO_STRING);
      if (crossGauge !== null && !crossStringId) add('crossStringId', NO_STRING);
    })
    .transform(
      ({
        orders,
        mainStringId,
        mainGauge,
        crossStringId,
        crossGauge,
        supplied,
        benchId,
      }): PlayerFacts => ({
        orders: { orders },
        mainStringId: mainStringId || null,
        mainGaugeMm: mainStringId ? mainGauge : null,
        // One string for both, where nothing else is said.
        crossStringId: crossStringId || mainStringId || null,
        crossGaugeMm: crossStringId ? crossGauge : mainStringId ? mainGauge : null,
        supplied,
        benchId: benchId || null,
      }),
    );

export type PlayerEntry = z.input<ReturnType<typeof playerSchema>>;

export const NEW_PLAYER: PlayerFacts = {
  orders: { orders: [] },
  mainStringId: null,
  mainGaugeMm: null,
  crossStringId: null,
  crossGaugeMm: null,
  supplied: false,
  benchId: null,
};

export function playerEntryOf(facts: PlayerFacts): PlayerEntry {
  const { orders, mainStringId, mainGaugeMm, crossStringId, crossGaugeMm } = facts;
  const hybrid = crossStringId !== mainStringId || crossGaugeMm !== mainGaugeMm;
  return {
    orders: formatOrders(orders.orders),
    mainStringId: mainStringId ?? '',
    mainGauge: mainGaugeMm === null ? '' : mainGaugeMm.toFixed(2),
    crossStringId: (hybrid && crossStringId) || '',
    crossGauge: hybrid && crossGaugeMm !== null ? crossGaugeMm.toFixed(2) : '',
    supplied: facts.supplied,
    benchId: facts.benchId ?? '',
  };
}

/** As many come in one bag. */
export const MOST_IN_BAG = 12;

const idOrNone = z.union([z.uuid(), z.literal('')]);

/** A bag over the counter: each racket with its tension. */
export const bagSchema = (sport: Sport, unit: TensionUnit, now: WallTime) =>
  z
    .object({
      lines: z
        .array(
          z.object({
            requestKey: z.uuid(),
            /** Empty for one that was never here. */
            racketId: idOrNone,
            tension: typed((text) => parseTicketTension(text, sport, unit)),
          }),
        )
        .min(1, 'There is no racket in the bag.')
        .max(MOST_IN_BAG, `At most ${MOST_IN_BAG} rackets in a bag.`),
      frameId: idOrNone,
      frameLabel: textIn.max(120, 'Keep the frame’s name under 120 letters.'),
      /** Empty where the match says it. */
      promised: optionalTyped((text) => parsePromise(text, now)),
      wish: lineText('what they ask for'),
    })
    .superRefine(({ lines, frameId, frameLabel }, context) => {
      const add = (path: (string | number)[], message: string) =>
        context.addIssue({ code: 'custom', path, message });
      if (lines.some(({ racketId }) => !racketId) && !frameId && frameLabel.trim() === '')
        add(['frameLabel'], 'Which frame are the new ones? Choose it, or type what stands on it.');
      lines.forEach(({ racketId }, i) => {
        if (racketId && lines.findIndex((other) => other.racketId === racketId) < i)
          add(['lines', i, 'racketId'], 'This racket is in the bag twice.');
      });
    });

export type BagEntry = z.input<ReturnType<typeof bagSchema>>;
