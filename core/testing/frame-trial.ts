/**
 * Drawn frames taken the whole way: studied, strung by every method that they take, cut and proved at
 * the bench. What must hold is told from where the strings were drawn, not from what the core placed.
 */
import { studyFrame, type Bed } from '../frame/bed';
import { USUAL_MACHINE } from '../house/machine';
import { chanceFrom, type Chance } from '../maths/chance';
import { USUAL_HOUSE } from '../house/house-rules';
import { USUAL_ASSUMPTIONS } from '../cut/lengths';
import type { Method } from '../terms/method';
import { possibleMethods } from '../cut/methods';
import { rimAtX, rimAtY } from '../frame/outline';
import { SIDES } from '../terms/ends';
import { planCut } from '../cut/plan';
import { isInside, placeName, type HolePlace, type Segment } from '../path/segments';
import { benchSequence } from '../bench/sequence';
import { SPORTS } from '../terms/sport';
import { ticketOf } from './advice-case';
import { DRILLINGS, drawnFrame, type DrawnFrame } from './drawn-frames';
import { frameSpec } from './frame-spec';

export interface FrameTrial {
  readonly frames: number;
  readonly paths: number;
  /** What did not hold, with the frame that it did not hold of. */
  readonly broken: readonly string[];
}

const STRING = { family: 'multifilament', gaugeMm: 1.2, stretch: null } as const;
/** A hole may lie this far from its string's place: drilled to a half millimetre, moved for a neighbour. */
const OFF_PLACE_MM = 2;
/** Chords between holes that were moved differ from the drawn ones by this share at most, in all. */
const LENGTH_OFF = 0.01;

/** Studies and strings `count` frames, sports and drillings by turns. */
export function frameTrial(count: number, seed: number): FrameTrial {
  const chance = chanceFrom(seed);
  const kinds = SPORTS.flatMap((sport) => DRILLINGS.map((drilling) => ({ sport, drilling })));
  const broken: string[] = [];
  let paths = 0;
  for (let i = 0; i < count; i++) {
    const { sport, drilling } = kinds[i % kinds.length] as (typeof kinds)[number];
    const frame = drawnFrame(chance, sport, drilling);
    const wrong = (what: string) =>
      broken.push(`${what}: frame ${i} of ${seed}, ${sport}, ${drilling}`);
    const bed = bedOf(frame, chance);
    if (typeof bed === 'string') {
      wrong(bed);
      continue;
    }
    placesWrong(frame, bed).forEach(wrong);
    for (const method of possibleMethods(bed, false)) {
      paths++;
      jobWrong(frame, bed, method, chance).forEach((what) => wrong(`${method}, ${what}`));
    }
  }
  return { frames: count, paths, broken };
}

function bedOf(frame: DrawnFrame, chance: Chance): Bed | string {
  const { sport, outline, mains, crosses, skips } = frame;
  const { bed, problems } = studyFrame(
    frameSpec({
      sport,
      lengthMm: outline.lengthMm,
      widthMm: outline.widthMm,
      outline: frame.family,
      mains,
      crosses,
      bridgeHoles: chance.one([6, 8]),
      head: skips.head,
      throat: skips.throat,
      headOutermost: mains / 2 + skips.head.length,
      throatOutermost: mains / 2 + skips.throat.length,
      positionsMm: frame.arcs.map((arc) => Math.round(100 * arc) / 100),
      stringing: { crossesFrom: chance.one(['head', 'head', 'throat']) },
      ownerInsists: true,
    }),
  );
  return bed ?? `refused: ${JSON.stringify(problems)}`;
}

/** Every string where it was drawn: mains by x, at both ends; crosses by height. */
function placesWrong({ mainsMm, crossesMm }: DrawnFrame, bed: Bed): readonly string[] {
  const wrong: string[] = [];
  for (const end of ['head', 'throat'] as const)
    mainsMm.forEach((x, i) => {
      const hole = bed.mainHoles[end][i];
      if (!hole || Math.abs(hole.x - x) > OFF_PLACE_MM) wrong.push(`main ${i + 1} at the ${end}`);
    });
  crossesMm.forEach((y, i) => {
    const hole = bed.crossHoles[i];
    if (!hole || Math.abs(hole.y - y) > OFF_PLACE_MM) wrong.push(`cross ${i + 1}`);
  });
  if (bed.holes.length !== 2 * mainsMm.length + crossesMm.length) wrong.push('number of holes');
  return wrong;
}

const ends = (segment: Segment): readonly [HolePlace, HolePlace] =>
  segment.kind === 'tail' ? [segment.at, segment.at] : [segment.from, segment.to];

/** The drawn length of all strings between the rims, mm: two mains a number, one cross. */
function drawnInsideMm({ mainsMm, crossesMm, outline }: DrawnFrame): number {
  const mains = mainsMm.map(
    (x) => 2 * (rimAtX(outline, x, 'head').y - rimAtX(outline, x, 'throat').y),
  );
  const crosses = crossesMm.map((y) => 2 * rimAtY(outline, y).x);
  return [...mains, ...crosses].reduce((total, each) => total + each, 0);
}

function jobWrong(frame: DrawnFrame, bed: Bed, method: Method, chance: Chance): readonly string[] {
  const wrong: string[] = [];
  const { path, pieces } = planCut(
    bed,
    { mains: STRING, crosses: STRING },
    { method, shortSide: chance.one(SIDES), crossStart: chance.one(SIDES) },
    USUAL_ASSUMPTIONS,
  );
  const inside = path.pieces.flatMap(({ segments }) => segments.filter(isInside));
  const strung = new Set(inside.map(({ string }) => string));
  if (strung.size !== frame.mains + frame.crosses || inside.length !== strung.size)
    wrong.push('a string missing or strung twice');
  if (String(path.order.toSorted()) !== String([...strung].sort())) wrong.push('order of the pull');

  for (const { segments, name } of path.pieces)
    segments.forEach((segment, i) => {
      const next = segments[i + 1];
      if (next && placeName(ends(segment)[1]) !== placeName(ends(next)[0]))
        wrong.push(`${name} jumps from ${placeName(ends(segment)[1])}`);
    });
  for (const { string, crossings } of inside)
    crossings.forEach(({ string: crossed, over }, i) => {
      if (i > 0 && crossings[i - 1]?.over === over) wrong.push(`${string} does not weave`);
      const back = inside.find((each) => each.string === crossed);
      const same = back?.crossings.find((each) => each.string === string);
      if (!same || same.over === over) wrong.push(`${string} and ${crossed} disagree`);
    });

  const partMm = (piece: (typeof pieces)[number], part: string) =>
    piece.parts.find(({ name }) => name === part)?.mm ?? 0;
  const insideMm = pieces.reduce((sum, piece) => sum + partMm(piece, 'inside strings'), 0);
  const drawnMm = drawnInsideMm(frame);
  if (!(Math.abs(insideMm / drawnMm - 1) <= LENGTH_OFF))
    wrong.push(`inside strings ${insideMm.toFixed(0)} mm for ${drawnMm.toFixed(0)}`);
  for (const piece of pieces) {
    const sum = piece.parts.reduce((total, { mm }) => total + mm, 0);
    if (!(Math.abs(sum - piece.cutMm) < 1e-6 && piece.cutMm > partMm(piece, 'inside strings')))
      wrong.push(`parts of the ${piece.name}`);
  }

  const made = benchSequence({
    bed,
    path,
    tension: ticketOf(24, 23, 'kg'),
    custom: USUAL_HOUSE,
    machine: USUAL_MACHINE,
    preStretch: [],
    shortMm: {},
  });
  if (!made.ok) wrong.push(`the bench: ${made.problem}`);
  else if (String([...made.value.pulls.keys()].sort()) !== String([...strung].sort()))
    wrong.push('a string that is never pulled');
  return wrong;
}
