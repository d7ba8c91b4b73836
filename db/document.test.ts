import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { SILENT } from '@/core/advice/talk';
import { studyFrame } from '@/core/frame/bed';
import { LIBRARY } from '@/core/frame/library';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { recordJob } from '@/core/record/record';
import { usualJob } from '@/core/testing/jobs';
import {
  readDocument,
  UnreadableDocument,
  UnwritableDocument,
  writeDocument,
  type Shape,
} from './document';
import { DEED, FRAME_SPEC, HOUSE_RULES, JOB_RECORD, TALK } from './shapes';

const NAMED: Shape<{ name: string; town: string }> = {
  name: 'A thing',
  schema: z.object({ name: z.string(), town: z.string() }),
  steps: [({ label, ...old }) => ({ ...old, name: label }), (old) => ({ ...old, town: 'unknown' })],
};

describe('a document', () => {
  it('is brought up to date step by step, from whichever shape it was written in', () => {
    const now = { name: 'Ada', town: 'unknown' };
    expect(readDocument(NAMED, { label: 'Ada' })).toEqual(now);
    expect(readDocument(NAMED, { shape: 2, name: 'Ada' })).toEqual(now);
    expect(readDocument(NAMED, { shape: 3, name: 'Ada', town: 'Here' }).town).toBe('Here');
    expect(readDocument(NAMED, writeDocument(NAMED, now))).toEqual(now);
  });

  it('of a later version, or of no sense, is refused with what it is', () => {
    expect(() => readDocument(NAMED, { shape: 4, name: 'Ada', town: 'Here' })).toThrow(
      'A thing has the shape 4, and this version knows shapes up to 3: it was written by a later one.',
    );
    expect(() => readDocument(NAMED, { shape: 3, name: 7, town: 'Here' })).toThrow(
      UnreadableDocument,
    );
  });
});

it('what could not be read again is not written', () => {
  const nameless = { name: 7, town: 'Here' } as unknown as { name: string; town: string };
  expect(() => writeDocument(NAMED, nameless)).toThrow(UnwritableDocument);
  expect(() => writeDocument(NAMED, nameless)).toThrow('A thing cannot be kept: name');
});

// Rows as they were written before documents carried a number.
describe('rows of the first shape', () => {
  it('house rules that were asked less go by what is usual', () => {
    const { tips, bridge, ...asked } = USUAL_HOUSE;
    expect([tips, bridge]).toEqual(['each once', 'on the last pull']);
    expect(readDocument(HOUSE_RULES, { ...asked, knotPull: 'pull again' })).toEqual({
      ...USUAL_HOUSE,
      knotPull: 'pull again',
    });
  });

  it('a talk that was asked less was silent on the rest', () => {
    const { beforePull, ...asked } = SILENT;
    expect(beforePull).toBeNull();
    expect(readDocument(TALK, { ...asked, level: 'club' })).toEqual({ ...SILENT, level: 'club' });
  });

  it('frames and deeds are read as they were written', () => {
    const [{ spec }] = LIBRARY as [(typeof LIBRARY)[number]];
    expect(readDocument(FRAME_SPEC, JSON.parse(JSON.stringify(spec)))).toEqual(spec);
    expect(readDocument(DEED, { kind: 'note', text: 'worn' })).toEqual({
      kind: 'note',
      text: 'worn',
    });
  });

  it('a record is read as it was written', () => {
    const [{ spec }] = LIBRARY as [(typeof LIBRARY)[number]];
    const { bed } = studyFrame(spec);
    if (!bed) throw new Error('The first frame of the library makes no bed.');
    const record = recordJob({
      job: usualJob({ bed }),
      client: 'Ada',
      racket: { frameName: 'Frame', mark: '' },
      advice: null,
      leftOverMm: [null, 210],
      bench: null,
      remarks: 'tight',
      inspection: null,
      price: null,
      machine: null,
      dial: null,
      closing: null,
      strung: null,
      hands: null,
    });
    const first = JSON.parse(JSON.stringify(record)) as Record<string, unknown>;
    expect(readDocument(JOB_RECORD, first)).toEqual(record);
    expect(readDocument(JOB_RECORD, writeDocument(JOB_RECORD, record))).toEqual(record);
  });
});
