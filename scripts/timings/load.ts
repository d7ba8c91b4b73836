/** `npm run bench -- load`: a job strung in thought, condensed, against the whole hoop solved afresh at every pull. */
import { Matrix, solve } from 'ml-matrix';
import { frameLoad } from '@/core/load/frame-load';
import { hoopStiffness, type Hoop } from '@/core/load/hoop';
import { stringUnderLoad, type LoadQuestion } from '@/core/load/stringing';
import { bedOf } from '@/core/testing/frame-spec';
import { usualJob } from '@/core/testing/jobs';
import { usual } from '@/core/testing/usual';
import { medianMs, timesOf } from './timed';

const RUNS = 7;

/** The hoop with the strings that are in it as bars, whole, once for each pull. */
function afresh({ hoop, strings, pulls }: LoadQuestion): void {
  const bare = Matrix.from1DArray(
    3 * hoop.nodes.length,
    3 * hoop.nodes.length,
    hoopStiffness(hoop),
  );
  const inIt = new Set<string>();
  for (const { string: name, pullN } of pulls) {
    const whole = bare.clone();
    const force = Matrix.zeros(3 * hoop.nodes.length, 1);
    for (const string of strings) {
      const dofs = barOf(hoop, string.a, string.b);
      if (string.name === name) for (const { at, by } of dofs) force.set(at, 0, pullN * by);
      else if (inIt.has(string.name))
        for (const one of dofs)
          for (const other of dofs)
            whole.set(
              one.at,
              other.at,
              whole.get(one.at, other.at) + (string.eaN / string.lengthMm) * one.by * other.by,
            );
    }
    inIt.add(name);
    solve(whole, force);
  }
}

/** Where a bar between two nodes pulls, and by which share. */
function barOf({ nodes }: Hoop, a: number, b: number): readonly { at: number; by: number }[] {
  const [p, q] = [nodes[a] ?? { x: 0, y: 0 }, nodes[b] ?? { x: 1, y: 0 }];
  const L = Math.hypot(q.x - p.x, q.y - p.y);
  const [x, y] = [(q.x - p.x) / L, (q.y - p.y) / L];
  return [
    { at: 3 * a, by: x },
    { at: 3 * a + 1, by: y },
    { at: 3 * b, by: -x },
    { at: 3 * b + 1, by: -y },
  ];
}

for (const [name, bed] of [
  ['16 × 19', usual.bed],
  [
    '22 × 22',
    bedOf({
      sport: 'badminton',
      lengthMm: 270,
      widthMm: 210,
      mains: 22,
      crosses: 22,
      bridgeHoles: null,
    }),
  ],
] as const) {
  const load = frameLoad(usualJob({ bed }), { mounts: 6 });
  if (!load.ok) {
    console.log(`${name}: ${load.problem}`);
    continue;
  }
  const condensed = medianMs(() => stringUnderLoad(load.value), RUNS);
  const [whole = NaN] = timesOf(() => afresh(load.value), 1);
  console.log(
    `${name}, ${load.value.pulls.length} pulls, ${load.value.hoop.nodes.length} nodes: ${condensed.toFixed(0)} ms, afresh ${whole.toFixed(0)} ms, ${(whole / condensed).toFixed(0)} times`,
  );
}
