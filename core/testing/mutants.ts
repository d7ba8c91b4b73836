/** Jobs at the bench with one thing wrong in them, as a slip of the program or of a plan would make it. */
import type { StringName } from '../terms/string-name';
import type { Bed } from '../frame/bed';
import { placeName, type HolePlace } from '../path/segments';
import { MACHINE_CLAMPS, type Action } from '../bench/actions';
import { otherSide } from '../terms/ends';

export interface Mutant {
  readonly what: string;
  readonly actions: readonly Action[];
}

/** `pick(n)` gives a whole number below n. */
type Pick = (n: number) => number;

const oneOf = <T>(pick: Pick, values: readonly T[]): T => values[pick(values.length)] as T;

const anywhere = (bed: Bed, pick: Pick): HolePlace => ({
  hole: oneOf(pick, bed.holes),
  side: oneOf(pick, ['left', 'right'] as const),
});

/** The same action with one of its facts wrong; undefined when it has none that could be. */
function spoilt(
  action: Action,
  bed: Bed,
  pick: Pick,
  strings: readonly StringName[],
): Action | undefined {
  const stray = oneOf(pick, strings);
  switch (action.do) {
    case 'thread':
      return pick(2)
        ? { ...action, string: stray }
        : {
            ...action,
            through: pick(2)
              ? [placeName(anywhere(bed, pick)), action.through[1]]
              : [action.through[0], placeName(anywhere(bed, pick))],
          };
    case 'open':
      return { ...action, at: anywhere(bed, pick) };
    case 'grip outside':
      return pick(2) ? { ...action, string: stray } : { ...action, way: action.way === 1 ? -1 : 1 };
    case 'pull':
      return oneOf(pick, [
        { ...action, string: stray },
        { ...action, way: action.way === 1 ? -1 : 1 },
        { ...action, pullN: Number.NaN },
        { ...action, pullN: -action.pullN },
        { ...action, pullN: action.pullN / 2 },
        { ...action, pullN: action.pullN * 1.1 },
        { ...action, pullN: Infinity },
        { ...action, pullN: 0 },
      ] as const);
    case 'clamp':
      return pick(2)
        ? { ...action, string: stray }
        : { ...action, holder: oneOf(pick, MACHINE_CLAMPS) };
    case 'free':
      return { ...action, holder: oneOf(pick, [...MACHINE_CLAMPS, 'starting clamp'] as const) };
    case 'tie':
      return oneOf(pick, [
        { ...action, at: anywhere(bed, pick) },
        { ...action, at: { ...action.at, side: otherSide(action.at.side) } },
        { ...action, string: stray },
        { ...action, way: action.way === 1 ? -1 : 1 },
      ] as const);
    case 'let go':
      return undefined;
  }
}

/** One mutant of a job: an action left out, done twice, done in another order, or wrong in itself. */
export function mutantOf(
  actions: readonly Action[],
  bed: Bed,
  strings: readonly StringName[],
  pick: Pick,
): Mutant | undefined {
  const at = pick(actions.length);
  const action = actions[at] as Action;
  const told = `${at}: ${JSON.stringify({ ...action, at: undefined })}`;
  const kind = pick(8);
  if (kind === 0) return { what: `left out ${told}`, actions: actions.filter((_, i) => i !== at) };
  if (kind === 1) return { what: `twice ${told}`, actions: actions.toSpliced(at, 0, action) };
  if (kind === 2) {
    const to = Math.min(actions.length - 1, at + 1 + pick(12));
    const moved = actions.toSpliced(at, 1).toSpliced(to, 0, action);
    return { what: `later by ${to - at} ${told}`, actions: moved };
  }
  if (kind === 3)
    return {
      what: `a strand in passing before ${told}`,
      actions: actions.toSpliced(at, 0, { do: 'open', at: anywhere(bed, pick) }),
    };
  const wrong = spoilt(action, bed, pick, strings);
  return (
    wrong && {
      what: `spoilt ${told} to ${JSON.stringify({ ...wrong, at: undefined })}`,
      actions: actions.with(at, wrong),
    }
  );
}
