/** A finished bed as its form takes it, and as the core reads it. */
import { z } from 'zod';
import { bareFigure } from '@/core/measure/figures';
import { textIn } from '@/core/measure/typed';
import { AMOUNTS, bedSeenSchema, RUNS_SEEN, type BedSeen } from '@/core/reading/seen';
import { READING_MODES } from '@/ui/bed/reading-places';

const oneOrNone = <T extends string>(options: readonly [T, ...T[]]) =>
  z.enum(options).or(z.literal(''));

const marks = bedSeenSchema.shape;

const entrySchema = z.object({
  crossTowards: oneOrNone(['head', 'throat', 'neither']),
  crossMm: textIn,
  mainTowards: oneOrNone(['left', 'right', 'neither']),
  mainMm: textIn,
  looseCrosses: oneOrNone(AMOUNTS),
  marks: oneOrNone(AMOUNTS),
  notches: oneOrNone(AMOUNTS),
  runs: oneOrNone(RUNS_SEEN),
  /** Parts of the drawing that were gone over; what is marked there is all that there is. */
  looked: z.array(z.enum(READING_MODES)).max(READING_MODES.length),
  knots: marks.knots.unwrap(),
  otherMains: marks.otherMains.unwrap(),
  gaps: marks.gaps.unwrap(),
  weaveFaults: marks.weaveFaults.unwrap(),
  mains: textIn,
  pairs: textIn,
  hz: textIn,
  setHz: textIn,
});
export type SeenEntry = z.input<typeof entrySchema>;

export const NOTHING_TYPED: SeenEntry = {
  crossTowards: '',
  crossMm: '',
  mainTowards: '',
  mainMm: '',
  looseCrosses: '',
  marks: '',
  notches: '',
  runs: '',
  looked: [],
  knots: [],
  otherMains: [],
  gaps: [],
  weaveFaults: [],
  mains: '',
  pairs: '',
  hz: '',
  setHz: '',
};

const numberIn = (text: string): number => bareFigure(text, 2);
const isBetween = (value: number, least: number, most: number): boolean =>
  value >= least && value <= most;

const MOST_BOW_MM = 40;
const BOW = 'How far, in mm from rim to rim? 0 to 40.';
const PITCH = 'A bed rings between 100 and 3000 Hz: 520.';
const PAIRS = 'One pair a line, from the centre outwards: left right, 612 598.';

/** `612 598` a line: the first main on the left and on the right, then the second. */
function pairsIn(text: string): BedSeen['mainsHz'] | undefined {
  const lines = text.split('\n').filter((each) => each.trim() !== '');
  if (lines.length === 0) return null;
  const pairs = lines.map((each) => each.trim().split(/[\s/;]+/));
  const isPair = (pair: readonly string[]) =>
    pair.length === 2 && pair.every((each) => isBetween(numberIn(each), 100, 3000));
  if (lines.length > 15 || !pairs.every(isPair)) return undefined;
  return Object.fromEntries(
    pairs.flatMap(([left = '', right = ''], i) => [
      [`M${i + 1}L`, numberIn(left)],
      [`M${i + 1}R`, numberIn(right)],
    ]),
  );
}

export const seenSchema = entrySchema.transform((entry, context): BedSeen => {
  const amiss = (field: keyof SeenEntry, problem: string) =>
    context.addIssue({ code: 'custom', path: [field], message: problem });
  const bow = <T extends string>(
    towards: T | 'neither' | '',
    text: string,
    field: 'crossMm' | 'mainMm',
  ) => {
    if (towards === '') return null;
    if (towards === 'neither') return { towards, mm: 0 };
    const mm = numberIn(text);
    if (isBetween(mm, 0, MOST_BOW_MM)) return { towards, mm };
    amiss(field, BOW);
    return null;
  };
  const has = (mode: (typeof READING_MODES)[number]) => entry.looked.includes(mode);
  const counted = /^\d{1,2}$/.test(entry.mains.trim()) ? Number(entry.mains) : NaN;
  if (entry.mains.trim() !== '' && !isBetween(counted, 1, 30))
    amiss('mains', 'A number of mains: 16.');
  const mainsHz = pairsIn(entry.pairs);
  if (mainsHz === undefined) amiss('pairs', PAIRS);
  const [hz, setHz] = [numberIn(entry.hz), numberIn(entry.setHz)];
  const isMeasured = entry.hz.trim() !== '';
  if (isMeasured && !isBetween(hz, 100, 3000)) amiss('hz', PITCH);
  if (isMeasured && !isBetween(setHz, 100, 3000)) amiss('setHz', PITCH);
  return {
    crossBow: bow(entry.crossTowards, entry.crossMm, 'crossMm'),
    mainBow: bow(entry.mainTowards, entry.mainMm, 'mainMm'),
    looseCrosses: entry.looseCrosses || null,
    gaps: has('gaps') ? entry.gaps : null,
    knots: has('knots') ? entry.knots : null,
    mains: Number.isNaN(counted) ? null : counted,
    otherMains: has('mains') ? entry.otherMains : null,
    weaveFaults: has('weave') ? entry.weaveFaults : null,
    marks: entry.marks || null,
    notches: entry.notches || null,
    runs: entry.runs || null,
    mainsHz: mainsHz ?? null,
    pitch: isMeasured && !Number.isNaN(hz) && !Number.isNaN(setHz) ? { hz, setHz } : null,
  };
});

/** What a field that cannot be read yet leaves out. */
const LEFT_OUT: Partial<Record<keyof SeenEntry, Partial<SeenEntry>>> = {
  crossMm: { crossTowards: '' },
  mainMm: { mainTowards: '' },
  mains: { mains: '' },
  pairs: { pairs: '' },
  hz: { hz: '' },
  setHz: { hz: '' },
};

/** What was seen as far as it can be read: one figure that is not there yet takes nothing else away. */
export function asFarAsRead(entry: SeenEntry): BedSeen | undefined {
  const read = seenSchema.safeParse(entry);
  if (read.success) return read.data;
  const without = read.error.issues.map(({ path }) => LEFT_OUT[path[0] as keyof SeenEntry] ?? {});
  return seenSchema.safeParse(Object.assign({ ...entry }, ...without)).data;
}

const KNOTS = [null, 'mains', 'crosses'] as const;

/** A knot after a press: of whatever string, of the mains, of the crosses, none. */
function pressKnot(knots: SeenEntry['knots'], hole: string): SeenEntry['knots'] {
  const knot = knots.find((each) => each.hole === hole);
  const rest = knots.filter((each) => each !== knot);
  const next = knot ? KNOTS[KNOTS.indexOf(knot.of) + 1] : null;
  return next === undefined ? rest : [...rest, { hole, of: next }];
}

/** A gap after a press: wide, narrow, even. */
function pressGap(gaps: SeenEntry['gaps'], key: string): SeenEntry['gaps'] {
  const [end, main = ''] = key.split(' ');
  const gap = gaps.find((each) => `${each.end} ${each.main}` === key);
  const rest = gaps.filter((each) => each !== gap);
  if (gap?.is === 'narrow' || (end !== 'head' && end !== 'throat')) return rest;
  return [...rest, { end, main, is: gap ? 'narrow' : 'wide' }];
}

/** What is marked after a press on the drawing. */
export function pressed(
  entry: SeenEntry,
  mode: (typeof READING_MODES)[number],
  key: string,
): Partial<SeenEntry> {
  switch (mode) {
    case 'knots':
      return { knots: pressKnot(entry.knots, key) };
    case 'mains':
      return {
        otherMains: entry.otherMains.includes(key)
          ? entry.otherMains.filter((each) => each !== key)
          : [...entry.otherMains, key],
      };
    case 'gaps':
      return { gaps: pressGap(entry.gaps, key) };
    case 'weave': {
      const [cross = '', main = ''] = key.split(' ');
      const fault = { cross: Number(cross.slice(1)), main };
      const isThere = (each: typeof fault) => each.cross === fault.cross && each.main === main;
      return {
        weaveFaults: entry.weaveFaults.some(isThere)
          ? entry.weaveFaults.filter((each) => !isThere(each))
          : [...entry.weaveFaults, fault],
      };
    }
  }
}
