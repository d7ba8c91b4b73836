/** A racket of the demo that was strung elsewhere, with what was seen of its bed; and the last looks at the latest jobs. */
import { randomUUID } from 'node:crypto';
import { wallTime } from '@/core/measure/promised-time';
import { ALL_GOOD, type LastLook } from '@/core/reading/last-look';
import { NOTHING_SEEN, type BedSeen } from '@/core/reading/seen';
import type { Connection } from '../connection';
import { bedsRead } from '../reading-schema';
import { rackets } from '../racket-schema';

const DAY = 24 * 60 * 60 * 1000;
const STRUNG_ELSEWHERE_AGO = 34;

/** 18 mains whose piece was cut too short: the outermost on the left is of the crosses, and the mains are tied at both ends. */
const PATCHED: BedSeen = {
  ...NOTHING_SEEN,
  crossBow: { towards: 'neither', mm: 0 },
  knots: [
    { hole: '7HR', of: 'mains' },
    { hole: '7TL', of: 'mains' },
    { hole: '7HL', of: 'crosses' },
    { hole: '9TR', of: 'crosses' },
  ],
  mains: 18,
  otherMains: ['M9L'],
  gaps: [],
  weaveFaults: [],
  runs: 'flat',
  notches: 'few',
};

/** Of the latest jobs, the latest first; all others were good at once. */
const LOOKED: readonly LastLook[] = [
  ALL_GOOD,
  { ...ALL_GOOD, weave: 'mended' },
  ALL_GOOD,
  { ...ALL_GOOD, straight: 'mended', marks: 'left' },
  { ...ALL_GOOD, weave: 'mended' },
  ALL_GOOD,
  { ...ALL_GOOD, weave: 'mended', runs: 'mended' },
  ALL_GOOD,
];

export async function fillBedsRead(
  db: Connection,
  workshopId: string,
  { clientId, frameId }: { readonly clientId: string; readonly frameId: string },
  today: Date,
  timeZone: string,
): Promise<void> {
  const racketId = randomUUID();
  const dayOf = (daysAgo: number) => wallTime(new Date(today.getTime() - daysAgo * DAY), timeZone);
  await db.insert(rackets).values({
    id: racketId,
    workshopId,
    clientId,
    frameId,
    label: '',
    mark: 'from abroad',
    notes: '',
    elsewhereOn: dayOf(STRUNG_ELSEWHERE_AGO).slice(0, 10),
  });
  await db.insert(bedsRead).values({
    id: randomUUID(),
    workshopId,
    racketId,
    takenOn: `${dayOf(1).slice(0, 10)}T11:20`,
    seen: PATCHED,
  });
}

/** Jobs in the order in which they were closed, the latest with their last look. */
export const lookedAt = <J extends object>(closed: readonly J[]): (J & { lastLook?: LastLook })[] =>
  closed.map((job, i) => {
    const lastLook = LOOKED[closed.length - 1 - i];
    return lastLook ? { ...job, lastLook } : job;
  });
