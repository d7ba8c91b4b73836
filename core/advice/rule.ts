/** What a rule of advice is made of. A rule is data and a few small pure functions; adding one touches one file. */
import type { Mm, Newtons } from '../measure/quantities';
import { isSoftFamily, type Family, type Shape } from '../terms/family';
import type { FrameSpec } from '../frame/frame';
import type { HouseQuestionName, HouseRules } from '../house/house-rules';
import type { Sport } from '../terms/sport';
import { english, type MessageKey } from '../terms/words/english';
import type { PullKind } from '../house/machine';
import type { Talk } from './talk';
import { newtons, type Pulls, type TicketTension } from '../measure/units';

/** One string as advice sees it. */
export interface StringClass {
  readonly family: Family;
  readonly gaugeMm: Mm;
  readonly shape: Shape;
}

/** What a bed is strung with. */
export interface Strung {
  readonly mains: StringClass;
  readonly crosses: StringClass;
}

/** The job before this one on the same racket, or what the client says was in it. */
export interface LastJob {
  /** Null when only the figure is known. */
  readonly strung: Strung | null;
  readonly tension: TicketTension;
  /** What advice had made of it; null where nobody advised, or nobody wrote it down. */
  readonly advised: Pulls | null;
  readonly pull: PullKind | null;
  /** What was said then; null when nobody wrote it down. */
  readonly talk: Talk | null;
  /** Beds of this racket that its client would not take again. */
  readonly left?: readonly Strung[];
}

/** What crosses end at on a frame, as what its hoop does while it is strung says. */
export interface CrossesEnd {
  /** By how much they end below what they were set to, as a share of it. */
  readonly shortShare: number;
  /** How much of a higher pull they keep. */
  readonly gain: number;
  /** The hoop was measured, not remembered. */
  readonly measured: boolean;
}

/** Everything that advice is given on. */
export interface AdviceCase {
  readonly spec: FrameSpec;
  readonly areaMm2: number;
  readonly talk: Talk;
  readonly house: HouseRules;
  readonly last: LastJob | undefined;
  /** Where somebody worked it out. */
  readonly crossesEnd?: CrossesEnd;
}

/** How rules yield to each other: one that stands further left wins over all that stand right of it. */
export const RANKS = ['frame limits', 'safety', 'arm', 'wish', 'house rule', 'default'] as const;
export type Rank = (typeof RANKS)[number];

export type Source = 'common practice' | 'from memory' | { readonly published: string };

/** How far to trust the size of an effect. */
export type Confidence = 'sure' | 'usual' | 'loose';

/** What is told of a rule wherever it shows. */
export interface Grounds {
  readonly id: string;
  readonly title: string;
  /** One plain sentence. */
  readonly why: string;
  readonly rank: Rank;
  readonly confidence: Confidence;
  readonly source: Source;
}

export const groundsOf = ({ id, title, why, rank, confidence, source }: Grounds): Grounds => ({
  id,
  title,
  why,
  rank,
  confidence,
  source,
});

/** A rule has its words in `terms/words/advice`; one without them does not compile. */
type RuleId = Exclude<
  MessageKey extends infer Key ? (Key extends `rule.${infer Id}.why` ? Id : never) : never,
  `crosses.${Sport}`
>;

/**
 * What a rule is called and why it holds.
 *
 * @example
 * inWords('junior').title // 'Junior'
 */
export const inWords = (id: RuleId): Pick<Grounds, 'id' | 'title' | 'why'> => ({
  id,
  title: english({ key: `rule.${id}`, values: {} }),
  why: english({ key: `rule.${id}.why`, values: {} }),
});

interface RuleFacts extends Grounds {
  readonly sports: readonly Sport[];
  /** The question of the house on which schools differ. */
  readonly school?: HouseQuestionName;
}

export interface Rule extends RuleFacts {
  readonly applies: (about: AdviceCase) => boolean;
  /**
   * A small step, N, on mains and crosses together. `feel` steps yield to a higher rank that pulls the
   * other way; `place` steps keep the feel the same where the ball flies differently, and yield to nothing.
   */
  readonly small?: { readonly kind: 'feel' | 'place'; readonly byN: (about: AdviceCase) => number };
  /** It says what to change about the last job, so it counts in full when that job is the start. */
  readonly aboutLastJob?: true;
  /** It has no meaning where something else than the last job is the start. */
  readonly onlyFromLastJob?: true;
  /** It counts beside what small reasons may add up to: nobody’s growing arm waits for the next job. */
  readonly unbound?: true;
  /** It was as true when the last job was strung, whatever was written down then. */
  readonly standing?: true;
  /** Once it was reckoned in, it may stay when its reason has gone. */
  readonly mayStay?: true;
  /** How many points a bed gains by it among the setups. */
  readonly favours?: (strung: Strung, about: AdviceCase) => number;
  /** Steps of thickness: thicker above zero. */
  readonly thicker?: number;
  /** Worth telling, though it moves no figure. */
  readonly tells?: true;
}

/** Turns one reference pull into the figures of two strings, N each. */
export interface Translation extends RuleFacts {
  /** From one string to two of a bed, which a last job has behind it; or from another machine. */
  readonly kind: 'bed' | 'machine';
  /** It counts only when the stringer says so. */
  readonly offered?: true;
  readonly applies: (about: AdviceCase, strung: Strung) => boolean;
  readonly by: (about: AdviceCase, strung: Strung, referenceN: Newtons) => Pulls;
}

/** The smallest step that is felt, and the usual one. Common practice: half a kilogram, 1 to 2 kg a time. */
export const HALF_STEP_N = newtons(0.5, 'kg');
export const STEP_N = newtons(1, 'kg');

export const isSoft = ({ family }: StringClass): boolean => isSoftFamily(family);
export const isMonofilament = ({ family }: StringClass): boolean => family === 'monofilament';

/** A soft string beside a monofilament, whichever way round. */
export const mixesSoftAndMono = ({ mains, crosses }: Strung): boolean =>
  (isSoft(mains) && isMonofilament(crosses)) || (isMonofilament(mains) && isSoft(crosses));

/** Two strings, or two thicknesses of one: such a job needs two pieces. */
export const isHybridBed = ({ mains, crosses }: Strung): boolean =>
  mains.family !== crosses.family ||
  mains.gaugeMm !== crosses.gaugeMm ||
  mains.shape !== crosses.shape;

/** The mains dominate what is felt: two thirds of it. From memory. */
export const MAIN_SHARE = 2 / 3;

/** By how much the last bed was strung firmer than it was advised, N; nothing where nobody knows. */
export const aboveAdvice = ({ last }: AdviceCase): Newtons =>
  last?.advised ? Math.max(0, last.tension.mainN - last.advised.mainN) : 0;

/** How much of a bed's feel comes from strings for which `holds` is true, 0 to 1. */
export const shareOf = (strung: Strung, holds: (string: StringClass) => boolean): number =>
  (holds(strung.mains) ? MAIN_SHARE : 0) + (holds(strung.crosses) ? 1 - MAIN_SHARE : 0);
