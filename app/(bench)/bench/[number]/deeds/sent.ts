/** What a bench and the server say to each other of its deeds. */
import { z } from 'zod';
import { loggedDeedSchema } from '@/core/bench/log';

/** Events that are taken at once; a longer backlog is sent in parts. */
export const MOST_DEEDS = 500;

export const sentSchema = z.object({
  /** The workshop that the bench was opened in. */
  madeFor: z.string(),
  /** How many deeds of this job the bench knows to be kept. */
  known: z.number().int().min(0),
  /** Looked at one by one, so that a bad one does not keep out the sound ones. */
  deeds: z.array(z.unknown()).max(MOST_DEEDS),
});

export type SentDeeds = z.infer<typeof sentSchema>;

const setAsideSchema = z.object({
  /** Its place among the deeds that were sent. */
  at: z.number(),
  why: z.string(),
});
export type SetAside = z.infer<typeof setAsideSchema>;

export const keptSchema = z.object({
  /** The job was closed: what comes now is kept as late. */
  closed: z.boolean(),
  /** Events that are not kept and never will be. */
  setAside: z.array(setAsideSchema),
  /** All deeds that are kept, unless the bench knows them already. */
  deeds: z.array(loggedDeedSchema).optional(),
});
export type KeptDeeds = z.infer<typeof keptSchema>;
