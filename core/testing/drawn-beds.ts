/** Beds as their forward models would make them, seen by somebody who does not look at everything. */
import type { Chance } from '../maths/chance';
import { NOTHING_SEEN, type BedSeen } from '../reading/seen';
import { SIGNS, type BedFacts, type Outcome, type Sign } from '../reading/signs';
import { lawsFor, touches, type Story } from '../reading/stories';

/** A normal deviate (Box and Muller). */
const normal = ({ next }: Chance): number =>
  Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());

function drawnFigure(sign: Sign, story: Story | null, facts: BedFacts, chance: Chance): number {
  const law = lawsFor(sign, story ? [story] : [], facts).figure ?? [];
  let left = chance.next();
  for (const { share, mean, sd } of law) {
    left -= share;
    if (left < 0) return mean + sd * normal(chance);
  }
  return 0;
}

function drawnOutcome(sign: Sign, story: Story | null, facts: BedFacts, chance: Chance): Outcome {
  const law = Object.entries(lawsFor(sign, story ? [story] : [], facts).plain ?? {});
  let left = chance.next();
  for (const [outcome, share] of law) {
    left -= share;
    if (left < 0) return outcome as Outcome;
  }
  return law[0]?.[0] as Outcome;
}

const bow = <T extends string>(mm: number, plus: T, minus: T) => ({
  towards: Math.abs(mm) < 1 ? ('neither' as const) : mm > 0 ? plus : minus,
  // As a ruler is read.
  mm: Math.abs(mm) < 1 ? 0 : Math.round(Math.abs(mm) * 2) / 2,
});

/** The seen of a bed that shows an outcome, or a figure. */
function seenAs(
  sign: Sign,
  story: Story | null,
  facts: BedFacts,
  chance: Chance,
): Partial<BedSeen> {
  const figure = () => drawnFigure(sign, story, facts, chance);
  const outcome = () => drawnOutcome(sign, story, facts, chance);
  const finish = facts.mainsFinish === 'head' ? 'H' : 'T';
  const other = finish === 'H' ? 'T' : 'H';
  const bored = (n: number, end: string) =>
    facts.tieOff.find((hole) => hole.includes(end) && hole.endsWith(n % 2 ? 'R' : 'L')) ??
    `6${end}${n % 2 ? 'R' : 'L'}`;
  switch (sign) {
    case 'cross bow':
      return { crossBow: bow(figure(), 'head', 'throat') };
    case 'main bow':
      return { mainBow: bow(figure(), 'right', 'left') };
    case 'balance': {
      const by = figure();
      return {
        mainsHz: Object.fromEntries(
          [1, 2, 3, 4, 5].flatMap((n) => {
            const hz = 600 + 12 * n;
            return [
              [`M${n}R`, hz * (1 + by / 200 + 0.004 * normal(chance))],
              [`M${n}L`, hz * (1 - by / 200 + 0.004 * normal(chance))],
            ];
          }),
        ),
      };
    }
    case 'pitch':
      return { pitch: { hz: 500 * figure(), setHz: 500 } };
    case 'loose crosses':
      return { looseCrosses: outcome() as 'none' };
    case 'marks':
      return { marks: outcome() as 'none' };
    case 'notches':
      return { notches: outcome() as 'none' };
    case 'runs':
      return { runs: outcome() as 'flat' };
    case 'weave': {
      const faults = { alternates: 0, 'one fault': 1, 'several faults': 3 }[
        outcome() as 'alternates'
      ];
      return {
        weaveFaults: Array.from({ length: faults }, (_, i) => ({ cross: 5 + i, main: 'M3L' })),
      };
    }
    case 'mains': {
      const drawn = outcome();
      const outer = facts.mains / 2;
      return {
        mains: drawn === 'one missing' ? facts.mains - 1 : facts.mains,
        otherMains:
          drawn === 'of the other string' ? [`M${outer}L`] : drawn === 'otherwise' ? ['M2R'] : [],
      };
    }
    case 'gaps': {
      const drawn = outcome();
      const beside = facts.besideSkips.head[0] ?? facts.mains / 2;
      return {
        gaps:
          drawn === 'even'
            ? []
            : drawn === 'elsewhere'
              ? [{ end: 'throat', main: 'M2R', is: 'wide' }]
              : [
                  { end: 'head', main: `M${beside}R`, is: 'wide' },
                  { end: 'head', main: `M${beside + 1}R`, is: 'narrow' },
                ],
      };
    }
    case 'knots': {
      const knot = (n: number, end: string, of: 'mains' | 'crosses') => ({
        hole: bored(n, end),
        of,
      });
      const made: Readonly<Record<Outcome<'knots'>, NonNullable<BedSeen['knots']>>> = {
        'as expected': [
          knot(0, finish, 'mains'),
          knot(1, finish, 'mains'),
          knot(0, finish, 'crosses'),
          knot(0, other, 'crosses'),
        ],
        'one piece': [knot(0, finish, 'mains'), knot(1, other, 'crosses')],
        'other way round': [
          knot(0, other, 'mains'),
          knot(1, other, 'mains'),
          knot(0, other, 'crosses'),
          knot(0, finish, 'crosses'),
        ],
        'mains apart': [
          knot(0, finish, 'mains'),
          knot(1, other, 'mains'),
          knot(0, other, 'crosses'),
          knot(0, finish, 'crosses'),
        ],
        more: [0, 1, 2, 3, 4].map((n) => knot(n, finish, 'mains')),
        other: [0, 1, 2].map((n) => knot(n, finish, 'crosses')),
      };
      return { knots: made[outcome() as Outcome<'knots'>] };
    }
    case 'knot holes':
      return {};
  }
}

/** Puts so many of the knots into holes that were bored for none. */
function inOrdinary(seen: BedSeen, story: Story | null, facts: BedFacts, chance: Chance): BedSeen {
  const wrong = { bored: 0, 'one ordinary': 1, 'several ordinary': 2 }[
    drawnOutcome('knot holes', story, facts, chance) as 'bored'
  ];
  return {
    ...seen,
    knots:
      seen.knots?.map((knot, i) =>
        i < wrong ? { ...knot, hole: `4${knot.hole.includes('H') ? 'H' : 'T'}L` } : knot,
      ) ?? null,
  };
}

/** Of what a story does not touch, four in five signs are looked at. */
const LOOKED = 0.8;

/** A bed of a story, with the noise of its forward model; what the story shows was looked at. */
export function drawnBed(story: Story | null, facts: BedFacts, chance: Chance): BedSeen {
  const looked = (sign: Sign) => (story !== null && touches(story, sign)) || chance.next() < LOOKED;
  // Whoever looks at the holes of the knots has seen the knots.
  const isSeen = (sign: Sign) => looked(sign) || (sign === 'knots' && looked('knot holes'));
  const seen = SIGNS.filter(isSeen).reduce<BedSeen>(
    (all, sign) => ({ ...all, ...seenAs(sign, story, facts, chance) }),
    NOTHING_SEEN,
  );
  return inOrdinary(seen, story, facts, chance);
}
