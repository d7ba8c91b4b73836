import type { NotFor } from '@/core/strings/not-for';
import type { Family, Shape } from '@/core/terms/family';
import type { Sport } from '@/core/terms/sport';
import type { StringFacts } from '@/core/strings/string-facts';

interface Invented {
  readonly kind?: string;
  readonly shape?: Shape;
  readonly colour?: string;
  /** Price of a reel of 200 m. */
  readonly reel?: number;
  readonly mass?: number;
  readonly life?: number;
  readonly holding?: number;
  readonly notFor?: NotFor[];
  readonly notes?: string;
  readonly setMetres?: number;
}

const SET_METRES: Record<Sport, number> = { tennis: 12.2, badminton: 10, squash: 10 };

const string = (
  name: string,
  sport: Sport,
  family: Family,
  gaugesMm: number[],
  setPriceMinor: number,
  more: Invented = {},
): StringFacts => ({
  name,
  sport,
  family,
  subKind: more.kind ?? '',
  shape: more.shape ?? 'round',
  colour: more.colour ?? '',
  gaugesMm,
  setMm: (more.setMetres ?? SET_METRES[sport]) * 1000,
  setPriceMinor,
  reelMm: more.reel === undefined ? null : 200_000,
  reelPriceMinor: more.reel ?? null,
  massGPerM: more.mass ?? null,
  stretch: null,
  lifeHours: more.life ?? null,
  holding: more.holding ?? null,
  notFor: more.notFor ?? [],
  notes: more.notes ?? '',
});

/** All invented: makers, names and figures. */
export const DEMO_STRINGS: readonly StringFacts[] = [
  string('Cordwane Drift', 'tennis', 'monofilament', [1.2, 1.25, 1.3], 1150, {
    kind: 'polyester',
    colour: 'slate',
    reel: 9900,
    mass: 1.72,
    notFor: ['arm trouble', 'juniors', 'slow swings'],
  }),
  string('Cordwane Drift Six', 'tennis', 'monofilament', [1.18, 1.23], 1290, {
    kind: 'polyester',
    shape: 'angular',
    colour: 'amber',
    life: 9,
    notFor: ['arm trouble', 'juniors', 'slow swings'],
    notes: 'Six-sided; bites, does not last.',
  }),
  string('Cordwane Keel', 'tennis', 'monofilament', [1.25, 1.3], 980, {
    kind: 'polyester',
    colour: 'black',
    reel: 8200,
    setMetres: 12,
    notFor: ['arm trouble', 'juniors'],
  }),
  string('Threllan Lull', 'tennis', 'multifilament', [1.25, 1.3], 1890, {
    kind: 'polyamide in polyurethane',
    colour: 'natural',
    reel: 21500,
    mass: 1.48,
    notFor: ['string breakers'],
  }),
  string('Threllan Lull Fine', 'tennis', 'multifilament', [1.2, 1.25], 1990, {
    kind: 'polyamide in polyurethane',
    colour: 'natural',
    holding: 0.8,
    notFor: ['string breakers'],
    notes: 'For sore arms; frays first where it crosses monofilament.',
  }),
  string('Threllan Plainsong', 'tennis', 'synthetic gut', [1.25, 1.3, 1.35], 690, {
    kind: 'nylon, one core',
    colour: 'white',
    reel: 6400,
    mass: 1.5,
  }),
  string('Ysmarne Old Way', 'tennis', 'natural gut', [1.3], 4200, {
    kind: 'serosa',
    colour: 'natural',
    holding: 0.93,
    notFor: ['damp', 'juniors'],
    notes: 'Keep it dry.',
  }),
  string('Ysmarne Old Way Halves', 'tennis', 'natural gut', [1.25, 1.3], 2450, {
    kind: 'serosa',
    setMetres: 6.6,
    notFor: ['damp', 'juniors'],
    notes: 'Half sets, for hybrids.',
  }),
  string('Gorsewick Ballast', 'tennis', 'synthetic gut', [1.3], 550, {
    kind: 'nylon, one core',
    colour: 'red',
    notes: 'Juniors and beginners.',
  }),
  string('Gorsewick Sear', 'tennis', 'monofilament', [1.15, 1.2], 1350, {
    kind: 'co-polyester',
    colour: 'orange',
    life: 8,
    notFor: ['arm trouble', 'juniors', 'string breakers'],
  }),
  string('Wexquay Hum', 'badminton', 'multifilament', [0.66, 0.68], 790, {
    colour: 'white',
    reel: 9800,
    mass: 0.42,
  }),
  string('Wexquay Hum Long', 'badminton', 'multifilament', [0.7], 720, {
    colour: 'yellow',
    reel: 8900,
    life: 22,
    notes: 'For those who break them.',
  }),
  string('Threllan Filament B', 'badminton', 'multifilament', [0.63, 0.65], 990, {
    colour: 'turquoise',
    life: 9,
    notFor: ['string breakers'],
  }),
  string('Bryndal Coil', 'squash', 'multifilament', [1.15, 1.2], 1090, { colour: 'white' }),
  string('Bryndal Coil Supple', 'squash', 'multifilament', [1.2, 1.25], 1190, {
    colour: 'green',
    setMetres: 9.7,
  }),
  string('Gorsewick Court', 'squash', 'synthetic gut', [1.2], 590, { colour: 'blue', reel: 6900 }),
  string('Cordwane Tarn', 'tennis', 'monofilament', [1.23, 1.28], 1420, {
    kind: 'soft co-polyester',
    colour: 'blue',
    reel: 12400,
    holding: 0.72,
    notFor: ['juniors', 'slow swings'],
  }),
  string('Cordwane Tarn Grain', 'tennis', 'monofilament', [1.24], 1480, {
    kind: 'soft co-polyester',
    shape: 'textured',
    colour: 'blue',
    life: 10,
    notFor: ['arm trouble', 'juniors', 'slow swings'],
  }),
  string('Threllan Vesper', 'tennis', 'multifilament', [1.3, 1.35], 2250, {
    kind: 'polyamide, wound',
    colour: 'black',
    life: 22,
  }),
  string('Threllan Plainsong Fine', 'tennis', 'synthetic gut', [1.25], 720, {
    kind: 'nylon, one core',
    colour: 'gold',
  }),
  string('Ysmarne Lambent', 'tennis', 'natural gut', [1.25, 1.3], 4900, {
    kind: 'serosa, coated',
    colour: 'natural',
    holding: 0.95,
    notFor: ['juniors'],
    notes: 'Coated; bears a damp evening.',
  }),
  string('Gorsewick Purl', 'tennis', 'synthetic gut', [1.3, 1.35], 760, {
    kind: 'nylon, wound',
    colour: 'white',
    life: 20,
  }),
  string('Gorsewick Rill', 'tennis', 'multifilament', [1.25, 1.3], 1350, {
    kind: 'polyamide',
    colour: 'white',
    reel: 14500,
    notFor: ['string breakers'],
  }),
  string('Wexquay Hum Fine', 'badminton', 'multifilament', [0.64, 0.66], 890, {
    colour: 'white',
    life: 10,
    notFor: ['string breakers'],
  }),
  string('Wexquay Thrum', 'badminton', 'multifilament', [0.68, 0.7], 840, {
    colour: 'orange',
    reel: 10400,
  }),
  string('Threllan Filament Stout', 'badminton', 'multifilament', [0.72], 760, {
    colour: 'white',
    life: 25,
  }),
  string('Gorsewick Shuttle', 'badminton', 'synthetic gut', [0.7], 390, {
    colour: 'yellow',
    notes: 'Club and school rackets.',
  }),
  string('Bryndal Coil Fine', 'squash', 'multifilament', [1.1, 1.15], 1240, {
    colour: 'red',
    life: 11,
    notFor: ['string breakers'],
  }),
  string('Bryndal Anvil', 'squash', 'multifilament', [1.25, 1.3], 1150, {
    colour: 'black',
    life: 22,
    reel: 11800,
  }),
  string('Cordwane Nick', 'squash', 'monofilament', [1.2], 990, {
    kind: 'polyester',
    notFor: ['arm trouble', 'juniors'],
  }),
];
