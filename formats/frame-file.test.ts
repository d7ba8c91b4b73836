import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { tries } from '@/core/testing/share';
import { studyFrame } from '@/core/frame/bed';
import { frameSpecSchema, type FrameSpec } from '@/core/frame/frame';
import { frameSpec } from '@/core/testing/frame-spec';
import { LIBRARY } from '@/core/frame/library';
import {
  documentOf,
  FRAME_FORMAT,
  frameJsonSchema,
  frameOf,
  readDocument,
  type NamedFrame,
} from './frame-document';
import { frameKey, framesToKeep, readFrameFile, writeFrameFile } from './frame-file';

const GOOD = {
  format: FRAME_FORMAT,
  name: 'A frame',
  sport: 'tennis',
  head: { lengthMm: 336, widthMm: 248 },
  pattern: { mains: 16, crosses: 19 },
};
const problemsOf = (value: unknown) => {
  const read = readDocument(value);
  return read.ok ? [] : read.problems.map(({ reason }) => reason);
};

describe('a frame document', () => {
  it('leaves out what can be derived, and reads it back as not known', () => {
    const read = readDocument(GOOD);
    expect(read.ok && read.frame.spec).toEqual({
      ...frameSpec({ bridgeHoles: null }),
    });
  });

  it.each(LIBRARY.map((frame) => [frame.name, frame] as const))(
    '%s comes back as it went out',
    (_, frame) => {
      expect(frameOf(documentOf(frame))).toEqual(frame);
      const [entry] = readFrameFile(writeFrameFile([frame]));
      expect(entry?.ok && entry.frame).toEqual(frame);
    },
  );

  it('reads hole positions along the rim, as points and as rows of a ruler alike', () => {
    const { bed } = studyFrame(frameSpec({ head: [7, 9], throat: [7, 9] }));
    const along = bed?.holes.map(({ arc }) => arc) ?? [];
    const points = bed?.holes.map(({ x, y }) => [x, 168 - y]) ?? [];
    const arcsOf = (positionsMm: unknown) => {
      const read = readDocument({ ...GOOD, holes: { positionsMm } });
      if (!read.ok) throw new Error(JSON.stringify(read.problems));
      return studyFrame(read.frame.spec).bed?.holes.map(({ arc }) => arc) ?? [];
    };
    arcsOf(along).forEach((arc, i) => expect(arc).toBeCloseTo(along[i] ?? NaN, 6));
    arcsOf(points).forEach((arc, i) => expect(Math.abs(arc - (along[i] ?? NaN))).toBeLessThan(0.4));
  });

  it.each([
    [{ ...GOOD, format: 'orthotens-frame/2' }, 'starts with "format"'],
    [{ ...GOOD, sport: 'chess' }, 'sport'],
    [{ ...GOOD, name: '  ' }, 'name'],
    [{ ...GOOD, colour: 'red' }, 'colour'],
    [{ ...GOOD, pattern: { mains: 17, crosses: 19 } }, '16 or 18, not 17'],
    [{ ...GOOD, head: { lengthMm: 400, widthMm: 248 } }, 'ITF'],
    [{ ...GOOD, tension: { min: 26, max: 22, unit: 'kg' } }, 'lower figure'],
    [{ ...GOOD, holes: { head: { skip: [30] } } }, 'no skip at hole 30'],
    [{ ...GOOD, holes: { tieOff: ['8X'] } }, 'holes.tieOff.0'],
    [{ ...GOOD, bridgeHoles: 6, stringing: { mainsStart: 'head' } }, 'leap the open throat'],
    [null, 'expected object'],
    [[], 'expected object'],
    [12, 'expected object'],
  ])('%j is refused', (value, part) => {
    expect(problemsOf(value).join(' ')).toContain(part);
  });

  it('its published schema is the one in the documents', () => {
    const published: unknown = JSON.parse(readFileSync('docs/formats/frame.schema.json', 'utf8'));
    expect(published).toEqual(JSON.parse(JSON.stringify(frameJsonSchema())));
  });
});

describe('a file of frames', () => {
  const bad = { ...GOOD, name: 'Bad', pattern: { mains: 17, crosses: 19 } };

  it('lets the good ones in and says line and reason of the bad', () => {
    const text = JSON.stringify([GOOD, bad, { ...GOOD, name: 'Third' }], null, 2);
    const entries = readFrameFile(text);
    expect(entries.map(({ ok }) => ok)).toEqual([true, false, true]);
    const [, wrong] = entries;
    if (wrong?.ok !== false) throw new Error('let in');
    expect(wrong.name).toBe('Bad');
    const line = text.split('\n').findIndex((each) => each.includes('"mains": 17')) + 1;
    expect(wrong.problems).toEqual([{ line, reason: expect.stringContaining('not 17') }]);
  });

  it('a slip in one document leaves the others whole', () => {
    const broken = `[${JSON.stringify(GOOD)},\n{"format": "orthotens-frame/1", "name" "x"},\n${JSON.stringify(GOOD)}]`;
    const entries = readFrameFile(broken);
    expect(entries.map(({ ok }) => ok)).toEqual([true, false, true]);
    expect(entries[1]).toMatchObject({ problems: [{ line: 2, reason: 'a colon is missing' }] });
  });

  it.each([
    ['', 'nothing in it'],
    ['hello', 'JSON does not know'],
    ['12', 'object in braces'],
    ['[]', 'empty'],
    ['{"format":', 'missing'],
    [`${JSON.stringify(GOOD)} ${JSON.stringify(GOOD)}`, 'go into one list'],
    [`// c\n${JSON.stringify(GOOD)}`, 'no comments'],
  ])('%s: %s', (text, part) => {
    const reasons = readFrameFile(text).flatMap((entry) =>
      entry.ok ? [] : entry.problems.map(({ reason }) => reason),
    );
    expect(reasons.join(' ')).toContain(part);
  });
});

describe('ten thousand spoilt documents', () => {
  const leaves: unknown[] = [
    null,
    true,
    '',
    'x',
    0,
    -1,
    1.5,
    1e9,
    [],
    {},
    [1, 2],
    ['7H'],
    '7H',
    NaN,
  ];

  /** A document with one of its values, at any depth, replaced, removed or doubled. */
  function spoil(value: unknown, path: readonly number[], leaf: unknown): unknown {
    const [step = 0, ...rest] = path;
    if (typeof value !== 'object' || value === null || path.length === 0) return leaf;
    const keys = Object.keys(value);
    const key = keys[step % Math.max(1, keys.length)];
    if (key === undefined) return leaf;
    const inner = (value as Record<string, unknown>)[key];
    const copy: Record<string, unknown> = { ...(value as Record<string, unknown>) };
    if (leaf === undefined) delete copy[key];
    else copy[key] = spoil(inner, rest, leaf);
    return Array.isArray(value) ? Object.values(copy) : copy;
  }

  it('never throw, and what passes is a sound frame', () => {
    const documents = LIBRARY.map(documentOf);
    let passed = 0;
    fc.assert(
      fc.property(
        fc.nat(documents.length - 1),
        fc.array(fc.nat(12), { minLength: 1, maxLength: 4 }),
        fc.constantFrom(undefined, ...leaves),
        (which, path, leaf) => {
          const text = JSON.stringify(spoil(documents[which], path, leaf)) ?? '';
          for (const entry of readFrameFile(text)) {
            if (!entry.ok) {
              expect(entry.problems.length).toBeGreaterThan(0);
              continue;
            }
            passed++;
            // Valid only when the core itself, asked anew, agrees.
            expect(frameSpecSchema.safeParse(entry.frame.spec).success).toBe(true);
            expect(entry.frame.spec.pattern.mains % 2).toBe(0);
          }
        },
      ),
      { numRuns: tries(9500, 3000) },
    );
    // Many changes are harmless (a name, a range, a left-out bridge), so some must pass.
    expect(passed).toBeGreaterThan(tries(100, 32));
  });

  it('as text with letters cut out and put in, neither', () => {
    const text = writeFrameFile(LIBRARY.slice(0, 2));
    fc.assert(
      fc.property(fc.nat(text.length), fc.nat(30), fc.string({ maxLength: 6 }), (at, cut, put) => {
        for (const entry of readFrameFile(text.slice(0, at) + put + text.slice(at + cut)))
          if (entry.ok) expect(studyFrame(entry.frame.spec).problems).toEqual([]);
          else expect(entry.problems[0]?.line).toBeGreaterThan(0);
      }),
      { numRuns: tries(500, 120) },
    );
  });
});

describe('what becomes of the frames of files', () => {
  const states = (files: readonly string[], here: readonly NamedFrame[] = []) =>
    framesToKeep(files.map(readFrameFile), new Set(here.map(frameKey))).map((rows) =>
      rows.map(({ state }) => state),
    );

  it('the same frame twice is one, in one file and in two, whatever its case', () => {
    const again = { ...GOOD, name: ' a FRAME ' };
    expect(states([JSON.stringify([GOOD, again, { ...GOOD, name: 'Another' }])])).toEqual([
      ['new', 'twice', 'new'],
    ]);
    expect(states([JSON.stringify(GOOD), JSON.stringify(again)])).toEqual([['new'], ['twice']]);
  });

  it('a frame of the same name that is another one comes in, and one that is not sound does not', () => {
    const other = { ...GOOD, pattern: { mains: 18, crosses: 20 } };
    const wrong = { ...GOOD, pattern: { mains: 17, crosses: 19 } };
    expect(states([JSON.stringify([GOOD, other, wrong])])).toEqual([['new', 'new', 'wrong']]);
  });

  it('what is here is no new frame, also as a database gives it back, its fields in another order', () => {
    const [library] = LIBRARY;
    if (!library) throw new Error('no library');
    const turned = (value: unknown): unknown =>
      Array.isArray(value) || typeof value !== 'object' || value === null
        ? value
        : Object.fromEntries(
            Object.entries(value)
              .toReversed()
              .map(([key, of]) => [key, turned(of)]),
          );
    const here = { name: library.name, spec: turned(library.spec) as FrameSpec };
    expect(states([writeFrameFile([library])], [here])).toEqual([['here']]);
  });
});
