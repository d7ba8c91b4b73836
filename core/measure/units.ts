/**
 * The one place where SI quantities (N, mm, g) meet the units people read and type.
 * Factors: NIST Special Publication 811 (exact by definition).
 */
import type { Mm, Newtons } from './quantities';
import { z } from 'zod';

const NEWTONS_PER_LBF = 4.4482216152605;
export const NEWTONS_PER_KGF = 9.80665;
export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
export const GRAMS_PER_OUNCE = 28.349523125;
const MM2_PER_SQUARE_INCH = MM_PER_INCH ** 2;

export const tensionUnitSchema = z.enum(['kg', 'lb']);
export type TensionUnit = z.infer<typeof tensionUnitSchema>;
export type LengthSystem = 'metric' | 'imperial';

/**
 * @example
 * otherTensionUnit('kg') // 'lb'
 */
export const otherTensionUnit = (unit: TensionUnit): TensionUnit => (unit === 'kg' ? 'lb' : 'kg');

/**
 * Pulls are written kg and lb on tickets, and meant as kilogram-force and pound-force.
 *
 * @example
 * newtons(24, 'kg') // 235.36
 * newtons(55, 'lb') // 244.65
 */
export const newtons = (value: number, unit: TensionUnit): Newtons =>
  value * (unit === 'kg' ? NEWTONS_PER_KGF : NEWTONS_PER_LBF);

/**
 * Newtons back in a ticket's unit, to a step; 0.01 is finer than any ticket is written, coarser than
 * the error of a double, so that a typed 55 lb is 55 again after any number of conversions.
 *
 * @example
 * inTensionUnit(235.36, 'kg') // 24
 */
export const inTensionUnit = (n: Newtons, unit: TensionUnit, step = 0.01): number =>
  roundTo(n / (unit === 'kg' ? NEWTONS_PER_KGF : NEWTONS_PER_LBF), step);

/** The smallest step worth writing down: half a kilogram, or a pound (common practice). */
export const TICKET_STEP: Record<TensionUnit, number> = { kg: 0.5, lb: 1 };

/**
 * A length as a form shows it in centimetres, as finely as it is kept.
 *
 * @example
 * centimetreFigure(355.6) // '35.56'
 */
export const centimetreFigure = (mm: Mm): string => String(roundTo(mm / 10, 0.001));

/**
 * `n` newtons rounded to the smallest step worth writing down in `unit`, in newtons.
 *
 * @example
 * inTensionUnit(roundToTicketStep(newtons(23.7, 'kg'), 'kg'), 'kg') // 23.5
 */
export const roundToTicketStep = (n: Newtons, unit: TensionUnit): Newtons =>
  newtons(inTensionUnit(n, unit, TICKET_STEP[unit]), unit);

/**
 * @example
 * mmFromFeet(40) // 12192
 */
export const mmFromFeet = (feet: number): Mm => feet * MM_PER_FOOT;
/**
 * @example
 * squareInches(64516) // 100
 */
export const squareInches = (mm2: number): number => mm2 / MM2_PER_SQUARE_INCH;
/**
 * @example
 * mm2FromSquareInches(100) // 64516
 */
export const mm2FromSquareInches = (in2: number): number => in2 * MM2_PER_SQUARE_INCH;
/**
 * @example
 * ounces(300) // 10.58
 */
export const ounces = (grams: number): number => grams / GRAMS_PER_OUNCE;
/**
 * @example
 * gramsFromOunces(11) // 311.8
 */
export const gramsFromOunces = (oz: number): number => oz * GRAMS_PER_OUNCE;

/**
 * `value` to the nearest multiple of `step`, free of binary dust (0.1 + 0.2 is 0.3).
 *
 * @example
 * roundTo(23.26, 0.5) // 23.5
 */
export function roundTo(value: number, step: number): number {
  const decimals = Math.max(0, -Math.floor(Math.log10(step) + 1e-9));
  return Number((Math.round(value / step + 1e-9) * step).toFixed(decimals));
}

/**
 * A pull as a figure, the same on every screen and paper: quarters as they are typed, all else to a tenth.
 *
 * @example
 * tensionFigure(newtons(24.25, 'kg'), 'kg') // 24.25
 * tensionFigure(newtons(55, 'lb'), 'kg') // 24.9
 */
export function tensionFigure(n: Newtons, unit: TensionUnit): number {
  const fine = inTensionUnit(n, unit);
  return Number.isInteger(fine * 4) ? fine : inTensionUnit(n, unit, 0.1);
}

/**
 * A tension in one unit: `24 kg`, `52.5 lb`.
 *
 * @example
 * formatTension(newtons(24, 'kg'), 'kg') // '24 kg'
 */
export const formatTension = (n: Newtons, unit: TensionUnit): string =>
  `${tensionFigure(n, unit)} ${unit}`;

/** What mains and crosses are pulled at. */
export interface Pulls {
  readonly mainN: Newtons;
  readonly crossN: Newtons;
}

export interface TicketTension extends Pulls {
  /** The unit it was typed in, which is the unit it is shown in for ever. */
  readonly unit: TensionUnit;
}

/** No machine pulls so hard, and no racket would hold it; N. */
export const MOST_PULLED_N = 1000;

const pull = z.number().positive().max(MOST_PULLED_N);
/** A ticket's tension, as it comes from outside or is kept in a document. */
export const ticketTensionSchema = z.object({
  mainN: pull,
  crossN: pull,
  unit: tensionUnitSchema,
});

/**
 * Ticket notation, mains/crosses: `55/53 lb`.
 *
 * @example
 * formatTicket({ mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' }) // '24/23 kg'
 */
export const formatTicket = ({ mainN, crossN, unit }: TicketTension): string =>
  `${tensionFigure(mainN, unit)}/${tensionFigure(crossN, unit)} ${unit}`;

/**
 * The same as a form shows it, to the last digit that was typed, so that it is read again as it was.
 *
 * @example
 * ticketEntry({ mainN: newtons(24.33, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' }) // '24.33/23 kg'
 */
export const ticketEntry = ({ mainN, crossN, unit }: TicketTension): string =>
  `${inTensionUnit(mainN, unit)}/${inTensionUnit(crossN, unit)} ${unit}`;

/**
 * The same ticket in the other unit, to one decimal: `24.9/24 kg`.
 *
 * @example
 * formatTicketConverted({ mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' }) // '52.9/50.7 lb'
 */
export function formatTicketConverted({ mainN, crossN, unit }: TicketTension): string {
  const other = otherTensionUnit(unit);
  return formatTicket({ mainN, crossN, unit: other });
}

/**
 * A ticket in its own unit and, beside it, in the other.
 *
 * @example
 * formatTicketInBoth({ mainN: newtons(24, 'kg'), crossN: newtons(23, 'kg'), unit: 'kg' }) // '24/23 kg (52.9/50.7 lb)'
 */
export const formatTicketInBoth = (ticket: TicketTension): string =>
  `${formatTicket(ticket)} (${formatTicketConverted(ticket)})`;

/**
 * String length: metres to the centimetre, `6.05 m`.
 *
 * @example
 * formatMetres(12192) // '12.19 m'
 */
export const formatMetres = (mm: Mm): string => `${(mm / 1000).toFixed(2)} m`;

/**
 * String length in feet and whole inches, rounded to the nearest inch: `19 ft 10 in`.
 *
 * @example
 * formatFeet(6050) // '19 ft 10 in'
 */
export function formatFeet(mm: Mm): string {
  const inches = Math.round(Math.abs(mm) / MM_PER_INCH);
  const sign = mm < 0 && inches > 0 ? '−' : '';
  return `${sign}${Math.floor(inches / 12)} ft ${inches % 12} in`;
}

/**
 * @example
 * formatStringLength(6100, 'metric') // '6.10 m'
 */
export const formatStringLength = (mm: Mm, system: LengthSystem): string =>
  system === 'metric' ? formatMetres(mm) : formatFeet(mm);

/**
 * A dimension of the head: `336 mm`, or inches to a tenth.
 *
 * @example
 * formatHeadDimension(336, 'imperial') // '13.2 in'
 */
export const formatHeadDimension = (mm: Mm, system: LengthSystem): string =>
  system === 'metric' ? `${roundTo(mm, 1)} mm` : `${(mm / MM_PER_INCH).toFixed(1)} in`;

/**
 * A strung area in both habits, as racket throats print it: `654 cm² · 101 in²`.
 *
 * @example
 * formatArea(65_000) // '650 cm² · 101 in²'
 */
export const formatArea = (mm2: number): string =>
  `${Math.round(mm2 / 100)} cm² · ${Math.round(squareInches(mm2))} in²`;

export const formatWeight = (grams: number, system: LengthSystem): string =>
  system === 'metric' ? `${roundTo(grams, 1)} g` : `${ounces(grams).toFixed(1)} oz`;
