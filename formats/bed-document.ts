/** A finished bed as somebody saw it, as an open document, and what it tells. */
import { z } from 'zod';
import { studyFrame } from '@/core/frame/bed';
import { roundTo } from '@/core/measure/units';
import { readBed, type BedReading } from '@/core/reading/read-bed';
import { bedSeenSchema, NOTHING_SEEN, type BedSeen } from '@/core/reading/seen';
import { bedFacts, type BedFacts } from '@/core/reading/signs';
import { lookWords, seenWords, storyWords, tellWords, toDo } from '@/core/reading/words';
import { endSchema } from '@/core/terms/ends';
import { failure, success, type Result } from '@/core/terms/result';
import { english } from '@/core/terms/words/english';
import { frameDocumentSchema, frameOf } from './frame-document';
import { readJson } from './json-document';

const mainNumbers = z.array(z.number().int().min(1).max(15)).default([]);

const factsSchema = z
  .strictObject({
    mains: z.number().int().min(8).max(30).multipleOf(2),
    mainsFinish: endSchema.describe('The end at which the mains are tied.'),
    crossesFrom: endSchema.default('head').describe('The end that the maker has them start from.'),
    tieOff: z
      .array(z.string().regex(/^[1-9]\d?[HT][LR]$/))
      .max(60)
      .default([])
      .describe('Holes bored for a knot: 8HL is hole 8 at the head, on the left.'),
    besideSkips: z
      .strictObject({ head: mainNumbers, throat: mainNumbers })
      .default({ head: [], throat: [] })
      .describe('Mains beside a skip, by their numbers from the centre.'),
  })
  .describe('What the frame asks for, where no frame is given.');

const bedDocumentSchema = z
  .strictObject({
    format: z.literal('orthotens-bed/1').optional(),
    frame: frameDocumentSchema.optional(),
    bed: factsSchema.optional(),
    seen: bedSeenSchema
      .partial()
      .strict()
      .describe('What was not looked at is left out, or null: it proves nothing.'),
  })
  .refine(({ frame, bed }) => (frame === undefined) !== (bed === undefined), {
    error: 'it wants either the frame, or what the frame asks for',
    path: ['frame'],
  })
  .describe('A finished bed as somebody saw it.');

/** The published schema, JSON Schema 2020-12. */
export const bedJsonSchema = (): object => ({
  title: 'Orthotens bed',
  ...z.toJSONSchema(bedDocumentSchema, { io: 'input' }),
});

/** A bed with what its frame asks for, or which part of the document is wrong. */
function readBedDocument(
  text: string,
): Result<{ readonly seen: BedSeen; readonly facts: BedFacts }> {
  const read = readJson(text, bedDocumentSchema, 'a bed');
  if (!read.ok) return read;
  const { frame, bed: given } = read.value;
  const seen = { ...NOTHING_SEEN, ...read.value.seen };
  const study = frame && studyFrame(frameOf(frame).spec);
  const facts = given ?? (study?.bed && bedFacts(study.bed));
  if (facts) return success({ seen, facts });
  const [problem] = study?.problems ?? [];
  return failure('document.wrong', { what: 'a bed', where: 'frame', why: problem?.problem ?? '' });
}

/** A reading in words, as it is printed and shown. */
function saidOf({ told, tells, ranked, found, lookAt, directionOpen }: BedReading, seen: BedSeen) {
  const deed = toDo(found, seen);
  return {
    told,
    stories: ranked.map((each) => ({
      story: each.story ?? 'none',
      words: english(storyWords(each.story)),
      chance: roundTo(each.chance, 0.001),
      for: each.for.map((sign) => english(seenWords(sign))),
      against: each.against.map((sign) => english(seenWords(sign))),
    })),
    lookAt: lookAt.map((sign) => english(lookWords(sign))),
    direction: directionOpen ? 'cannot be told' : 'told by the bow',
    toDo: tells ? deed.what : null,
    why: tells ? english(deed.why) : '',
    tell: tells ? tellWords(found).map(english).join(' ') : '',
  };
}

/** Reads a document of a bed and tells its story, or which part of the document is wrong. */
export function bedReport(text: string): Result<ReturnType<typeof saidOf>> {
  const read = readBedDocument(text);
  if (!read.ok) return read;
  const { seen, facts } = read.value;
  return success(saidOf(readBed(seen, facts), seen));
}
