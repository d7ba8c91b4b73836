/** What a reading says: what was seen, what it comes from, what to do, and what the owner hears. */
import { message, type Message } from '../terms/words/english';
import type { BedSeen } from './seen';
import type { Outcome, PlainSign, Sign, SignSeen } from './signs';
import type { Story } from './stories';

/** Every sign that can be one of a few has a sentence for each. */
type PlainSeen = { [S in PlainSign]: `seen.${S}.${Outcome<S>}` }[PlainSign];

/**
 * What was seen of a sign, in words.
 *
 * @example
 * seenWords({ sign: 'cross bow', value: 4 }).values.towards // 'head'
 */
export function seenWords(seen: SignSeen): Message {
  if ('outcome' in seen) return message(`seen.${seen.sign}.${seen.outcome}` as PlainSeen);
  const { sign, value } = seen;
  const mm = Math.abs(value).toFixed(1);
  switch (sign) {
    case 'cross bow':
      return Math.abs(value) < 1
        ? message('seen.crosses straight')
        : message('seen.cross bow', { mm, towards: value > 0 ? 'head' : 'throat' });
    case 'main bow':
      return Math.abs(value) < 1
        ? message('seen.mains straight')
        : message('seen.main bow', { mm, towards: value > 0 ? 'right' : 'left' });
    case 'balance':
      return Math.abs(value) < 1
        ? message('seen.balance.even')
        : message('seen.balance', { side: value > 0 ? 'right' : 'left', percent: mm });
    case 'pitch':
      return message('seen.pitch', { percent: Math.round(value * 100) });
  }
}

/**
 * Where to look.
 *
 * @example
 * lookWords('weave').key // 'sign.weave'
 */
export const lookWords = (sign: Sign): Message => message(`sign.${sign}`);

/**
 * What it comes from; null is a bed as it should be.
 *
 * @example
 * storyWords(null).key // 'story.none'
 */
export const storyWords = (story: Story | null): Message => message(`story.${story ?? 'none'}`);

/**
 * What its owner hears, without blame.
 *
 * @example
 * clientWords('weave fault').key // 'story.weave fault.tell'
 */
export const clientWords = (story: Story | null): Message =>
  message(`story.${story ?? 'none'}.tell`);

/**
 * The same of all that was found; of a bed as it should be where nothing was.
 *
 * @example
 * tellWords([]).map(({ key }) => key) // ['story.none.tell']
 */
export const tellWords = (found: readonly Story[]): readonly Message[] =>
  found.length > 0 ? found.map(clientWords) : [clientWords(null)];

const TO_DO = ['leave', 'watch', 'cut out'] as const;
type ToDo = (typeof TO_DO)[number];

/**
 * The deed itself.
 *
 * @example
 * toDoWords('watch').key // 'do.watch'
 */
export const toDoWords = (what: ToDo): Message => message(`do.${what}`);

export interface Deed {
  readonly what: ToDo;
  readonly why: Message;
}

const NEXT_TIME: Deed = { what: 'leave', why: message('do.next time') };

/** Common practice where a load or an arm is concerned; the rest from memory. */
function deedFor(story: Story, { marks }: BedSeen): Deed {
  switch (story) {
    case 'crosses from the throat up':
      return { what: 'watch', why: message('do.frame') };
    case 'straightened too late':
      return { what: 'watch', why: message('do.soft') };
    case 'mains piece too short':
      return { what: 'watch', why: message('do.edge') };
    case 'wrong skip':
      return { what: 'watch', why: message('do.wear') };
    case 'wrong start':
      return { what: 'cut out', why: message('do.leap') };
    case 'one side ahead':
      return { what: 'watch', why: message('do.halves') };
    case 'clamps too tight':
      return marks === 'many'
        ? { what: 'cut out', why: message('do.marks') }
        : { what: 'watch', why: message('do.few marks') };
    case 'knots in ordinary holes':
      return { what: 'watch', why: message('do.grommet') };
    case 'string dead':
      return { what: 'cut out', why: message('do.dead') };
    case 'never straightened':
    case 'weave fault':
      return NEXT_TIME;
  }
}

/**
 * What to do now with a bed of these stories: the most urgent of them, with its reason.
 *
 * @example
 * toDo([], { marks: null }).what // 'leave'
 */
export function toDo(stories: readonly Story[], seen: BedSeen): Deed {
  const [most] = stories
    .map((story) => deedFor(story, seen))
    .toSorted((a, b) => TO_DO.indexOf(b.what) - TO_DO.indexOf(a.what));
  return most ?? { what: 'leave', why: message('do.nothing') };
}
