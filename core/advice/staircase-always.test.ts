/** What holds of every staircase, whatever is said and whatever school the house is of. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tries } from '../testing/share';
import { FAMILIES } from '../terms/family';
import { HOUSE_QUESTIONS, USUAL_HOUSE } from '../house/house-rules';
import { tensionCautions } from './tension';
import {
  adviceCase,
  lastJob,
  strungWith,
  ticketOf,
  climbed,
  step,
  kg,
  type CaseChanges,
} from '../testing/advice-case';
import { newtons } from '../measure/units';
import { MOST_CROSS_DIFFERENCE } from '../measure/pull-limits';
import { climb, MOST_MOVED_N, type Staircase } from './staircase';
import { advise } from './advise';
import { firmness } from './strung';

/** Steps that hold the figure within limits. */
const HELD = [
  'bound',
  'safe pull',
  'printed maximum',
  'safe pull before',
  'printed maximum before',
  'not farther apart',
];

const talks = fc.record({
  age: fc.constantFrom(null, 'junior' as const, 'adult' as const, 'older' as const),
  level: fc.constantFrom(null, 'beginner' as const, 'club' as const, 'performance' as const),
  arm: fc.constantFrom(null, 'well' as const, 'before' as const, 'now' as const),
  wants: fc.uniqueArray(
    fc.constantFrom('power' as const, 'control' as const, 'comfort' as const, 'spin' as const),
    { maxLength: 3 },
  ),
  faults: fc.uniqueArray(
    fc.constantFrom('launches' as const, 'boardy' as const, 'hurts' as const, 'broke' as const),
    { maxLength: 2 },
  ),
  swing: fc.constantFrom(null, 'slow' as const, 'fast' as const),
  altitudeM: fc.constantFrom(null, 0, 800, 2000, 3500),
  weather: fc.constantFrom(null, 'hot' as const, 'cold' as const, 'damp' as const),
  season: fc.constantFrom(null, 'summer' as const, 'winter' as const),
  asks: fc.constantFrom(null, ticketOf(6, 6, 'kg'), ticketOf(55, 60, 'lb'), ticketOf(30, 30, 'kg')),
});
const schools = fc.record({
  tennisCrosses: fc.constantFrom(...HOUSE_QUESTIONS.tennisCrosses),
  stiffFrame: fc.constantFrom('up' as const, 'down' as const, 'down with a sore arm' as const),
  hybrid: fc.constantFrom('soft string higher' as const, 'each by its own rule' as const),
});
const changes: fc.Arbitrary<CaseChanges> = fc.record({
  spec: fc.record({
    sport: fc.constantFrom('tennis' as const, 'badminton' as const, 'squash' as const),
    tension: fc.constantFrom(
      null,
      { min: 22, max: 26, unit: 'kg' as const },
      { min: 18, max: 24, unit: 'kg' as const },
      { min: 20, max: 28, unit: 'lb' as const },
    ),
  }),
  squareInches: fc.integer({ min: 90, max: 120 }),
  talk: talks,
  racket: fc.record({
    stiffness: fc.constantFrom(null, 'stiff' as const),
    weightG: fc.constantFrom(null, 280, 320),
  }),
  house: schools,
  last: fc.oneof(
    fc
      .record({ talk: talks, advised: fc.constantFrom(20, 22, 24), in: fc.constantFrom(21, 24) })
      .map(({ talk, advised, in: strung }) =>
        lastJob('multifilament', strung, strung, {
          talk: adviceCase({ talk }).talk,
          advised: { mainN: newtons(advised, 'kg'), crossN: newtons(advised, 'kg') },
        }),
      ),
    fc.constantFrom(
      undefined as never,
      lastJob('monofilament', 23, 22),
      lastJob('multifilament', 25, 25, { pull: 'lock-out' }),
      lastJob('natural gut', 26, 24, {
        talk: adviceCase({ talk: { arm: 'now', wants: ['control'] } }).talk,
      }),
    ),
  ),
});
const beds = fc.tuple(fc.constantFrom(...FAMILIES), fc.constantFrom(...FAMILIES));

describe('whatever is said', () => {
  it('no figure leaves the printed range without a caution, and none is above it', () => {
    fc.assert(
      fc.property(
        changes,
        beds,
        fc.constantFrom('kg' as const, 'lb' as const),
        (change, [mains, crosses], unit) => {
          const about = adviceCase(change);
          const { ticket, exact } = climb(about, strungWith(mains, crosses), unit);
          expect(Number.isFinite(exact.mainN) && Number.isFinite(exact.crossN)).toBe(true);
          expect(Math.abs(ticket.crossN - ticket.mainN)).toBeLessThanOrEqual(
            MOST_CROSS_DIFFERENCE * ticket.mainN + 1e-6,
          );
          const { tension } = about.spec;
          if (!tension) return;
          const cautions = tensionCautions(about.spec, ticket, mains, crosses);
          const [minN, maxN] = [
            newtons(tension.min, tension.unit),
            newtons(tension.max, tension.unit),
          ];
          for (const n of [ticket.mainN, ticket.crossN]) expect(n).toBeLessThanOrEqual(maxN + 1e-6);
          if (Math.min(ticket.mainN, ticket.crossN) < minN - 0.01)
            expect(cautions.some((caution) => caution.includes('below the printed range'))).toBe(
              true,
            );
        },
      ),
      { numRuns: tries(400, 120) },
    );
  });

  it('a step that is switched off takes exactly itself away', () => {
    fc.assert(
      fc.property(changes, beds, fc.nat(), (change, [mains, crosses], pick) => {
        const on = climbed(change, mains, crosses);
        const held = (each: Staircase) => each.steps.some(({ id }) => HELD.includes(id));
        const open = on.steps.filter(
          ({ canSwitch, state, id }) =>
            canSwitch && state.is === 'in' && id !== 'asked' && id !== 'last job',
        );
        const chosen = open[pick % Math.max(1, open.length)];
        if (!chosen) return;
        const off = climbed(change, mains, crosses, 'kg', { [chosen.id]: false });
        for (const before of on.steps) {
          if (HELD.includes(before.id)) continue;
          expect(step(off, before.id)?.by).toEqual(before.by);
        }
        expect(step(off, chosen.id)?.state.is).toBe('off');
        if (held(on) || held(off)) return;
        // What it had kept out comes back when it is gone, and that is more than itself.
        const states = ({ steps }: Staircase) =>
          steps.flatMap(({ id, state }) => (id === chosen.id ? [] : [`${id} ${state.is}`]));
        if (String(states(on)) !== String(states(off))) return;
        expect(on.exact.mainN - off.exact.mainN).toBeCloseTo(chosen.by.mainN, 9);
        expect(on.exact.crossN - off.exact.crossN).toBeCloseTo(chosen.by.crossN, 9);
      }),
      { numRuns: tries(400, 120) },
    );
  });

  it('more arm trouble never gives a firmer bed, in any string or in the one that stands first', () => {
    fc.assert(
      fc.property(changes, beds, (change, [mains, crosses]) => {
        const strung = strungWith(mains, crosses);
        const bed = (arm: 'well' | 'before' | 'now', more?: 'hurts') => {
          const faults = [
            ...(change.talk?.faults ?? []).filter((each) => each !== 'hurts'),
            ...(more ? [more] : []),
          ];
          const about = adviceCase({ ...change, talk: { ...change.talk, arm, faults } });
          const first = advise(about, { shelf: [], labourMinor: 0, unit: 'kg' }).proposals[0];
          return {
            firm: firmness(strung, climb(about, strung, 'kg').exact, about.spec.sport),
            first: first?.firmnessN ?? 0,
          };
        };
        const [well, before, now] = [bed('well'), bed('before'), bed('now')];
        for (const [arm, without] of [
          ['well', well],
          ['before', before],
          ['now', now],
        ] as const) {
          const hurts = bed(arm, 'hurts');
          expect(hurts.firm).toBeLessThanOrEqual(without.firm + 1e-9);
          expect(hurts.first).toBeLessThanOrEqual(without.first + 1e-9);
        }
        expect(before.firm).toBeLessThanOrEqual(well.firm + 1e-9);
        expect(now.firm).toBeLessThanOrEqual(before.firm + 1e-9);
        expect(before.first).toBeLessThanOrEqual(well.first + 1e-9);
        expect(now.first).toBeLessThanOrEqual(before.first + 1e-9);
      }),
      { numRuns: tries(250, 80) },
    );
  });

  it('the unit changes nothing but the rounding', () => {
    fc.assert(
      fc.property(changes, beds, (change, [mains, crosses]) => {
        const [kg, lb] = (['kg', 'lb'] as const).map((unit) =>
          climbed(change, mains, crosses, unit),
        );
        expect(kg?.exact).toEqual(lb?.exact);
        expect(kg?.steps.map(({ by, state }) => ({ by, state }))).toEqual(
          lb?.steps.map(({ by, state }) => ({ by, state })),
        );
      }),
    );
  });

  it('every step has its reason, its rank and its source, and the last one is the figure', () => {
    fc.assert(
      fc.property(changes, beds, (change, [mains, crosses]) => {
        const { steps, exact, ticket } = climbed(change, mains, crosses);
        for (const each of steps) expect(each.why).toMatch(/^\S.{20,}[.]$/s);
        expect(steps.at(-1)?.after).toEqual(exact);
        expect(Math.abs(ticket.mainN - exact.mainN)).toBeLessThanOrEqual(newtons(0.5, 'kg'));
      }),
    );
  });
});

it('the bound is what practice moves at once', () => {
  // Source: practice (move by 1–2 kg a time).
  expect(kg(MOST_MOVED_N)).toBe(2);
  expect(USUAL_HOUSE.hybridShare).toBe(0.1);
});
