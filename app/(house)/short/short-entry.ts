import { z } from 'zod';
import type { WallTime } from '@/core/measure/promised-time';
import type { TensionUnit } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { takeInSchema, type ReadTakeIn, type TakeInEntry } from '../take-in/take-in-entry';
import {
  NO_STRINGS,
  stringsSchema,
  type ReadStrings,
  type StringsEntry,
} from '../tickets/[number]/setup/strings-entry';

/** Where the ticket opens once it is made. */
const OPENS_AT = ['bench', 'inspect', 'frame', 'setup', 'cut'] as const;
export type OpensAt = (typeof OPENS_AT)[number];

/** A station that has work left when no string is chosen yet. */
const WITHOUT_STRINGS: readonly OpensAt[] = ['inspect', 'frame', 'setup'];

/** A racket on one page: what the counter asks, what it is strung with, and where to go on. */
export interface ShortEntry
  extends Omit<TakeInEntry, 'more' | 'alike' | 'condition'>, StringsEntry {
  /** Somebody looked, and found nothing. */
  readonly whole: boolean;
  readonly opensAt: OpensAt;
}

export interface ReadShort {
  readonly counter: ReadTakeIn;
  /** Left out where its frame is not known yet, or its strings are chosen later. */
  readonly strings: ReadStrings | undefined;
  readonly whole: boolean;
  readonly opensAt: OpensAt;
}

/** What belongs to the page beside the counter and the strings. */
const ownSchema = z.object({ whole: z.boolean(), opensAt: z.enum(OPENS_AT) });

/** The frame that the strings are chosen for, once it is known. */
export interface ForFrame {
  readonly sport: Sport;
  readonly unit: TensionUnit;
}

/** Whether no string was chosen, and none is needed where the ticket opens. */
const isLater = (entry: ShortEntry, opensAt: OpensAt): boolean =>
  WITHOUT_STRINGS.includes(opensAt) && entry.mainStringId === '' && entry.tension.trim() === '';

/** A promise that was given on a ticket stands, also once it has passed. */
export const shortSchema = (now: WallTime, frame: ForFrame | undefined, given?: WallTime) => {
  const counterSchema = takeInSchema(now, given);
  return z
    .custom<ShortEntry>((value) => typeof value === 'object' && value !== null)
    .transform((entry, context): ReadShort => {
      const own = ownSchema.safeParse(entry);
      const counter = counterSchema.safeParse({ ...entry, more: [], alike: true, condition: '' });
      const opensAt = own.data?.opensAt ?? 'bench';
      const strings =
        frame && !isLater({ ...NO_STRINGS, ...entry }, opensAt)
          ? stringsSchema(frame.sport, frame.unit).safeParse(entry)
          : undefined;
      for (const { error } of [own, counter, ...(strings ? [strings] : [])])
        for (const { path, message } of error?.issues ?? [])
          context.addIssue({ code: 'custom', path: [...path], message });
      if (!own.data || !counter.data || (strings && !strings.data)) return z.NEVER;
      return { ...own.data, counter: counter.data, strings: strings?.data };
    });
};
