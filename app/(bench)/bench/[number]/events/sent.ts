/** What a bench and the server say to each other of its events. */
import { z } from 'zod';
import { benchEventSchema } from '@/core/bench/log';

/** Events that are taken at once; a longer backlog is sent in parts. */
export const MOST_EVENTS = 500;

export const sentSchema = z.object({
  /** The workshop that the bench was opened in. */
  madeFor: z.string(),
  /** How many events of this job the bench knows to be kept. */
  known: z.number().int().min(0),
  /** Looked at one by one, so that a bad one does not keep out the sound ones. */
  events: z.array(z.unknown()).max(MOST_EVENTS),
});

export type SentEvents = z.infer<typeof sentSchema>;

const setAsideSchema = z.object({
  /** Its place among the events that were sent. */
  at: z.number(),
  why: z.string(),
});
export type SetAside = z.infer<typeof setAsideSchema>;

export const keptSchema = z.object({
  /** The job was closed: what comes now is kept as late. */
  closed: z.boolean(),
  /** Events that are not kept and never will be. */
  setAside: z.array(setAsideSchema),
  /** All events that are kept, unless the bench knows them already. */
  events: z.array(benchEventSchema).optional(),
});
export type KeptEvents = z.infer<typeof keptSchema>;
