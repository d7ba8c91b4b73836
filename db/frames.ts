import { randomUUID } from 'node:crypto';
import { and, asc, eq, ilike, isNull, or, sql } from 'drizzle-orm';
import type { FrameSpec } from '@/core/frame/frame';
import type { Calibrated } from '@/core/load/calibrate';
import type { Connection } from './connection';
import { containing, missed, type Saved } from './saving';
import { frames } from './racket-schema';

export type Frame = typeof frames.$inferSelect;
export interface FrameFacts {
  readonly name: string;
  readonly spec: FrameSpec;
}

/** The frame library of one workshop. */
export function framesOf(db: Connection, workshopId: string) {
  const mine = eq(frames.workshopId, workshopId);
  const one = (id: string) => and(mine, eq(frames.id, id));

  return {
    find: (text: string, limit = 200, offset = 0): Promise<Frame[]> =>
      db
        .select()
        .from(frames)
        .where(and(mine, isNull(frames.removedAt), ilike(frames.name, containing(text))))
        .orderBy(asc(frames.name), asc(frames.id))
        .limit(limit)
        .offset(offset),

    /** The whole library: all that are there, and `also` one that a racket has though it was removed since. */
    all: (also?: string | null): Promise<Frame[]> =>
      db
        .select()
        .from(frames)
        .where(and(mine, or(isNull(frames.removedAt), also ? eq(frames.id, also) : undefined)))
        .orderBy(asc(frames.name), asc(frames.id)),

    async get(id: string): Promise<Frame | undefined> {
      const [row] = await db.select().from(frames).where(one(id));
      return row;
    },

    /** Adds a row under an id made by its form; the same form sent twice adds one. */
    async add({ name, spec }: FrameFacts, id: string = randomUUID()): Promise<void> {
      await db
        .insert(frames)
        .values({ id, name, spec, sport: spec.sport, workshopId })
        .onConflictDoNothing();
    },

    async change(id: string, version: number, { name, spec }: FrameFacts): Promise<Saved> {
      const { rowCount } = await db
        .update(frames)
        .set({ name, spec, sport: spec.sport, version: version + 1 })
        .where(and(one(id), eq(frames.version, version), isNull(frames.removedAt)));
      return rowCount ? 'saved' : missed(await this.get(id), { name, spec });
    },

    /** Its hoop was measured; that is no edit of the frame, so no open form on it is late. */
    async measureHoop(id: string, { factor, errorMm }: Calibrated): Promise<void> {
      await db.update(frames).set({ hoopFactor: factor, hoopErrorMm: errorMm }).where(one(id));
    },

    async setRemoved(id: string, removed: boolean): Promise<void> {
      await db
        .update(frames)
        .set({ removedAt: removed ? new Date() : null, version: sql`${frames.version} + 1` })
        .where(one(id));
    },
  };
}
