import type { Mm } from '../measure/quantities';
import type { AdviceCase, LastJob, StringClass, Strung } from '../advice/rule';
import type { ShelfString } from '../advice/shelf';
import { climb, type Staircase } from '../advice/staircase';
import type { Switched } from '../advice/small-steps';
import type { Family } from '../terms/family';
import { USUAL_HOUSE, type HouseRules } from '../house/house-rules';
import { SILENT, type Talk } from '../advice/talk';
import {
  inTensionUnit,
  mm2FromSquareInches,
  newtons,
  type TensionUnit,
  type TicketTension,
} from '../measure/units';
import { frameSpec, type SpecChanges } from './frame-spec';

export interface CaseChanges {
  readonly spec?: SpecChanges;
  readonly squareInches?: number;
  readonly talk?: Partial<Omit<Talk, 'racket'>>;
  readonly racket?: Partial<Talk['racket']>;
  readonly house?: Partial<HouseRules>;
  readonly last?: LastJob;
}

/** A range of 22 to 26 kg on 100 in² with 16 × 19, so that nothing moves until a test says something. */
export const adviceCase = (changes: CaseChanges = {}): AdviceCase => ({
  spec: frameSpec({ tension: { min: 22, max: 26, unit: 'kg' }, ...changes.spec }),
  areaMm2: mm2FromSquareInches(changes.squareInches ?? 101),
  talk: { ...SILENT, ...changes.talk, racket: { ...SILENT.racket, ...changes.racket } },
  house: { ...USUAL_HOUSE, ...changes.house },
  last: changes.last,
});

const stringClass = (family: Family, gaugeMm: Mm): StringClass => ({
  family,
  gaugeMm,
  shape: 'round',
});

export const strungWith = (mains: Family, crosses: Family = mains, gaugeMm = 1.25): Strung => ({
  mains: stringClass(mains, gaugeMm),
  crosses: stringClass(crosses, gaugeMm),
});

export const ticketOf = (mains: number, crosses: number, unit: TensionUnit): TicketTension => ({
  mainN: newtons(mains, unit),
  crossN: newtons(crosses, unit),
  unit,
});

export const lastJob = (
  family: Family,
  mains: number,
  crosses: number,
  changes: Partial<LastJob> = {},
): LastJob => ({
  strung: strungWith(family),
  tension: ticketOf(mains, crosses, 'kg'),
  advised: null,
  pull: null,
  talk: null,
  ...changes,
});

export const shelfString = (
  changes: Partial<ShelfString> & Pick<ShelfString, 'name'>,
): ShelfString => ({
  id: changes.name,
  sport: 'tennis',
  family: 'multifilament',
  shape: 'round',
  gaugesMm: [1.25, 1.3],
  setPriceMinor: 1500,
  lifeHours: null,
  notFor: [],
  ...changes,
});

/** What a case is advised, in a bed of some family. */
export const climbed = (
  changes: CaseChanges = {},
  mains: Family = 'multifilament',
  crosses: Family = mains,
  unit: TensionUnit = 'kg',
  switched: Switched = {},
): Staircase => climb(adviceCase(changes), strungWith(mains, crosses), unit, switched);

export const step = ({ steps }: Staircase, id: string): Staircase['steps'][number] | undefined =>
  steps.find((each) => each.id === id);

export const kg = (n: number): number => inTensionUnit(n, 'kg');
