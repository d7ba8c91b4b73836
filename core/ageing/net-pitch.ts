/**
 * At which pitch a bed rings: its net with the mass of its strings at the crossings, the frame held still. The lowest mode is
 * the smallest ω² of K·u = ω²·M·u, found by turning the inverse again and again.
 */
import { linksOf, meshOf, type Net, type NetString } from '../advice/net';
import { netOf, type BedStrings } from '../advice/same-feel';
import type { Bed } from '../frame/bed';
import type { Pulls } from '../measure/units';
import { addTo, bandedMatrix, factorBanded } from '../maths/banded';
import { gramsAMetre } from '../strings/mass';

/** Mass of a metre of each string, g. */
export interface StringMasses {
  readonly mainsGPerM: number;
  readonly crossesGPerM: number;
}

const MOST_TURNS = 400;
const AT_REST = 1e-12;
/** Grams a metre and newtons a millimetre as kilograms and newtons a metre. */
const KG_PER_MM = 1e-6;
const N_PER_M = 1e3;

/**
 * The lowest pitch of a net, Hz; undefined where it has no crossing. Mass lies at the crossings, half of each piece between two
 * of them at either, what lies next to the rim is held by the rim.
 *
 * Source: (1/2L)·√(T/μ) for one string (Mersenne), 2.4048/(2πR)·√(T′/σ) for a round membrane (Kinsler et al., Fundamentals of
 * Acoustics): the net comes near both.
 * Limits: the frame stands still, air and a damper are left out, and every string has the tension of its kind.
 *
 * @param net strings with their tensions, N, and where they run, mm
 *
 * @example
 * lowestPitch({ mains: [], crosses: [] }, { mainsGPerM: 1.5, crossesGPerM: 1.5 }) // undefined
 */
export function lowestPitch(net: Net, masses: StringMasses): number | undefined {
  const mesh = meshOf(net);
  const { nodes } = mesh;
  if (nodes.length === 0) return undefined;
  const strings = linksOf(mesh);
  const width = strings
    .flatMap(({ links }) => links)
    .reduce((most, { a, b }) => Math.max(most, b === undefined ? 0 : Math.abs(a - b)), 0);
  const kg = nodes.map(() => 0);
  const stiffness = bandedMatrix(nodes.length, width);
  for (const { string, links } of strings)
    for (const { a, b, mm } of links) {
      const k = (string.tensionN / mm) * N_PER_M;
      addTo(stiffness, a, a, k);
      if (b === undefined) continue;
      addTo(stiffness, b, b, k);
      addTo(stiffness, a, b, -k);
    }
  const isMain = new Set<NetString>(net.mains);
  for (const { string, links } of strings) {
    const perMm = (isMain.has(string) ? masses.mainsGPerM : masses.crossesGPerM) * KG_PER_MM;
    for (const { a, b, mm } of links) {
      kg[a] = (kg[a] as number) + (perMm * mm) / 2;
      if (b !== undefined) kg[b] = (kg[b] as number) + (perMm * mm) / 2;
    }
  }
  const solve = factorBanded(stiffness);
  let shape: readonly number[] = nodes.map(() => 1);
  let squared = 0;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const pushed = shape.map((u, i) => u * (kg[i] as number));
    const moved = Array.from(solve(pushed));
    // Rayleigh's quotient of the new shape, whose K·u is what pushed it.
    const of = (a: readonly number[], b: readonly number[]) =>
      a.reduce((sum, each, i) => sum + each * (b[i] as number), 0);
    const found =
      of(moved, pushed) /
      of(
        moved,
        moved.map((u, i) => u * (kg[i] as number)),
      );
    const largest = Math.max(...moved.map(Math.abs));
    shape = moved.map((u) => u / largest);
    if (Math.abs(found - squared) <= AT_REST * found) {
      squared = found;
      break;
    }
    squared = found;
  }
  return Math.sqrt(squared) / (2 * Math.PI);
}

/** A string with its mass, where it was weighed. */
type Massed = BedStrings['mains'] & { readonly massGPerM?: number | null };

/**
 * The pitch of a bed at the tensions that were set, Hz, as its net has it; undefined where it has no crossing.
 *
 * @example
 * Math.round(setPitch(usual.bed, usual.tension, usual.strung) / 100) // 7
 */
export function setPitch(
  bed: Bed,
  pulls: Pulls,
  strings: { readonly mains: Massed; readonly crosses: Massed },
): number | undefined {
  const grams = ({ family, gaugeMm, massGPerM }: Massed) =>
    massGPerM ?? gramsAMetre(family, gaugeMm);
  return lowestPitch(netOf(bed, pulls, strings, 1), {
    mainsGPerM: grams(strings.mains),
    crossesGPerM: grams(strings.crosses),
  });
}

/**
 * The share of a tension that a pitch means, beside the pitch at that tension: all strings of a bed age alike here, and its
 * pitch goes by the root of what they have.
 *
 * @example
 * tensionShare(475, 500) // 0.9025
 */
export const tensionShare = (hz: number, atHz: number): number => (hz / atHz) ** 2;

export interface PairPitch {
  /** Counted from the middle: 1 for the two centre mains. */
  readonly pair: number;
  readonly leftHz: number;
  readonly rightHz: number;
  /** By how much the left one is tighter than the right, as a share of its tension; below 0 where it is slacker. */
  readonly leftTighter: number;
}

/**
 * The pitches of like-numbered mains, left against right: they agree when the balance was kept.
 *
 * @example
 * pairsOf([400, 410], [400, 400]).map(({ leftTighter }) => leftTighter) // [0, 0.0506]
 */
export const pairsOf = (
  leftHz: readonly number[],
  rightHz: readonly number[],
): readonly PairPitch[] =>
  leftHz.slice(0, rightHz.length).map((left, i) => ({
    pair: i + 1,
    leftHz: left,
    rightHz: rightHz[i] as number,
    leftTighter: (left / (rightHz[i] as number)) ** 2 - 1,
  }));
