'use server';

import { action, entryOf, rowId, rowVersion } from '@/app/action';
import { answerTo, answerToAdded, misread, refused, said } from '@/app/answers';
import { benchSchema, type BenchEntry } from './bench-entry';

const entry = entryOf<BenchEntry>();

export const addBench = action(
  'change machines',
  refused,
  [rowId, entry],
  async ({ benches }, newId, typed) => {
    const read = benchSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    await benches.add(read.data, newId);
    return answerToAdded(await benches.get(newId), read.data, '/workshop/benches');
  },
);

export const changeBench = action(
  'change machines',
  refused,
  [rowId, rowVersion, entry],
  async ({ benches }, benchId, version, typed) => {
    const read = benchSchema.safeParse(typed);
    if (!read.success) return misread(read.error);
    return answerTo(
      await benches.change(benchId, version, read.data),
      'bench',
      '/workshop/benches',
    );
  },
);

export const removeBench = action(
  'change machines',
  said,
  [rowId],
  async ({ benches }, benchId) => {
    await benches.setRemoved(benchId, true);
  },
);

export const restoreBench = action(
  'change machines',
  said,
  [rowId],
  async ({ benches }, benchId) => {
    await benches.setRemoved(benchId, false);
  },
);
