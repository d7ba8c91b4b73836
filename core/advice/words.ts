/** Advice in words: for the stringer to read aloud, and for the client to take home. */
import type { Mm } from '../measure/quantities';
import { gaugeNumbers } from '../measure/gauge';
import {
  TICKET_STEP,
  formatTension,
  formatTicket,
  formatTicketInBoth,
  inTensionUnit,
  roundToTicketStep,
  type Pulls,
  type TensionUnit,
  type TicketTension,
} from '../measure/units';
import { TRAITS, type Change, type Hours, type Trait } from './character';
import type { Reason } from './advise';
import { isHybrid } from '../strings/job-string';
import { listed } from '../terms/listed';
import { ARM_CAUTION } from './talk';
import type { AdviceCase, Confidence, LastJob, Source } from './rule';
import type { Step } from './staircase';

/**
 * @example
 * sourceWords('from memory') // 'from memory'
 */
export const sourceWords = (source: Source): string =>
  typeof source === 'string' ? source : `published: ${source.published}`;

export const CONFIDENCE_WORDS: Record<Confidence, string> = {
  sure: 'sure',
  usual: 'usual, sizes differ',
  loose: 'loose, schools differ',
};

const signed = (n: number, unit: TensionUnit): string =>
  `${n > 0 ? '+' : n < 0 ? '−' : '±'}${inTensionUnit(Math.abs(n), unit, 0.1)}`;

/**
 * What a step moves: `−1.5 kg` for both strings, `−2/+2 lb` when they differ.
 *
 * @example
 * byWords({ mainN: newtons(-1.5, 'kg'), crossN: newtons(-1.5, 'kg') }, 'kg') // '−1.5 kg'
 */
export const byWords = ({ mainN, crossN }: Pulls, unit: TensionUnit): string =>
  Math.abs(mainN - crossN) < 1e-9
    ? `${signed(mainN, unit)} ${unit}`
    : `${signed(mainN, unit)}/${signed(crossN, unit)} ${unit}`;

/**
 * How what was typed differs from the advice, in words; nothing when it does not.
 *
 * @example
 * differenceWords(usual.tension, usual.tension) // undefined
 */
export function differenceWords(typed: TicketTension, advised: Pulls): string | undefined {
  const by = { mainN: typed.mainN - advised.mainN, crossN: typed.crossN - advised.crossN };
  const figure = byWords(by, typed.unit);
  const largest = Math.max(Math.abs(by.mainN), Math.abs(by.crossN));
  if (inTensionUnit(largest, typed.unit, 0.1) === 0) return undefined;
  return inTensionUnit(largest, typed.unit) < TICKET_STEP[typed.unit] - 1e-6
    ? `${figure} from the advice, which is hardly felt`
    : `${figure} from the advice`;
}

/**
 * How the new figures stand to the last job, when the difference is hardly felt.
 *
 * @example
 * hardlyFelt(usual.tension, undefined) // undefined
 */
export function hardlyFelt(ticket: TicketTension, last: LastJob | undefined): string | undefined {
  if (!last) return undefined;
  const largest = Math.max(
    Math.abs(ticket.mainN - last.tension.mainN),
    Math.abs(ticket.crossN - last.tension.crossN),
  );
  const figure = inTensionUnit(largest, ticket.unit);
  if (figure === 0) return 'The same figures as last time.';
  if (figure > TICKET_STEP[ticket.unit] + 1e-6) return undefined;
  return `Only ${inTensionUnit(largest, ticket.unit, 0.1)} ${ticket.unit} from last time, which is hardly felt.`;
}

/**
 * @example
 * hoursWords([8, 15]) // '8 to 15 h'
 */
export const hoursWords = ([least, most]: Hours): string => {
  const [from, to] = [Math.max(1, Math.round(least)), Math.max(1, Math.round(most))];
  return from === to ? `${from} h` : `${from} to ${to} h`;
};

const TRAIT_WORDS: Record<Trait, string> = {
  power: 'power',
  control: 'control',
  comfort: 'comfort',
  spin: 'spin',
  life: 'life',
  holding: 'tension holding',
};

/**
 * `more comfort and power, less spin`; nothing when all stays as it is.
 *
 * @example
 * changeWords({ power: 'more', control: 'same', comfort: 'more', spin: 'same', life: 'less', holding: 'same' }) // 'more power and comfort, less life'
 */
export function changeWords(changes: Readonly<Record<Trait, Change>>): string {
  const with_ = (change: Change) =>
    TRAITS.filter((trait) => changes[trait] === change).map((trait) => TRAIT_WORDS[trait]);
  const groups = (['much more', 'more', 'less', 'much less'] as const).flatMap((change) => {
    const traits = with_(change);
    return traits.length > 0 ? [`${change} ${listed(traits)}`] : [];
  });
  return groups.join(', ');
}

const gaugeWords = (mm: Mm): string =>
  `${mm.toFixed(2)} mm${gaugeNumbers(mm)[0] ? ` (gauge ${gaugeNumbers(mm).join(' or ')})` : ''}`;

interface NamedString {
  readonly name: string;
  readonly family: string;
  readonly gaugeMm: Mm;
}

interface ClientWords {
  readonly about: Pick<AdviceCase, 'talk' | 'last'>;
  readonly mains: NamedString;
  readonly crosses: NamedString;
  /** What will be pulled. How it stands to the advice is between the stringer and the record. */
  readonly ticket: TicketTension;
  readonly steps: readonly Step[];
  readonly reasons: readonly Reason[];
  readonly changes: Readonly<Record<Trait, Change>>;
  readonly hours: Hours;
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** What the client is told, part by part, so that a letter can set them apart. */
export interface ClientLetter {
  readonly wentIn: string;
  readonly whyString: string | null;
  readonly whyTension: string | null;
  readonly expect: string | null;
  readonly lasts: string;
  readonly care: string | null;
}

/**
 * The letter in one run of words, to be read aloud or pasted into a message.
 *
 * @example
 * letterWords({ wentIn: 'A.', whyString: null, whyTension: null, expect: null, lasts: 'B.', care: null }) // 'A. B.'
 */
export const letterWords = (letter: ClientLetter): string =>
  [letter.wentIn, letter.whyString, letter.whyTension, letter.expect, letter.lasts, letter.care]
    .filter((part) => part !== null)
    .join(' ');

/** Why this string and this tension, in words that a player understands. */
export function letterForClient(words: ClientWords): ClientLetter {
  const { mains, crosses, ticket, steps, reasons, changes, hours, about } = words;
  const one = !isHybrid(words);
  const named = ({ name, family, gaugeMm }: NamedString) =>
    `${name}, a ${family} of ${gaugeWords(gaugeMm)}`;
  const wentIn = one
    ? `Your racket got ${named(mains)}, at ${formatTicketInBoth(ticket)}, mains before crosses.`
    : `Your racket got two strings: in the mains ${named(mains)}; in the crosses ${named(crosses)}; at ${formatTicketInBoth(ticket)}, mains before crosses.`;
  const spoken = reasons.filter(({ points }) => points > 0.4).slice(0, 2);
  const whyString =
    spoken.length > 0
      ? `Why this string: ${spoken.map(({ title, why }) => `${lower(title)} – ${lower(why)}`).join(' ')}`
      : null;
  const whyTension = tensionReasons(ticket, steps);
  const change = changeWords(changes);
  return {
    wentIn,
    whyString,
    whyTension,
    expect: change
      ? `Beside ${about.last?.strung ? 'what you had' : 'a plain soft bed'} expect ${change}.`
      : null,
    lasts: `It is good for about ${hoursWords(hours)} of play. A string loses 5 to 10 % of its tension before the first ball, so judge it after an hour.`,
    care: about.talk.arm === 'now' || about.talk.arm === 'before' ? ARM_CAUTION : null,
  };
}

/** No more reasons than anybody keeps in mind. */
const MOST_REASONS = 3;

/**
 * By how much what was pulled stands off what the advice started from, and the reasons that went that way; none where it
 * stands where it was, or where it was pulled the other way than the reasons say.
 */
function tensionReasons(ticket: TicketTension, steps: readonly Step[]): string | null {
  const [start, ...rest] = steps;
  if (!start) return null;
  const { unit } = ticket;
  const of = lower(start.title).replace('the client asks', 'you asked');
  const beside = `Beside ${of}, ${startFigure(start, unit)},`;
  const on = (n: number) => inTensionUnit(n, unit, TICKET_STEP[unit]);
  const [mains, crosses] = [
    on(ticket.mainN) - on(roundToTicketStep(start.after.mainN, unit)),
    on(ticket.crossN) - on(roundToTicketStep(start.after.crossN, unit)),
  ];
  const way = Math.sign(Math.abs(mains) >= Math.abs(crosses) ? mains : crosses);
  if (way === 0) return `Why this tension: it is ${of}, ${startFigure(start, unit)}.`;
  const why = rest
    // What holds the others back is no reason of its own.
    .filter(
      ({ id, state, by }) =>
        id !== 'bound' && state.is === 'in' && Math.sign(by.mainN + by.crossN) === way,
    )
    .toSorted((a, b) => Math.abs(b.by.mainN + b.by.crossN) - Math.abs(a.by.mainN + a.by.crossN))
    .slice(0, MOST_REASONS)
    .map(({ title }) => `“${lower(title).replace(/^wants /, 'you want ')}”`);
  const figure = (by: number) => `${Number(Math.abs(by).toFixed(2))} ${unit}`;
  const off = (by: number, where: string) =>
    Math.abs(by) < 1e-9 ? [] : [`${figure(by)} ${by > 0 ? 'higher' : 'lower'}${where}`];
  const said =
    Math.abs(mains - crosses) < 1e-9
      ? off(mains, '')
      : [...off(mains, ' in the mains'), ...off(crosses, ' in the crosses')];
  return `Why this tension: ${lower(beside)} it went in ${listed(said)}${why.length > 0 ? `, for ${listed(why)}` : ''}.`;
}

/** Where it starts, no finer than a ticket is written. */
function startFigure({ after }: Step, unit: TensionUnit): string {
  const mainN = roundToTicketStep(after.mainN, unit);
  const crossN = roundToTicketStep(after.crossN, unit);
  return mainN === crossN ? formatTension(mainN, unit) : formatTicket({ mainN, crossN, unit });
}
