import type { Family } from '@/core/family';
import type { Sport } from '@/core/sport';
import type { StringFacts } from '../strings';

const string = (
  name: string,
  sport: Sport,
  family: Family,
  gaugesMm: number[],
  setMetres: number,
  setPriceMinor: number,
  notes = '',
): StringFacts => ({
  name,
  sport,
  family,
  gaugesMm,
  setMm: setMetres * 1000,
  setPriceMinor,
  stretch: null,
  notes,
});

/** All invented: makers, names and figures. */
export const DEMO_STRINGS: readonly StringFacts[] = [
  string('Cordwane Drift', 'tennis', 'monofilament', [1.2, 1.25, 1.3], 12.2, 1150),
  string(
    'Cordwane Drift Six',
    'tennis',
    'monofilament',
    [1.18, 1.23],
    12.2,
    1290,
    'Six-sided; bites, does not last.',
  ),
  string('Cordwane Keel', 'tennis', 'monofilament', [1.25, 1.3], 12, 980),
  string('Threllan Lull', 'tennis', 'multifilament', [1.25, 1.3], 12.2, 1890),
  string(
    'Threllan Lull Fine',
    'tennis',
    'multifilament',
    [1.2, 1.25],
    12.2,
    1990,
    'For sore arms; frays first where it crosses monofilament.',
  ),
  string('Threllan Plainsong', 'tennis', 'synthetic gut', [1.25, 1.3, 1.35], 12.2, 690),
  string('Ysmarne Old Way', 'tennis', 'natural gut', [1.3], 12.2, 4200, 'Keep it dry.'),
  string(
    'Ysmarne Old Way Halves',
    'tennis',
    'natural gut',
    [1.25, 1.3],
    6.6,
    2450,
    'Half sets, for hybrids.',
  ),
  string(
    'Gorsewick Ballast',
    'tennis',
    'synthetic gut',
    [1.3],
    12.2,
    550,
    'Juniors and beginners.',
  ),
  string('Gorsewick Sear', 'tennis', 'monofilament', [1.15, 1.2], 12.2, 1350),
  string('Wexquay Hum', 'badminton', 'multifilament', [0.66, 0.68], 10, 790),
  string(
    'Wexquay Hum Long',
    'badminton',
    'multifilament',
    [0.7],
    10,
    720,
    'For those who break them.',
  ),
  string('Threllan Filament B', 'badminton', 'multifilament', [0.63, 0.65], 10, 990),
  string('Bryndal Coil', 'squash', 'multifilament', [1.15, 1.2], 10, 1090),
  string('Bryndal Coil Supple', 'squash', 'multifilament', [1.2, 1.25], 9.7, 1190),
  string('Gorsewick Court', 'squash', 'synthetic gut', [1.2], 10, 590),
];
