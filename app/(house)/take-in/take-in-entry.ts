import { z } from 'zod';
import { parsePromise, type WallTime } from '@/core/measure/promised-time';
import { lineText, noteText, typed, textIn } from '@/core/measure/typed';
import { success } from '@/core/terms/result';

const idOrNone = z.union([z.uuid(), z.literal('')]);

/** What stays editable after the racket has come in. A promise that was given stands, also once it has passed. */
export const askedSchema = (now: WallTime, given?: WallTime) =>
  z.object({
    promised: typed((text) =>
      given !== undefined && text.trim() === promiseEntry(given)
        ? success(given)
        : parsePromise(text, now),
    ),
    wish: noteText,
    condition: noteText,
  });

export type AskedEntry = z.input<ReturnType<typeof askedSchema>>;

/** A promise as its field shows it. */
export const promiseEntry = (given: WallTime): string => given.replace('T', ' ');

/** One more racket of the same visit. */
const moreSchema = z.object({
  requestKey: z.uuid(),
  racketId: idOrNone,
  frameId: idOrNone,
  frameLabel: textIn,
  mark: lineText('the mark'),
  /** Its own, where they are not all alike. */
  wish: noteText,
});

/** More than these come in a second visit. */
export const MOST_MORE = 19;

/** A racket over the counter: who, which, when, what they ask for and what shape it is in. */
export const takeInSchema = (now: WallTime, given?: WallTime) =>
  askedSchema(now, given)
    .extend({
      /** One per form, so that a form that is sent twice makes one ticket. */
      requestKey: z.uuid(),
      clientId: idOrNone,
      clientName: textIn,
      /** Somebody said that this client is new; a name alone is no client yet. */
      newClient: z.boolean(),
      contact: lineText('the contact'),
      racketId: idOrNone,
      frameId: idOrNone,
      /** The frame in the client's words while it is not in the library. */
      frameLabel: textIn,
      mark: lineText('the mark'),
      more: z.array(moreSchema).max(MOST_MORE, 'At most 20 rackets at once.'),
      /** What they ask for holds for all of them. */
      alike: z.boolean(),
      /** Number of the job that this one repeats. */
      again: z.string().regex(/^\d{0,9}$/),
    })
    .superRefine((entry, context) => {
      const add = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: path.split('.'), message });
      if (!entry.clientId && entry.clientName.trim() === '')
        add('clientName', 'Whose racket is it? Type a few letters of the name, or a new name.');
      else if (!entry.clientId && !entry.newClient)
        add(
          'clientName',
          `Nobody is chosen yet: take one from the list, or “New client: ${entry.clientName.trim().slice(0, 40)}” at its end.`,
        );
      if (entry.clientName.length > 120)
        add('clientName', 'Keep the client’s name under 120 letters.');
      if (!entry.racketId && !entry.frameId && entry.frameLabel.trim() === '')
        add(
          'frameLabel',
          'Which frame is it? Choose it from the library, or type what stands on it.',
        );
      if (entry.frameLabel.length > 120)
        add('frameLabel', 'Keep the frame’s name under 120 letters.');
      const chosen = entry.racketId ? [entry.racketId] : [];
      entry.more.forEach(({ racketId, frameId, frameLabel }, i) => {
        if (!racketId && !frameId && frameLabel.trim() === '')
          add(`more.${i}.frameLabel`, 'Which frame is it? Or take this racket off again.');
        if (frameLabel.length > 120)
          add(`more.${i}.frameLabel`, 'Keep the frame’s name under 120 letters.');
        if (racketId && chosen.includes(racketId))
          add(`more.${i}.racketId`, 'This racket stands here twice.');
        if (racketId) chosen.push(racketId);
      });
    });

export type TakeInEntry = z.input<ReturnType<typeof takeInSchema>>;
export type ReadTakeIn = z.output<ReturnType<typeof takeInSchema>>;
