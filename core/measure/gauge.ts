import type { Mm } from './quantities';
import { plainFigures } from './figures';
import { failure, success, type Result } from '../terms/result';
import type { Sport } from '../terms/sport';
import { roundTo } from './units';

export interface GaugeRange {
  readonly name: string;
  readonly minMm: Mm;
  readonly maxMm: Mm;
}

/**
 * One scale serves the three sports; tennis and squash use its thick end, badminton its thin one.
 * From memory: no standard fixes these bounds and makers differ, so the millimetres are the truth.
 */
const SCALE: readonly GaugeRange[] = [
  { name: '15', minMm: 1.41, maxMm: 1.49 },
  { name: '15L', minMm: 1.34, maxMm: 1.4 },
  { name: '16', minMm: 1.26, maxMm: 1.33 },
  { name: '16L', minMm: 1.22, maxMm: 1.26 },
  { name: '17', minMm: 1.2, maxMm: 1.24 },
  { name: '17L', minMm: 1.16, maxMm: 1.2 },
  { name: '18', minMm: 1.06, maxMm: 1.16 },
  { name: '19', minMm: 0.9, maxMm: 1.06 },
  { name: '20', minMm: 0.8, maxMm: 0.9 },
  { name: '21', minMm: 0.7, maxMm: 0.8 },
  { name: '22', minMm: 0.6, maxMm: 0.7 },
];

/** The thicknesses that are strung at all in each sport, mm. From memory. */
const SPORT_LIMITS: Record<Sport, readonly [number, number]> = {
  tennis: [0.9, 1.5],
  squash: [0.95, 1.4],
  badminton: [0.58, 0.8],
};

/** No string is sold by finer steps. From memory. */
const GAUGE_STEP_MM = 0.01;

export const gaugesOf = (sport: Sport): readonly GaugeRange[] => {
  const [min, max] = SPORT_LIMITS[sport];
  return SCALE.filter((gauge) => gauge.maxMm > min && gauge.minMm < max);
};

/**
 * Every gauge number whose range holds this thickness, thickest first. Ranges overlap, so there
 * may be two (1.24 mm is sold as 16L and as 17); between two ranges there is none.
 *
 * @example
 * gaugeNumbers(1.25) // ['16L']
 */
export const gaugeNumbers = (mm: Mm): readonly string[] =>
  SCALE.filter((gauge) => mm >= gauge.minMm - 1e-9 && mm <= gauge.maxMm + 1e-9).map(
    (gauge) => gauge.name,
  );

/**
 * `1.25 mm (16L)`, `1.24 mm (16L or 17)`; a thickness between two gauges has no number.
 *
 * @example
 * formatGauge(1.25) // '1.25 mm (16L)'
 */
export function formatGauge(mm: Mm): string {
  const names = gaugeNumbers(mm);
  return `${mm.toFixed(2)} mm${names.length > 0 ? ` (${names.join(' or ')})` : ''}`;
}

/**
 * A thickness in mm from `1.25`, `1.25 mm`, or a gauge number `16L`, read as the middle of its range; to the hundredth
 * that strings are sold and written by.
 *
 * @example
 * parseGauge('1,25', 'tennis') // { ok: true, value: 1.25 }
 */
export function parseGauge(text: string, sport: Sport): Result<number> {
  const tidy = plainFigures(text)
    .toUpperCase()
    .replace(',', '.')
    .replace(/ ?MM$/, '')
    .replace(/ L$/, 'L');
  const named = gaugesOf(sport).find((gauge) => gauge.name === tidy);
  if (named) return success(roundTo((named.minMm + named.maxMm) / 2, GAUGE_STEP_MM));
  const [min, max] = SPORT_LIMITS[sport];
  if (!/^\d(\.\d{1,3})?$/.test(tidy))
    return failure(
      'gauge.unread',
      sport === 'badminton' ? { mm: '0.68', number: '22' } : { mm: '1.25', number: '16L' },
    );
  const mm = Number(tidy);
  if (mm < min || mm > max) return failure('gauge.beyond', { mm, sport, least: min, most: max });
  return success(roundTo(mm, GAUGE_STEP_MM));
}
