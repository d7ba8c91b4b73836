/** Advice: the setups a stringer would lay before this client for this racket, each with every reason. */
import type { Mm, Newtons } from '../measure/quantities';
import { preStretches } from '../house/house-rules';
import type { Method } from '../terms/method';
import { stringPrice } from '../measure/money';
import { roundTo, type TensionUnit } from '../measure/units';
import {
  changeOf,
  characterOf,
  costAnHour,
  playingHours,
  TRAITS,
  type Change,
  type Hours,
  type Trait,
} from './character';
import { conflictsOf, type Conflict } from './conflicts';
import {
  groundsOf,
  isHybridBed,
  type AdviceCase,
  type Grounds,
  type Rank,
  type Rule,
  type Strung,
} from './rule';
import { rulesInForce } from './rules';
import { setupKinds, strungAs, thicknessWanted, type SetupKind } from './setups';
import { offersFor, type Offer, type ShelfString } from './shelf';
import { climb, type Staircase } from './staircase';
import type { Switched } from './small-steps';
import { firmness, usualGaugeMm } from './strung';

export interface Reason extends Grounds {
  /** For the setup above zero, against it below. */
  readonly points: number;
}

/** One string of a bed as it can be cut from the shelf; `string` is missing when nothing fits. */
export interface BedString {
  readonly gaugeMm: Mm;
  readonly string: ShelfString | undefined;
}

export interface Outlook {
  /** Beside what the client has now; beside a plain multifilament bed when nobody knows that. */
  readonly changes: Readonly<Record<Trait, Change>>;
  /** The same as figures, about −3 to 3, to be drawn. */
  readonly differences: Readonly<Record<Trait, number>>;
  readonly hours: Hours;
  /** Strings alone, minor units; undefined when one is not on the shelf. */
  readonly priceMinor: number | undefined;
  /** String and labour, minor units an hour of play. */
  readonly hourMinor: number | undefined;
}

export interface Proposal extends Outlook {
  readonly kind: SetupKind;
  readonly strung: Strung;
  readonly offers: { readonly mains: readonly Offer[]; readonly crosses: readonly Offer[] };
  readonly points: number;
  readonly reasons: readonly Reason[];
  readonly staircase: Staircase;
  readonly firmnessN: Newtons;
  /** Set when only one method takes it. */
  readonly method: Extract<Method, 'two-piece'> | undefined;
  readonly preStretch: boolean;
  /** What safety or an arm says against it; empty for what may be offered. */
  readonly against: readonly Reason[];
}

export interface Advice {
  /** The best first, and the first three of different groups; nothing that safety or an arm speaks against. */
  readonly proposals: readonly Proposal[];
  /** What is taken only on the stringer's own word. */
  readonly notAdvised: readonly Proposal[];
  readonly conflicts: readonly Conflict[];
  /** Rules that hold and move no figure. */
  readonly tells: readonly Grounds[];
}

export interface AdviceMeans {
  readonly shelf: readonly ShelfString[];
  readonly labourMinor: number;
  readonly unit: TensionUnit;
  readonly switched?: Switched;
}

/**
 * Everything that can be said to this client about this racket.
 *
 * @example
 * advise(usual.about, { shelf: [], labourMinor: 1800, unit: 'kg', switched: {} }).proposals[0].kind.name // 'full multifilament'
 */
export function advise(about: AdviceCase, means: AdviceMeans): Advice {
  const { sport } = about.spec;
  const inForce = rulesInForce(about);
  const thicker = thicknessWanted(inForce);
  const ranked = setupKinds(sport)
    .map((kind) => proposalOf(kind, strungAs(kind, sport, thicker), about, inForce, means))
    // Among equals the softer one stands first.
    .toSorted((a, b) => roundTo(b.points - a.points, 1e-6) || a.firmnessN - b.firmnessN);
  const beds = distinct(ranked);
  return {
    proposals: differentFirst(beds.filter(({ against }) => against.length === 0)),
    notAdvised: beds.filter(({ against }) => against.length > 0),
    conflicts: conflictsOf(about),
    tells: inForce.filter(({ tells }) => tells).map(groundsOf),
  };
}

function proposalOf(
  kind: SetupKind,
  wanted: Strung,
  about: AdviceCase,
  inForce: readonly Rule[],
  means: AdviceMeans,
): Proposal {
  const { sport } = about.spec;
  const offers = {
    mains: offersFor(wanted.mains, means.shelf, sport, about.talk),
    crosses: offersFor(wanted.crosses, means.shelf, sport, about.talk),
  };
  const [mains, crosses] = [offers.mains[0], offers.crosses[0]];
  const found = (string: Strung['mains'], offer: Offer | undefined): Strung['mains'] =>
    offer ? { ...string, gaugeMm: offer.gaugeMm, shape: offer.string.shape } : string;
  const strung = { mains: found(wanted.mains, mains), crosses: found(wanted.crosses, crosses) };
  const staircase = climb(about, strung, means.unit, means.switched);
  const reasons = reasonsFor(strung, about, inForce);
  return {
    kind,
    strung,
    offers,
    reasons,
    against: spokenAgainst(reasons),
    points: pointsOf(kind, reasons),
    staircase,
    firmnessN: firmness(strung, staircase.exact, sport),
    method: isHybridBed(strung) ? 'two-piece' : undefined,
    preStretch: wantsPreStretch(strung, about),
    ...outlook(
      about,
      {
        mains: { gaugeMm: strung.mains.gaugeMm, string: mains?.string },
        crosses: { gaugeMm: strung.crosses.gaugeMm, string: crosses?.string },
      },
      strung,
      staircase,
      means.labourMinor,
    ),
  };
}

/** What stands first when nobody has said anything, and then by a hair. From memory. */
const BASE_POINTS: Readonly<Record<string, number>> = {
  'full multifilament': 0.5,
  'full synthetic gut': 0.3,
  'monofilament and synthetic gut': 0.25,
  'monofilament and multifilament': 0.2,
  'full monofilament': 0.15,
  'multifilament and synthetic gut': 0.1,
  'thick and thin monofilament': -0.3,
  'all-round': 0.5,
  multifilament: 0.5,
};

const pointsOf = ({ name }: SetupKind, reasons: readonly Reason[]): number =>
  reasons.reduce((sum, { points }) => sum + points, BASE_POINTS[name] ?? 0);

/**
 * The bed that the rules speak for most, whatever lies on the shelf.
 *
 * @example
 * bestBed(usual.about).mains.family // 'multifilament'
 */
export function bestBed(about: AdviceCase): Strung {
  const { sport } = about.spec;
  const inForce = rulesInForce(about);
  const thicker = thicknessWanted(inForce);
  const beds = setupKinds(sport).map((kind) => {
    const strung = strungAs(kind, sport, thicker);
    return { strung, points: pointsOf(kind, reasonsFor(strung, about, inForce)) };
  });
  const [best, ...others] = beds;
  if (!best) throw new Error(`There is no kind of setup for ${sport}.`);
  return others.reduce((a, b) => (b.points > a.points + 1e-9 ? b : a), best).strung;
}

/**
 * Every rule that speaks for or against a bed, the weightiest first.
 *
 * @example
 * reasonsFor(usual.strung, usual.about).length // 0
 */
export function reasonsFor(
  strung: Strung,
  about: AdviceCase,
  inForce: readonly Rule[] = rulesInForce(about),
): readonly Reason[] {
  return inForce
    .flatMap((rule) => {
      const { favours } = rule;
      if (!favours) return [];
      const points = favours(strung, about);
      return Math.abs(points) < 0.05 ? [] : [{ ...groundsOf(rule), points }];
    })
    .toSorted((a, b) => Math.abs(b.points) - Math.abs(a.points));
}

/** Ranks whose word stands before every wish: what they speak against is not offered. */
const PROTECTING: readonly Rank[] = ['frame limits', 'safety', 'arm'];
/** A rule of theirs that takes this many points and more speaks against a bed; less is a matter of taste. */
const SPEAKS_AGAINST = -0.3;

/**
 * The reasons of safety and of the arm against a bed, the weightiest first.
 *
 * @example
 * spokenAgainst(reasonsFor(usual.strung, usual.about)) // []
 */
export const spokenAgainst = (reasons: readonly Reason[]): readonly Reason[] =>
  reasons.filter(({ rank, points }) => PROTECTING.includes(rank) && points <= SPEAKS_AGAINST);

/** The shelf may turn two kinds into the same bed; it is offered once. */
function distinct(ranked: readonly Proposal[]): readonly Proposal[] {
  const seen = new Set<string>();
  return ranked.filter(({ strung, offers }) => {
    const bed = JSON.stringify([
      strung,
      offers.mains[0]?.string.id ?? '',
      offers.crosses[0]?.string.id ?? '',
    ]);
    return !seen.has(bed) && seen.add(bed);
  });
}

/** The best of each group in front, so that the first three truly differ. */
function differentFirst(ranked: readonly Proposal[]): readonly Proposal[] {
  const seen = new Set<string>();
  const first = ranked.filter(({ kind }) => {
    if (seen.has(kind.group) || seen.size === 3) return false;
    seen.add(kind.group);
    return true;
  });
  return [...first, ...ranked.filter((proposal) => !first.includes(proposal))];
}

const wantsPreStretch = ({ mains, crosses }: Strung, { house }: AdviceCase): boolean =>
  preStretches(house, mains.family) || preStretches(house, crosses.family);

/** A plain bed to compare with when nobody knows what the client has now. */
function usualBed(about: AdviceCase): Strung {
  const string = {
    family: 'multifilament',
    gaugeMm: usualGaugeMm('multifilament', about.spec.sport),
    shape: 'round',
  } as const;
  return { mains: string, crosses: string };
}

/** How a bed will play beside what the client has now, how long, and what an hour of it costs. */
export function outlook(
  about: AdviceCase,
  bed: { readonly mains: BedString; readonly crosses: BedString },
  strung: Strung,
  { exact, steps }: Pick<Staircase, 'exact' | 'steps'>,
  labourMinor: number,
): Outlook {
  const { spec, talk, last } = about;
  const referenceN = steps[0]?.after.mainN ?? exact.mainN;
  const usual = usualBed(about);
  const now = last?.strung
    ? characterOf(last.strung, last.tension, spec.sport, referenceN)
    : characterOf(usual, { mainN: referenceN, crossN: referenceN }, spec.sport, referenceN);
  const then = characterOf(strung, exact, spec.sport, referenceN, wantsPreStretch(strung, about));
  const life = (string: Strung['mains'], from: BedString) => ({
    ...string,
    lifeHours: from.string?.lifeHours ?? null,
  });
  const hours = playingHours(
    { mains: life(strung.mains, bed.mains), crosses: life(strung.crosses, bed.crosses) },
    spec.sport,
    talk,
    last?.strung ?? null,
  );
  const price = ({ string }: BedString) =>
    string && { setMinor: string.setPriceMinor, suppliedByClient: false };
  const [mains, crosses] = [price(bed.mains), price(bed.crosses)];
  const priceMinor = mains && crosses ? stringPrice(mains, crosses) : undefined;
  const differences = Object.fromEntries(
    TRAITS.map((trait) => [trait, then[trait] - now[trait]]),
  ) as Record<Trait, number>;
  const changes = Object.fromEntries(
    TRAITS.map((trait) => [trait, changeOf(differences[trait])]),
  ) as Record<Trait, Change>;
  return {
    differences,
    changes,
    hours,
    priceMinor,
    hourMinor: priceMinor === undefined ? undefined : costAnHour(priceMinor + labourMinor, hours),
  };
}
