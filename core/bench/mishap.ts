/** What goes wrong at the bench, and the honest ways out of it. */
import type { Mm } from '../measure/quantities';
import { isMain, type StringName } from '../terms/string-name';
import { z } from 'zod';
import { say } from '../terms/words/english';
import type { BenchStep } from './plan';
import { isInside, type Piece } from '../path/segments';
import { strungAfter, type Sequence } from './sequence';
import { undoSteps, type UndoStep } from './undo';

export const mishapSchema = z.enum([
  'string broke',
  'clamp slipped',
  'wrong hole',
  'short of string',
  'frame cracked',
  'pulled again',
]);
export type Mishap = z.infer<typeof mishapSchema>;

/**
 * What is said to have gone wrong.
 *
 * @example
 * mishapWords('string broke') // 'The string broke'
 */
export const mishapWords = (mishap: Mishap): string => say(`mishap.${mishap}`);

/** What a way out is, whatever its title says; jobs at the bench go by it. */
export const wayIdSchema = z.enum([
  'write down',
  'pull again',
  'go back',
  'take the load off',
  'bridge',
  'begin again',
  'patch',
]);
export type WayId = z.infer<typeof wayIdSchema>;

/** How the titles began while jobs were kept by their title. */
const FIRST_WORDS: Record<WayId, string> = {
  'write down': 'Write down',
  'pull again': 'Pull ',
  'go back': 'Go back',
  'take the load off': 'Stop,',
  bridge: 'Bridge',
  'begin again': 'Begin',
  patch: 'Patch',
};

/**
 * The way out that a title of then stood for; undefined for none.
 *
 * @example
 * wayTitled('Go back to before M4R') // 'go back'
 */
export const wayTitled = (title: string): WayId | undefined =>
  wayIdSchema.options.find((id) => title.startsWith(FIRST_WORDS[id]));

export interface WayOut {
  readonly id: WayId;
  readonly title: string;
  /** What is done by hand, in its order. */
  readonly words: readonly string[];
  /** What is undone before the words, the latest first. */
  readonly undo: readonly UndoStep[];
  /** Steps that are done once it is carried out. */
  readonly done: number;
  /** What the client should hear. */
  readonly tell?: string;
  readonly caution?: string;
}

/**
 * The string that a mishap at this step is most likely about: the one in hand, else the last that went in.
 *
 * @example
 * stringInHand(usual.sequence, usual.sequence.steps.length) // 'C19'
 */
export function stringInHand(sequence: Sequence, done: number): StringName | undefined {
  return sequence.steps[done]?.string ?? strungAfter(sequence, done).at(-1);
}

/** Index of the step with which a string came in. */
export const cameInWith = (steps: readonly BenchStep[], string: StringName): number =>
  steps.findIndex(({ actions }) =>
    actions.some((action) => action.do === 'thread' && action.string === string),
  );

/**
 * The ways out of a mishap with a string after `done` steps, the most usual first. A cracked frame
 * has one only: the load comes off.
 *
 * @example
 * waysOut(usual.sequence, 20, 'frame cracked', undefined).map(({ id }) => id) // ['take the load off']
 */
export function waysOut(
  sequence: Sequence,
  done: number,
  mishap: Mishap,
  string: StringName | undefined,
): readonly WayOut[] {
  if (mishap === 'frame cracked') return [crackedFrame(done)];
  if (string === undefined) return [];
  const piece = pieceOf(sequence, string);
  switch (mishap) {
    case 'pulled again':
      return [
        {
          id: 'write down',
          title: say('way.write down', { string }),
          words: [],
          undo: [],
          done,
        },
      ];
    case 'clamp slipped':
      return [
        {
          id: 'pull again',
          title: say('way.pull again', { string }),
          words: [say('way.pull again.1', { string }), say('way.pull again.2', { string })],
          undo: [],
          done,
        },
        back(sequence, done, string),
      ];
    case 'wrong hole':
      return [back(sequence, done, string)];
    case 'string broke':
      return [brokenPiece(sequence, done, string, piece), ...patch(sequence, done, string)];
    case 'short of string': {
      const anew = beginAgain(sequence, done, string, piece, [
        say('way.begin again.longer', { piece: piece.name }),
      ]);
      return isNearEnd(sequence, done, piece) ? [bridge(done), anew] : [anew];
    }
  }
}

/**
 * The way out that was taken from a mishap; undefined when it asks for nothing more to be done.
 *
 * @example
 * wayTaken(usual.sequence, { step: 20, mishap: 'pulled again', string: 'M4L', wayId: 'write down' }) // undefined
 */
export function wayTaken(
  sequence: Sequence,
  amiss: {
    readonly step: number;
    readonly mishap: Mishap;
    readonly string?: StringName | undefined;
    readonly wayId?: WayId | undefined;
  },
): WayOut | undefined {
  const way = waysOut(sequence, amiss.step, amiss.mishap, amiss.string).find(
    ({ id }) => id === amiss.wayId,
  );
  return way && way.words.length + way.undo.length > 0 ? way : undefined;
}

function crackedFrame(done: number): WayOut {
  return {
    id: 'take the load off',
    title: say('way.take the load off'),
    words: [
      say('way.take the load off.1'),
      say('way.take the load off.2'),
      say('way.take the load off.3'),
    ],
    undo: [],
    done,
    tell: say('way.take the load off.tell'),
    caution: say('way.take the load off.caution'),
  };
}

interface PieceFacts {
  readonly name: Piece['name'];
  readonly strings: readonly StringName[];
}

/**
 * The piece that a string is of.
 *
 * @example
 * pieceOf(usual.sequence, 'C3').name // 'crosses'
 */
export function pieceOf({ path }: Pick<Sequence, 'path'>, string: StringName): PieceFacts {
  const piece = path.pieces.find(({ segments }) =>
    segments.some((segment) => isInside(segment) && segment.string === string),
  );
  if (!piece) throw new RangeError(`There is no string ${string} in this path.`);
  return { name: piece.name, strings: piece.segments.filter(isInside).map((each) => each.string) };
}

/** No more than two of a piece's strings are still to be pulled. */
function isNearEnd(sequence: Sequence, done: number, { strings }: PieceFacts): boolean {
  const strung = strungAfter(sequence, done);
  return strings.filter((each) => !strung.includes(each)).length <= 2;
}

function back(sequence: Sequence, done: number, string: StringName): WayOut {
  const at = cameInWith(sequence.steps, string);
  const to = at < 0 ? done : Math.min(at, done);
  return {
    id: 'go back',
    title: say('way.go back', { string }),
    words: [say('way.go back.1')],
    undo: undoSteps(sequence, done, to),
    done: to,
  };
}

const bridge = (done: number): WayOut => ({
  id: 'bridge',
  title: say('way.bridge'),
  words: [say('way.bridge.1')],
  undo: [],
  done,
  caution: say('step.bridge.caution'),
});

/**
 * A piece that is lost is cut out from the middle, never let down string by string, and a new length goes in. What it
 * was cut from is gone with it.
 */
function beginAgain(
  sequence: Sequence,
  done: number,
  string: StringName,
  piece: PieceFacts,
  words: readonly string[],
): WayOut {
  const first = piece.strings
    .map((each) => cameInWith(sequence.steps, each))
    .filter((at) => at >= 0);
  const to = Math.min(done, ...first);
  const out =
    piece.name === 'crosses' ? say('way.begin again.crosses out') : say('way.begin again.all out');
  return {
    id: 'begin again',
    title: say('way.begin again', { piece: piece.name }),
    words: [...words, out, say('way.begin again.last', { piece: piece.name })],
    undo: [],
    done: to,
    tell: say('way.begin again.tell', { string, piece: piece.name }),
  };
}

const brokenPiece = (
  sequence: Sequence,
  done: number,
  string: StringName,
  piece: PieceFacts,
): WayOut => beginAgain(sequence, done, string, piece, [say('way.begin again.lost', { string })]);

/** What the two knots of a second length take beyond its share, mm. From memory. */
const PATCH_ENDS_MM = 300;

/**
 * What another length takes where crosses are gone on with from one that broke, mm: its share of the piece and two more knots.
 *
 * @param cutMm what the whole piece is cut to
 *
 * @example
 * patchMm(usual.sequence, 'C19', 5700) // 600
 */
export function patchMm({ path }: Pick<Sequence, 'path'>, from: StringName, cutMm: Mm): Mm {
  const crosses = path.order.filter((string) => !isMain(string));
  const left = crosses.length - crosses.indexOf(from);
  return (cutMm * left) / crosses.length + PATCH_ENDS_MM;
}

/**
 * The pieces that were begun again, one entry for each length that is gone.
 *
 * @example
 * lostPieces(usual.sequence, [{ wayId: 'begin again', string: 'M3L' }]) // ['mains']
 */
export const lostPieces = (
  sequence: Pick<Sequence, 'path'> | undefined,
  mishaps: readonly {
    readonly wayId?: WayId | undefined;
    readonly string?: StringName | undefined;
  }[],
): readonly Piece['name'][] =>
  mishaps.flatMap(({ wayId, string }) =>
    sequence && wayId === 'begin again' && string ? [pieceOf(sequence, string).name] : [],
  );

/** Crosses can be gone on with from a second length; a main cannot. */
function patch(sequence: Sequence, done: number, string: StringName): readonly WayOut[] {
  if (isMain(string)) return [];
  const strung = strungAfter(sequence, done).filter((each) => !isMain(each));
  const before = strung.findLast((each) => each !== string);
  if (before === undefined) return [];
  return [
    {
      id: 'patch',
      title: say('way.patch', { before, string }),
      words: [say('way.patch.1', { before, string }), say('way.patch.2')],
      undo: [],
      done,
      tell: say('way.patch.tell', { string }),
    },
  ];
}
