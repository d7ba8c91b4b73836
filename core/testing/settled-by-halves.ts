/** Where a net comes to rest, by half steps: slow and plain, to weigh the quick way against. */
import { linksOf, type Mesh } from '../advice/net';
import { addTo, bandedMatrix, solveBanded } from '../maths/banded';
import type { Mm } from '../measure/quantities';

const MOST_TURNS = 60;
/** The crossings rest when no turn moves one further than this share of the deepest. */
const AT_REST = 1e-9;

/**
 * Where each crossing goes under a force on each, mm for N, in the order of `nodes`.
 *
 * @param share of their tensions that the strings have
 */
export function settledByHalves(
  mesh: Mesh,
  forces: readonly number[],
  share = 1,
): readonly number[] {
  const strings = linksOf(mesh);
  const width = strings
    .flatMap(({ links }) => links)
    .reduce((most, { a, b }) => Math.max(most, b === undefined ? 0 : Math.abs(a - b)), 0);
  let mm: readonly Mm[] = mesh.nodes.map(() => 0);
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const matrix = bandedMatrix(mesh.nodes.length, width);
    for (const { string, links, flatMm } of strings) {
      const lengths = links.map((link) => stretched(link, mm));
      const longer = lengths.reduce((sum, each) => sum + each, 0) - flatMm;
      const tension = string.tensionN * share + (flatMm > 0 ? (string.eaN * longer) / flatMm : 0);
      links.forEach(({ a, b }, i) => {
        const stiffness = tension / (lengths[i] as number);
        addTo(matrix, a, a, stiffness);
        if (b === undefined) return;
        addTo(matrix, b, b, stiffness);
        addTo(matrix, a, b, -stiffness);
      });
    }
    const found = solveBanded(matrix, forces);
    const before = mm;
    mm = turn === 0 ? found : found.map((each, i) => (each + (before[i] as number)) / 2);
    const deepest = Math.max(...found.map(Math.abs));
    const moved = Math.max(...found.map((each, i) => Math.abs(each - (before[i] as number))));
    if (turn > 0 && moved <= AT_REST * deepest) break;
  }
  return mm;
}

const stretched = (
  { a, b, mm: flat }: ReturnType<typeof linksOf>[number]['links'][number],
  mm: readonly Mm[],
): number => Math.hypot(flat, (mm[a] as number) - (b === undefined ? 0 : (mm[b] as number)));
