/** Which stories explain a bed, by Bayes' rule over none, one, or two of them at once. */
import { STRAIGHT_MM, type BedSeen } from './seen';
import {
  OUTCOMES,
  signsOf,
  SIGNS,
  type BedFacts,
  type FigureSign,
  type Sign,
  type SignSeen,
} from './signs';
import { lawsFor, priorOf, STORIES, touches, type Mixed, type Story } from './stories';

/** Above it a reading is sure. */
const SURE = 0.97;
/** Above it a story is likelier than all that speaks against it. */
const LIKELY = 0.6;
/** A sign speaks for or against a story from there on, as a ratio of chances. */
const SPEAKS = 2;
/** Less than that no further look would tell, bits. */
const LEAST_BITS = 0.02;

type Told = 'sure' | 'likely' | 'open';

interface RankedStory {
  /** Null: the bed is as it should be. */
  readonly story: Story | null;
  /** What is likely true as well where this explains the most. */
  readonly beside: readonly Story[];
  /** How likely it is that it explains the most of what is seen: of all stories, one does, and they add up to one. */
  readonly chance: number;
  readonly for: readonly SignSeen[];
  readonly against: readonly SignSeen[];
}

export interface BedReading {
  readonly told: Told;
  /** The likeliest first. */
  readonly ranked: readonly RankedStory[];
  /** Stories that are likelier than not. */
  readonly found: readonly Story[];
  /** It tells something: a story that is likelier than not, or that there is likely none. */
  readonly tells: boolean;
  /** What to look at next to tell the first from the second, the most telling first. */
  readonly lookAt: readonly Sign[];
  /** Nothing that was seen says from which end the crosses came. */
  readonly directionOpen: boolean;
}

const density = (x: number, mean: number, sd: number): number =>
  Math.exp(-(((x - mean) / sd) ** 2) / 2) / (sd * Math.sqrt(2 * Math.PI));

/** So seldom anything at all is seen: no story is ruled out by one slip. From memory. */
const SLIP = 1e-4;

/** Beyond it a figure says no more than there, so that a larger one never speaks less for what it speaks for. From memory. */
const SAYS_MOST: Readonly<Record<FigureSign, readonly [least: number, most: number]>> = {
  'cross bow': [-4, 4],
  'main bow': [-3, 3],
  balance: [-4.5, 4.5],
  pitch: [0.78, 1],
};

function chanceOf(seen: SignSeen, law: Mixed): number {
  if ('outcome' in seen) return (law.plain?.[seen.outcome] ?? 0) + SLIP;
  const [least, most] = SAYS_MOST[seen.sign];
  const value = Math.max(least, Math.min(most, seen.value));
  return (
    (law.figure ?? []).reduce(
      (sum, { share, mean, sd }) => sum + share * density(value, mean, sd),
      0,
    ) + SLIP
  );
}

/** Then nothing says from which end the crosses came. */
const isStraight = ({ crossBow }: BedSeen): boolean =>
  crossBow !== null && (crossBow.towards === 'neither' || crossBow.mm < STRAIGHT_MM);

/** What looks as on any other bed when it was straightened afterwards: a straight bed says nothing about direction. */
const CAN_BE_HIDDEN: Story = 'crosses from the throat up';

/**
 * How likely a sign is where some stories are true of a bed. Two causes of one sign make it no less likely than either, and
 * what is normal no likelier.
 */
function likelihood(seen: SignSeen, stories: readonly Story[], facts: BedFacts): number {
  const touching = stories.filter((story) => touches(story, seen.sign));
  const normal = chanceOf(seen, lawsFor(seen.sign, [], facts));
  if (touching.length === 0) return normal;
  const each = touching.map((story) => {
    const chance = chanceOf(seen, lawsFor(seen.sign, [story], facts));
    return story === CAN_BE_HIDDEN ? Math.max(chance, normal) : chance;
  });
  const isNormal = 'outcome' in seen && seen.outcome === OUTCOMES[seen.sign][0];
  return isNormal ? Math.min(...each) : Math.max(...each);
}

/** None, one, or two stories at once. */
function sets(facts: BedFacts): readonly { stories: readonly Story[]; prior: number }[] {
  const known = STORIES.filter((story) => priorOf(story, facts) > 0);
  const odds = (story: Story) => priorOf(story, facts) / (1 - priorOf(story, facts));
  return [
    { stories: [], prior: 1 },
    ...known.map((story) => ({ stories: [story], prior: odds(story) })),
    ...known.flatMap((one, i) =>
      known
        .slice(i + 1)
        .map((other) => ({ stories: [one, other], prior: odds(one) * odds(other) })),
    ),
  ];
}

/**
 * Reads a finished bed: every story with how likely it is, what speaks for and against it, and where to look next.
 *
 * Source: Bayes' rule; forward models in `stories`, how often what happens from memory.
 * Limits: signs are taken as independent of each other once a story is given; at most two stories at once; a direction is told by the
 * bow alone.
 *
 * @example
 * readBed({ crossBow: { towards: 'head', mm: 5 }, mainBow: null, looseCrosses: null, gaps: null, knots: null, mains: null, otherMains: null, weaveFaults: null, marks: null, notches: null, runs: null, mainsHz: null, pitch: null }, { mains: 16, mainsFinish: 'head', crossesFrom: 'head', tieOff: [], besideSkips: { head: [], throat: [] } }).ranked[0].story // 'crosses from the throat up'
 */
export function readBed(seen: BedSeen, facts: BedFacts): BedReading {
  const signs = signsOf(seen, facts);
  const straight = isStraight(seen);
  const weighed = sets(facts).map(({ stories, prior }) => ({
    stories,
    weight: signs.reduce((product, sign) => product * likelihood(sign, stories, facts), prior),
  }));
  const alone = new Map(
    weighed.flatMap(({ stories, weight }) =>
      stories.length === 1 ? [[stories[0] as Story, weight] as const] : [],
    ),
  );
  const all = weighed.map((set) => ({
    ...set,
    // Of two at once, the one that explains more by itself.
    main: set.stories.toSorted((a, b) => (alone.get(b) ?? 0) - (alone.get(a) ?? 0))[0],
  }));
  const total = all.reduce((sum, { weight }) => sum + weight, 0);
  const chance = (of: (set: (typeof all)[number]) => boolean) =>
    all.reduce((sum, set) => sum + (of(set) ? set.weight : 0), 0) / total;
  const speaks = (story: Story, way: 1 | -1): readonly SignSeen[] =>
    signs.filter((sign) => {
      if (!touches(story, sign.sign)) return false;
      const ratio = likelihood(sign, [story], facts) / likelihood(sign, [], facts);
      return way === 1 ? ratio >= SPEAKS : ratio <= 1 / SPEAKS;
    });
  const ranked = [
    {
      story: null,
      beside: [],
      chance: chance(({ stories }) => stories.length === 0),
      for: [],
      against: [],
    },
    ...STORIES.map((story): RankedStory => {
      const its = chance(({ main }) => main === story);
      const beside = STORIES.filter(
        (other) =>
          other !== story &&
          chance(({ main, stories }) => main === story && stories.includes(other)) > its / 2,
      );
      return {
        story,
        beside,
        chance: its,
        for: [...new Set([story, ...beside].flatMap((each) => speaks(each, 1)))],
        against: speaks(story, -1),
      };
    }),
  ].toSorted((a, b) => b.chance - a.chance);
  const [first, second] = ranked as [RankedStory, RankedStory];
  const told = first.chance >= SURE ? 'sure' : first.chance >= LIKELY ? 'likely' : 'open';
  const found = STORIES.filter((story) => chance(({ stories }) => stories.includes(story)) > 0.5);
  return {
    told,
    ranked,
    found,
    // As long as nothing was looked at, nothing is said to be well.
    tells: found.length > 0 || (told !== 'open' && signs.length > 0),
    lookAt: tellingSigns(first, second, signs, facts),
    directionOpen: straight || seen.crossBow === null,
  };
}

/** How many bits a look at a sign is worth between two stories (the divergence of Jensen and Shannon). */
function bits(one: Mixed, other: Mixed): number {
  const term = (p: number, q: number) => (p > 0 ? p * Math.log2((2 * p) / (p + q)) : 0);
  const pairs: (readonly [number, number])[] = [];
  if (one.plain && other.plain)
    for (const outcome of Object.keys(one.plain))
      pairs.push([one.plain[outcome] ?? 0, other.plain[outcome] ?? 0]);
  if (one.figure && other.figure) {
    const parts = [...one.figure, ...other.figure];
    const low = Math.min(...parts.map(({ mean, sd }) => mean - 5 * sd));
    const high = Math.max(...parts.map(({ mean, sd }) => mean + 5 * sd));
    const step = (high - low) / 400;
    const at = (law: Mixed, x: number) =>
      (law.figure ?? []).reduce(
        (sum, { share, mean, sd }) => sum + share * density(x, mean, sd) * step,
        0,
      );
    for (let x = low; x <= high; x += step) pairs.push([at(one, x), at(other, x)]);
  }
  return pairs.reduce((sum, [p, q]) => sum + (term(p, q) + term(q, p)) / 2, 0);
}

/** The signs not looked at yet that tell one story from another, the most telling first. */
function tellingSigns(
  one: RankedStory,
  other: RankedStory,
  signs: readonly SignSeen[],
  facts: BedFacts,
): readonly Sign[] {
  const asSet = ({ story }: RankedStory) => (story ? [story] : []);
  return SIGNS.filter((sign) => signs.every((each) => each.sign !== sign))
    .map((sign) => ({
      sign,
      worth: bits(lawsFor(sign, asSet(one), facts), lawsFor(sign, asSet(other), facts)),
    }))
    .filter(({ worth }) => worth >= LEAST_BITS)
    .toSorted((a, b) => b.worth - a.worth)
    .map(({ sign }) => sign);
}
