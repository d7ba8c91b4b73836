/** What goes wrong at the bench, and the honest ways out of it. */
import { z } from 'zod';
import type { BenchStep } from './plan';
import { isInside, isMain } from '../path/segments';
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

export const MISHAP_WORDS: Record<Mishap, string> = {
  'string broke': 'The string broke',
  'clamp slipped': 'A clamp slipped',
  'wrong hole': 'A string is in the wrong hole',
  'short of string': 'The string is too short',
  'frame cracked': 'The frame cracks',
  'pulled again': 'I pulled it again',
};

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

/** The string that a mishap at this step is most likely about: the one in hand, else the last that went in. */
export function stringInHand({ steps }: Sequence, done: number): string | undefined {
  return steps[done]?.string ?? strungAfter(steps, done).at(-1);
}

/** Index of the step with which a string came in. */
export const cameInWith = (steps: readonly BenchStep[], string: string): number =>
  steps.findIndex(({ actions }) =>
    actions.some((action) => action.do === 'thread' && action.string === string),
  );

/**
 * The ways out of a mishap with a string after `done` steps, the most usual first. A cracked frame
 * has one only: the load comes off.
 */
export function waysOut(
  sequence: Sequence,
  done: number,
  mishap: Mishap,
  string: string | undefined,
): readonly WayOut[] {
  if (mishap === 'frame cracked') return [crackedFrame(done)];
  if (string === undefined) return [];
  const piece = pieceOf(sequence, string);
  switch (mishap) {
    case 'pulled again':
      return [
        {
          id: 'write down',
          title: `Write down that ${string} was pulled again`,
          words: [],
          undo: [],
          done,
        },
      ];
    case 'clamp slipped':
      return [
        {
          id: 'pull again',
          title: `Pull ${string} again`,
          words: [
            `Take the tail of ${string} in the head at its figure; clean the clamp and set it as loosely as holds.`,
            `Look at ${string} where the clamp was: tooth marks or flat spots mean that it comes out.`,
          ],
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
        `Cut the new length for ${pieceWords(piece)} longer than the old one: lay the old one beside it.`,
      ]);
      return isNearEnd(sequence, done, piece) ? [bridge(done), anew] : [anew];
    }
  }
}

/** The way out that was taken from a mishap; undefined when it asks for nothing more to be done. */
export function wayTaken(
  sequence: Sequence,
  amiss: {
    readonly step: number;
    readonly mishap: Mishap;
    readonly string?: string | undefined;
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
    title: 'Stop, and take the load off',
    words: [
      'Let the head down. Pull no more.',
      'Cut the strings out from the centre in a plus, a few at a time, so that the load leaves evenly.',
      'Then open the mounts, mark the crack, and keep the racket as it is for the client.',
    ],
    undo: [],
    done,
    tell: 'A crack showed in your frame at the bench, so the stringing was stopped and the strings were cut out. Please come and look at it; the maker decides on a guarantee.',
    caution: 'A cracking frame can give way at once: glasses on, hands off the hoop.',
  };
}

interface PieceFacts {
  readonly name: Sequence['path']['pieces'][number]['name'];
  readonly strings: readonly string[];
}

function pieceOf({ path }: Sequence, string: string): PieceFacts {
  const piece = path.pieces.find(({ segments }) =>
    segments.some((segment) => isInside(segment) && segment.string === string),
  );
  if (!piece) throw new RangeError(`There is no string ${string} in this path.`);
  return { name: piece.name, strings: piece.segments.filter(isInside).map((each) => each.string) };
}

/** No more than two of a piece's strings are still to be pulled. */
function isNearEnd({ steps }: Sequence, done: number, { strings }: PieceFacts): boolean {
  const strung = strungAfter(steps, done);
  return strings.filter((each) => !strung.includes(each)).length <= 2;
}

function back({ steps }: Sequence, done: number, string: string): WayOut {
  const at = cameInWith(steps, string);
  const to = at < 0 ? done : Math.min(at, done);
  return {
    id: 'go back',
    title: `Go back to before ${string}`,
    words: ['Go on from there with the next step.'],
    undo: undoSteps(steps, done, to),
    done: to,
  };
}

const bridge = (done: number): WayOut => ({
  id: 'bridge',
  title: 'Bridge the last pulls',
  words: [
    'A second clamp holds the tail, a length of scrap string goes from it to the head. Good for a hand’s breadth, not for a string.',
  ],
  undo: [],
  done,
  caution: 'A bridge that slips lets the tail fly: glasses on, face aside.',
});

const pieceWords = ({ name }: PieceFacts): string =>
  name === 'whole' ? 'the whole bed' : `the ${name}`;

/** Everything of a piece comes out in its order, and a new length goes in. */
function beginAgain(
  { steps }: Sequence,
  done: number,
  string: string,
  piece: PieceFacts,
  words: readonly string[],
): WayOut {
  const first = piece.strings.map((each) => cameInWith(steps, each)).filter((at) => at >= 0);
  const to = Math.min(done, ...first);
  return {
    id: 'begin again',
    title: `Begin ${pieceWords(piece)} again with a new length`,
    words: [...words, `Take a new length, and go on from the start of ${pieceWords(piece)}.`],
    undo: undoSteps(steps, done, to),
    done: to,
    tell: `A string did not last while your racket was strung (at ${string}), so a fresh length went in for ${pieceWords(piece)}. It may take longer than promised.`,
  };
}

/**
 * A string that broke in hand leaves all behind it on its clamps, to be let down in turn. One that was in
 * already has taken its whole piece with it.
 */
function brokenPiece(sequence: Sequence, done: number, string: string, piece: PieceFacts): WayOut {
  const lost = `${string} is lost: let the head down, and nobody stands in line with it.`;
  if (!strungAfter(sequence.steps, done).includes(string))
    return beginAgain(sequence, done, string, piece, [lost]);
  const out =
    piece.name === 'crosses'
      ? 'Free the clamps of the crosses and draw the crosses out, the last first; the mains stay.'
      : 'Cut what is in out from the centre in a plus, a few strings at a time; then free the clamps.';
  return { ...beginAgain(sequence, done, string, piece, [lost, out]), undo: [] };
}

/** Crosses can be gone on with from a second length; a main cannot. */
function patch(sequence: Sequence, done: number, string: string): readonly WayOut[] {
  if (isMain(string)) return [];
  const strung = strungAfter(sequence.steps, done).filter((each) => !isMain(each));
  const before = strung.findLast((each) => each !== string);
  if (before === undefined) return [];
  return [
    {
      id: 'patch',
      title: `Patch: tie ${before} off and go on from ${string} with a second length`,
      words: [
        `Tie ${before} off at the nearest tie-off hole, and start ${string} with a second length on a knot or a starting clamp.`,
        'Two knots more, and a softer place beside them: for a bed that must last until a new one, not for a match.',
      ],
      undo: [],
      done,
      tell: `A cross broke while your racket was strung. It was patched at ${string} with a second length: two knots more than usual. A new bed at the next chance is the better answer.`,
    },
  ];
}
