/** How a bed will play, how long it lasts and what an hour of it costs. Compared, not predicted. */
import type { Newtons } from '../measure/quantities';
import type { Family } from '../terms/family';
import type { Sport } from '../terms/sport';
import type { Talk } from './talk';
import { NEWTONS_PER_KGF, type Pulls } from '../measure/units';
import { MAIN_SHARE, mixesSoftAndMono, type StringClass, type Strung } from './rule';
import { gaugeAbove } from './strung';

export const TRAITS = ['power', 'control', 'comfort', 'spin', 'life', 'holding'] as const;
export type Trait = (typeof TRAITS)[number];
export type Character = Readonly<Record<Trait, number>>;

/**
 * Families side by side, −2 to 2, as the trade describes them (practice); the figures are our own and
 * serve to compare two beds of one racket.
 */
const FAMILY: Record<Family, Character> = {
  'natural gut': { power: 2, control: 0, comfort: 2, spin: 0, life: 0, holding: 2 },
  multifilament: { power: 1, control: 0, comfort: 1.5, spin: -0.5, life: -0.5, holding: 0 },
  'synthetic gut': { power: 0, control: 0.25, comfort: 0.5, spin: -0.5, life: 0, holding: 0 },
  monofilament: { power: -1.5, control: 2, comfort: -2, spin: 2, life: 1.5, holding: -2 },
  aramid: { power: -2, control: 1, comfort: -3, spin: 0, life: 2, holding: 0 },
};

/** What a kilogram more, and a step of thickness more, add. Directions: practice; sizes: from memory. */
const A_KILOGRAM: Character = {
  power: -0.4,
  control: 0.4,
  comfort: -0.4,
  spin: -0.1,
  life: -0.25,
  holding: 0,
};
const A_STEP_THICKER: Character = {
  power: -0.15,
  control: 0.1,
  comfort: -0.25,
  spin: -0.3,
  life: 0.6,
  holding: 0.1,
};

/** Pre-stretch takes out early creep: steadier, stiffer, less lively (practice); sizes from memory. */
const PRE_STRETCHED: Partial<Character> = { holding: 0.5, power: -0.2, comfort: -0.2 };

/** The character of a bed, its tension counted from `referenceN`. */
export function characterOf(
  strung: Strung,
  pulls: Pulls,
  sport: Sport,
  referenceN: Newtons,
  preStretch = false,
): Character {
  const kilograms =
    (MAIN_SHARE * pulls.mainN + (1 - MAIN_SHARE) * pulls.crossN - referenceN) / NEWTONS_PER_KGF;
  const thick = gaugeAbove(strung, sport);
  const bite = strung.mains.shape === 'round' ? 0 : 0.5;
  const of = (trait: Trait) =>
    MAIN_SHARE * FAMILY[strung.mains.family][trait] +
    (1 - MAIN_SHARE) * FAMILY[strung.crosses.family][trait] +
    kilograms * A_KILOGRAM[trait] +
    thick * A_STEP_THICKER[trait] +
    (preStretch ? (PRE_STRETCHED[trait] ?? 0) : 0);
  return {
    power: of('power'),
    control: of('control'),
    comfort: of('comfort'),
    spin: of('spin') + bite,
    // Soft strings beside monofilament are sawn through early.
    life: of('life') - bite - (mixesSoftAndMono(strung) ? 0.5 : 0),
    holding: of('holding'),
  };
}

export type Change = 'much less' | 'less' | 'as now' | 'more' | 'much more';

/**
 * What a difference of character is called. Below a third nobody could tell.
 *
 * @example
 * changeOf(0) // 'as now'
 */
export function changeOf(difference: number): Change {
  if (Math.abs(difference) < 0.35) return 'as now';
  if (difference > 0) return difference > 1.5 ? 'much more' : 'more';
  return difference < -1.5 ? 'much less' : 'less';
}

export type Hours = readonly [least: number, most: number];

/** Hours of play until a string is dead or worn. Tennis: practice, gut from memory; the others from memory. */
const LIFE_HOURS: Record<Family, Hours> = {
  'natural gut': [25, 40],
  multifilament: [15, 20],
  'synthetic gut': [15, 20],
  monofilament: [8, 15],
  aramid: [15, 25],
};
const OTHER_SPORTS: Hours = [10, 20];

/** How hard a family is to break beside synthetic gut. From memory. */
const TOUGHNESS: Record<Family, number> = {
  'natural gut': 0.9,
  multifilament: 0.85,
  'synthetic gut': 1,
  monofilament: 2,
  aramid: 3,
};

/** Weeks until it breaks, by what the client says. */
const BREAKS_AFTER_WEEKS = { 'in days': 0.5, 'in weeks': 3, 'in months': 12 } as const;
/** Hours of one visit to the court. From memory. */
export const HOURS_A_PLAY = 1.5;

const toughness = (strung: Strung, sport: Sport): number =>
  (MAIN_SHARE * TOUGHNESS[strung.mains.family] +
    (1 - MAIN_SHARE) * TOUGHNESS[strung.crosses.family]) *
  (1 + 0.15 * gaugeAbove(strung, sport));

/**
 * @example
 * familyHours('monofilament', 'tennis') // [8, 15]
 */
export const familyHours = (family: Family, sport: Sport): Hours =>
  sport === 'tennis' ? LIFE_HOURS[family] : OTHER_SPORTS;

interface LivedString extends StringClass {
  /** Measured; null goes by the family. */
  readonly lifeHours: number | null;
}

/**
 * Hours of play that a bed is good for: by family or measured, mains for two thirds, a tenth a step of
 * thickness, a fifth less where soft and monofilament cross; and not longer than what the client would
 * need to break it, by what they broke before.
 *
 * @example
 * playingHours({ mains: { family: 'monofilament', gaugeMm: 1.25, shape: 'round', lifeHours: null }, crosses: { family: 'monofilament', gaugeMm: 1.25, shape: 'round', lifeHours: null } }, 'tennis', usual.about.talk, null) // [8, 15]
 */
export function playingHours(
  bed: { readonly mains: LivedString; readonly crosses: LivedString },
  sport: Sport,
  talk: Talk,
  before: Strung | null,
): Hours {
  const of = (string: LivedString, i: 0 | 1) =>
    string.lifeHours === null
      ? familyHours(string.family, sport)[i]
      : string.lifeHours * (i === 0 ? 0.85 : 1.15);
  const factor = (1 + 0.1 * gaugeAbove(bed, sport)) * (mixesSoftAndMono(bed) ? 0.8 : 1);
  const hours = ([0, 1] as const).map(
    (i) => factor * (MAIN_SHARE * of(bed.mains, i) + (1 - MAIN_SHARE) * of(bed.crosses, i)),
  ) as unknown as Hours;
  if (!talk.breaks || talk.breaks === 'never' || !talk.playsAWeek || !before) return hours;
  const breaksAfter =
    (BREAKS_AFTER_WEEKS[talk.breaks] * talk.playsAWeek * HOURS_A_PLAY * toughness(bed, sport)) /
    toughness(before, sport);
  return [Math.min(hours[0], breaksAfter), Math.min(hours[1], breaksAfter)];
}

/** What an hour of play costs, string and labour together, in minor units. */
export const costAnHour = (priceMinor: number, [least, most]: Hours): number =>
  Math.round(priceMinor / Math.max(1, (least + most) / 2));
