/** Two clients who turned out to be one person: nothing that was known of either is lost. */
import { z } from 'zod';
import { tensionUnitSchema } from '../measure/units';
import { SILENT, talkSchema, talkWords, type Talk } from './talk';

const consentSchema = z.enum(['unasked', 'yes', 'no']);
/** What a client said to being written to. */
export type Consent = z.infer<typeof consentSchema>;

/** What is known of a client, as far as a merge has to carry it. */
export const mergedClientSchema = z.object({
  contact: z.string(),
  address: z.string(),
  notes: z.string(),
  tensionUnit: tensionUnitSchema.nullable(),
  mayWrite: consentSchema,
  talk: talkSchema.nullable(),
});
export type MergedClient = Readonly<z.infer<typeof mergedClientSchema>>;
export const NOTHING_KNOWN: MergedClient = {
  contact: '',
  address: '',
  notes: '',
  tensionUnit: null,
  mayWrite: 'unasked',
  talk: null,
};
export type KnownClient = MergedClient & { readonly name: string };

export const mergeChoicesSchema = z.object({
  contact: z.enum(['both', 'kept', 'other']).default('both'),
  address: z.enum(['kept', 'other']).default('kept'),
  tensionUnit: z.enum(['kept', 'other']).default('kept'),
  talk: z.enum(['kept', 'other']).default('kept'),
});
export type MergeChoices = z.output<typeof mergeChoicesSchema>;
export type MergeField = keyof MergeChoices;

export const USUAL_MERGE: MergeChoices = mergeChoicesSchema.parse({});

/** Longest line that a contact takes, letters. */
const LONGEST_CONTACT = 200;

export interface MergeQuestion {
  readonly field: MergeField;
  readonly kept: string;
  readonly other: string;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What of a talk is about the body: it is carried by its own rule and is no choice. */
const isSafety = (field: string): boolean => field === 'arm' || field === 'armPart';

/** Whether two answers say different things; one that was skipped says nothing. */
function contradict(a: Talk, b: Talk): boolean {
  const silent = SILENT as unknown as Record<string, unknown>;
  return Object.entries(a).some(([field, value]) => {
    const other = (b as unknown as Record<string, unknown>)[field];
    return (
      !isSafety(field) &&
      !same(value, silent[field]) &&
      !same(other, silent[field]) &&
      !same(value, other)
    );
  });
}

/**
 * The fields on which two clients differ, so that somebody has to choose; all else is carried by itself.
 *
 * @example
 * mergeQuestions({ ...NOTHING_KNOWN, name: 'A', contact: '1' }, { ...NOTHING_KNOWN, name: 'B', contact: '2', address: 'Quay 1' }) // [{ field: 'contact', kept: '1', other: '2' }]
 */
export function mergeQuestions(kept: KnownClient, other: KnownClient): readonly MergeQuestion[] {
  const questions: MergeQuestion[] = [];
  const ask = (field: MergeField, a: string | null, b: string | null) => {
    if (a && b && a !== b) questions.push({ field, kept: a, other: b });
  };
  ask('contact', kept.contact, other.contact);
  ask('address', kept.address, other.address);
  ask('tensionUnit', kept.tensionUnit, other.tensionUnit);
  if (kept.talk && other.talk && contradict(kept.talk, other.talk))
    ask('talk', spoken(kept.talk), spoken(other.talk));
  return questions;
}

const spoken = (talk: Talk): string => talkWords({ ...talk, racket: SILENT.racket }, 'tennis');

const SORE: Readonly<Record<NonNullable<Talk['arm']>, number>> = { well: 0, before: 1, now: 2 };

/** An arm that either of them said is sore stays sore; the worse of the two is believed. */
function worseArm(a: Talk, b: Talk): Pick<Talk, 'arm' | 'armPart'> {
  const of = ({ arm }: Talk) => (arm === null ? -1 : SORE[arm]);
  const [worse, better] = of(b) > of(a) ? [b, a] : [a, b];
  return { arm: worse.arm, armPart: worse.armPart ?? better.armPart };
}

/** The answers of the first, those that it skipped from the second; of wants and faults all. */
function talkOfBoth(first: Talk, second: Talk): Talk {
  const silent = SILENT as unknown as Record<string, unknown>;
  const rest = second as unknown as Record<string, unknown>;
  const filled = Object.fromEntries(
    Object.entries(first).map(([field, value]) => [
      field,
      same(value, silent[field]) ? rest[field] : value,
    ]),
  ) as unknown as Talk;
  return talkSchema.parse({
    ...filled,
    ...worseArm(first, second),
    wants: [...new Set([...first.wants, ...second.wants])],
    faults: [...new Set([...first.faults, ...second.faults])],
  });
}

/** Notes are the stringer's own remarks, cautions among them: all of both stay, each once. */
function notesOfBoth(kept: KnownClient, other: KnownClient): string {
  const parts = [kept.talk?.armPart, other.talk?.armPart];
  const remark =
    parts[0] && parts[1] && parts[0] !== parts[1] && other.talk?.arm !== 'well'
      ? `${other.name}: ${parts[1]} ${other.talk?.arm === 'now' ? 'sore now' : 'was sore'}.`
      : '';
  const notes = [kept.notes, kept.notes === other.notes ? '' : other.notes, remark];
  return notes.filter(Boolean).join('\n');
}

/** Takes a part out of a text to which it was added behind others. */
const without = (whole: string, part: string, between: string): string =>
  `${whole}${between}`.replace(`${between}${part}${between}`, between).slice(0, -between.length);

/**
 * What the one who was kept becomes when the two are parted: as before the merge, save what was changed since.
 *
 * @param now what stands there
 * @param merge what the merge found and made
 * @param other the one who goes their own way again
 *
 * @example
 * partedClient({ ...NOTHING_KNOWN, contact: '1, 2' }, { before: { ...NOTHING_KNOWN, contact: '1' }, after: { ...NOTHING_KNOWN, contact: '1, 2' } }, { ...NOTHING_KNOWN, contact: '2' }).contact // '1'
 */
export function partedClient(
  now: MergedClient,
  { before, after }: { readonly before: MergedClient; readonly after: MergedClient },
  other: MergedClient,
): MergedClient {
  const back = <F extends keyof MergedClient>(field: F): MergedClient[F] =>
    same(now[field], after[field]) ? before[field] : now[field];
  const text = (field: 'contact' | 'notes', between: string): string =>
    same(now[field], after[field]) || before[field] === other[field] || other[field] === ''
      ? back(field)
      : without(now[field], other[field], between);
  return {
    contact: text('contact', ', '),
    notes: text('notes', '\n'),
    address: back('address'),
    tensionUnit: back('tensionUnit'),
    mayWrite: back('mayWrite'),
    talk: back('talk'),
  };
}

/**
 * What the one who is kept becomes. Whoever said that they want no messages gets none; of two arms the worse is
 * believed; notes of both stay.
 *
 * @example
 * mergedClient({ ...NOTHING_KNOWN, name: 'A', notes: 'left-handed' }, { ...NOTHING_KNOWN, name: 'B', notes: 'sore elbow' }, USUAL_MERGE).notes // 'left-handed\nsore elbow'
 */
export function mergedClient(
  kept: KnownClient,
  other: KnownClient,
  choices: MergeChoices,
): MergedClient {
  const pick = <T>(field: 'address' | 'tensionUnit', a: T, b: T): T =>
    (choices[field] === 'kept' ? a || b : b || a) as T;
  const contacts =
    choices.contact === 'both'
      ? [kept.contact, kept.contact === other.contact ? '' : other.contact]
      : [
          choices.contact === 'kept'
            ? kept.contact || other.contact
            : other.contact || kept.contact,
        ];
  const joined = contacts.filter(Boolean).join(', ');
  const fits = joined.length <= LONGEST_CONTACT;
  const notes = notesOfBoth(kept, other);
  const talks = [kept.talk, other.talk].filter((talk) => talk !== null);
  const [first, second] = choices.talk === 'kept' ? talks : talks.toReversed();
  return {
    contact: fits ? joined : kept.contact || other.contact,
    address: pick('address', kept.address, other.address),
    notes: fits ? notes : [notes, other.contact].filter(Boolean).join('\n'),
    tensionUnit: pick('tensionUnit', kept.tensionUnit, other.tensionUnit),
    mayWrite:
      kept.mayWrite === 'no' || other.mayWrite === 'no'
        ? 'no'
        : kept.mayWrite === 'yes' || other.mayWrite === 'yes'
          ? 'yes'
          : 'unasked',
    talk: first && second ? talkOfBoth(first, second) : (first ?? null),
  };
}
