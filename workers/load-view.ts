/** A job under load as a drawing shows it: rounded to what an eye can tell, so that it is quickly handed over. */
import { loadFigures, type LoadFigures, type StrungInWay, type Way } from '@/core/load/ways';

export interface LoadFrame {
  /** `M1L`, or nothing at the end, when the mounts are open. */
  readonly string: string;
  /** How each node has moved, mm: x and y by turns. */
  readonly moved: readonly number[];
  readonly lengthMm: number;
  readonly widthMm: number;
  /** By string, N. */
  readonly tensions: Readonly<Record<string, number>>;
  /** What each mount bears, N. */
  readonly mountsN: readonly number[];
}

export interface LoadView {
  readonly way: Way;
  readonly figures: LoadFigures;
  /** Every node before anything was pulled, mm: x and y by turns; those of the rim come first. */
  readonly nodes: readonly number[];
  /** Beams as pairs of nodes. */
  readonly beams: readonly (readonly [number, number])[];
  readonly strings: readonly { readonly name: string; readonly a: number; readonly b: number }[];
  readonly mounts: readonly {
    readonly name: string;
    readonly node: number;
    readonly x: number;
    readonly y: number;
  }[];
  readonly frames: readonly LoadFrame[];
}

const hundredth = (mm: number): number => Math.round(mm * 100) / 100;

export function loadView(way: Way, { question, strung }: StrungInWay): LoadView {
  const { hoop, strings, mounts } = question;
  return {
    way,
    figures: loadFigures(strung),
    nodes: hoop.nodes.flatMap(({ x, y }) => [hundredth(x), hundredth(y)]),
    beams: hoop.beams.map(({ from, to }) => [from, to]),
    strings: strings.map(({ name, a, b }) => ({ name, a, b })),
    mounts: mounts.map(({ name, node, x, y }) => ({ name, node, x, y })),
    frames: [...strung.pulls, strung.end].map(
      ({ string, shape, lengthChangeMm, widthChangeMm, tensions, mountsN }): LoadFrame => ({
        string,
        moved: hoop.nodes.flatMap((_, i) => [
          hundredth(shape[3 * i] ?? 0),
          hundredth(shape[3 * i + 1] ?? 0),
        ]),
        lengthMm: hundredth(lengthChangeMm),
        widthMm: hundredth(widthChangeMm),
        tensions: Object.fromEntries(
          Object.entries(tensions).map(([name, n]) => [name, Math.round(n * 10) / 10]),
        ),
        mountsN: mountsN.map(Math.round),
      }),
    ),
  };
}
