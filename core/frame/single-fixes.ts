/** The single changes after which the facts of a frame hold together. */
import { checkFrame } from './contradictions';
import type { FrameField, FrameSpec } from './frame';
import { letter } from './holes';
import { ENDS, opposite } from '../terms/ends';

/** One change after which the facts of a frame hold together. */
export interface Mend {
  readonly field: FrameField;
  /** `Skips at the throat: 7 9 instead of 7`. */
  readonly says: string;
  readonly spec: FrameSpec;
}

const MOST_MENDS = 6;

/**
 * The single changes that would mend a frame, the most specific first; none for a sound one.
 *
 * @example
 * singleFixes(usual.spec) // []
 */
export function singleFixes(spec: FrameSpec): readonly Mend[] {
  if (checkFrame(spec).ok) return [];
  const seen = new Set<string>();
  const found: Mend[] = [];
  for (const edit of singleChanges(spec)) {
    if (found.length === MOST_MENDS) break;
    if (seen.has(edit.says) || !checkFrame(edit.spec).ok) continue;
    seen.add(edit.says);
    found.push(edit);
  }
  return found;
}

const listed = (numbers: readonly (number | string)[] | null): string =>
  numbers === null ? 'not read' : numbers.length > 0 ? numbers.join(' ') : 'none';

function* singleChanges(spec: FrameSpec): Generator<Mend> {
  const { pattern, holes, bridgeHoles, stringing } = spec;
  for (const by of [-1, 1, -2, 2]) {
    const mains = pattern.mains + by;
    yield {
      field: 'mains',
      says: `${mains} mains instead of ${pattern.mains}`,
      spec: { ...spec, pattern: { ...pattern, mains } },
    };
  }
  for (const end of ENDS) {
    const { skip, outermost } = holes[end];
    const change = (to: number[] | null): Mend => ({
      field: end === 'head' ? 'headSkip' : 'throatSkip',
      says: `Skips at the ${end}: ${listed(to)} instead of ${listed(skip)}`,
      spec: { ...spec, holes: { ...holes, [end]: { ...holes[end], skip: to } } },
    });
    if (skip !== null) {
      const other = holes[opposite(end)].skip;
      if (other !== null) yield change(other);
      for (const gone of skip) yield change(skip.filter((hole) => hole !== gone));
      for (let hole = pattern.mains / 2 - 3; hole <= pattern.mains / 2 + skip.length; hole++)
        if (hole > 0 && !skip.includes(hole)) yield change([...skip, hole].sort((a, b) => a - b));
    }
    if (outermost !== null)
      for (const by of [-1, 1, -2, 2])
        yield {
          field: end === 'head' ? 'headOutermost' : 'throatOutermost',
          says: `Outermost main in ${outermost + by}${letter(end)} instead of ${outermost}${letter(end)}`,
          spec: {
            ...spec,
            holes: { ...holes, [end]: { ...holes[end], outermost: outermost + by } },
          },
        };
  }
  for (const by of [-1, 1, -2, 2]) {
    const crosses = pattern.crosses + by;
    yield {
      field: 'crosses',
      says: `${crosses} crosses instead of ${pattern.crosses}`,
      spec: { ...spec, pattern: { ...pattern, crosses } },
    };
  }
  if (bridgeHoles !== null)
    for (const by of [2, -2, 1, -1])
      yield {
        field: 'bridgeHoles',
        says: `${bridgeHoles + by} holes in the bridge instead of ${bridgeHoles}`,
        spec: { ...spec, bridgeHoles: bridgeHoles + by },
      };
  if (stringing.mainsStart !== null) {
    const turned = opposite(stringing.mainsStart);
    yield {
      field: 'mainsStart',
      says: `Mains start at the ${turned} instead of the ${stringing.mainsStart}`,
      spec: { ...spec, stringing: { ...stringing, mainsStart: turned } },
    };
  }
  for (const field of ['shared', 'tieOff', 'double', 'ports'] as const)
    for (const gone of holes[field]) {
      const rest = holes[field].filter((label) => label !== gone);
      const name = {
        shared: 'Shared holes',
        tieOff: 'Tie-off holes',
        double: 'Double holes',
        ports: 'Open ports',
      }[field];
      yield {
        field,
        says: `${name}: ${listed(rest)} instead of ${listed(holes[field])}`,
        spec: { ...spec, holes: { ...holes, [field]: rest } },
      };
    }
  if (stringing.reversedOuterMains)
    yield {
      field: 'reversedOuterMains',
      says: 'Outer mains in their usual order',
      spec: { ...spec, stringing: { ...stringing, reversedOuterMains: false } },
    };
}
