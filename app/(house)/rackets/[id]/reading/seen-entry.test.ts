import { describe, expect, it } from 'vitest';
import { NOTHING_SEEN } from '@/core/reading/seen';
import { asFarAsRead, NOTHING_TYPED, pressed, seenSchema, type SeenEntry } from './seen-entry';

const read = (typed: Partial<SeenEntry>) => seenSchema.safeParse({ ...NOTHING_TYPED, ...typed });
const seen = (typed: Partial<SeenEntry>) => read(typed).data;
const problem = (typed: Partial<SeenEntry>) => {
  const [issue] = read(typed).error?.issues ?? [];
  return issue && [issue.path.join('.'), issue.message];
};

describe('what was seen of a bed, as it is typed', () => {
  it('is nothing where nothing was looked at, whatever was marked by mistake', () => {
    expect(seen({})).toEqual(NOTHING_SEEN);
    expect(seen({ otherMains: ['M8L'] })?.otherMains).toBeNull();
  });

  it('has of what was gone over only what is marked', () => {
    expect(seen({ looked: ['weave', 'mains'] })).toMatchObject({
      weaveFaults: [],
      otherMains: [],
      knots: null,
      gaps: null,
    });
  });

  it.each([
    ['4', 4],
    ['4,5', 4.5],
    ['０.５', 0.5],
    [' 12 ', 12],
  ])('reads a bow of “%s” as %s mm', (crossMm, mm) => {
    expect(seen({ crossTowards: 'head', crossMm })?.crossBow).toEqual({ towards: 'head', mm });
  });

  it('forgets a figure beside “not at all”', () => {
    expect(seen({ crossTowards: 'neither', crossMm: '9' })?.crossBow).toEqual({
      towards: 'neither',
      mm: 0,
    });
  });

  it('reads pairs of mains from the centre outwards', () => {
    expect(seen({ pairs: '612 598\n620/615\n\n 630;  628 ' })?.mainsHz).toEqual({
      M1L: 612,
      M1R: 598,
      M2L: 620,
      M2R: 615,
      M3L: 630,
      M3R: 628,
    });
  });

  it.each([
    [{ crossTowards: 'head', crossMm: 'a little' }, 'crossMm', 'How far'],
    [{ crossTowards: 'head', crossMm: '' }, 'crossMm', 'How far'],
    [{ crossTowards: 'throat', crossMm: '41' }, 'crossMm', 'How far'],
    [{ mainTowards: 'left', mainMm: '-2' }, 'mainMm', 'How far'],
    [{ mains: 'all' }, 'mains', 'A number of mains'],
    [{ mains: '31' }, 'mains', 'A number of mains'],
    [{ pairs: '612' }, 'pairs', 'One pair a line'],
    [{ pairs: '612 598 600' }, 'pairs', 'One pair a line'],
    [{ pairs: '12 598' }, 'pairs', 'One pair a line'],
    [{ hz: '5' }, 'hz', 'between 100 and 3000'],
    [{ hz: '520' }, 'setHz', 'between 100 and 3000'],
  ] as const)('answers %j at its field', (typed, field, words) => {
    const found = problem(typed);
    expect(found?.[0]).toBe(field);
    expect(found?.[1]).toContain(words);
  });

  it('needs no pitch that was set while none was measured', () => {
    expect(seen({ setHz: '540' })?.pitch).toBeNull();
    expect(seen({ hz: '520', setHz: '540' })?.pitch).toEqual({ hz: 520, setHz: 540 });
  });
});

describe('a press on the drawing', () => {
  const press = (typed: Partial<SeenEntry>, ...args: [Parameters<typeof pressed>[1], string]) =>
    pressed({ ...NOTHING_TYPED, ...typed }, ...args);

  it('goes through the kinds of knot and back to none', () => {
    let knots: SeenEntry['knots'] = [];
    const kinds = Array.from({ length: 4 }, () => {
      knots = press({ knots }, 'knots', '8HL').knots ?? [];
      return knots[0]?.of;
    });
    expect(kinds).toEqual([null, 'mains', 'crosses', undefined]);
  });

  it('goes from even over wide and narrow back to even', () => {
    let gaps: SeenEntry['gaps'] = [];
    const kinds = Array.from({ length: 3 }, () => {
      gaps = press({ gaps }, 'gaps', 'head M4R').gaps ?? [];
      return gaps[0]?.is;
    });
    expect(kinds).toEqual(['wide', 'narrow', undefined]);
  });

  it('marks a main or a crossing, and takes the mark away, and no other', () => {
    expect(press({ otherMains: ['M8L'] }, 'mains', 'M8R').otherMains).toEqual(['M8L', 'M8R']);
    expect(press({ otherMains: ['M8L', 'M8R'] }, 'mains', 'M8R').otherMains).toEqual(['M8L']);
    const fault = { cross: 5, main: 'M3L' };
    expect(press({}, 'weave', 'C5 M3L').weaveFaults).toEqual([fault]);
    const two = [fault, { cross: 5, main: 'M2L' }];
    expect(press({ weaveFaults: two }, 'weave', 'C5 M3L').weaveFaults).toEqual([two[1]]);
  });

  it('makes only what the core takes', () => {
    for (const [mode, key] of [
      ['knots', '10TR'],
      ['mains', 'M11L'],
      ['gaps', 'throat M1R'],
      ['weave', 'C22 M11R'],
    ] as const) {
      const marked = { ...press({}, mode, key), looked: [mode] };
      expect([mode, read(marked).success]).toEqual([mode, true]);
    }
  });
});

it('one figure that is not there yet takes nothing else away', () => {
  const entry: SeenEntry = {
    ...NOTHING_TYPED,
    crossTowards: 'head',
    crossMm: '',
    marks: 'many',
    pairs: '612',
  };
  expect(seenSchema.safeParse(entry).success).toBe(false);
  expect(asFarAsRead(entry)).toMatchObject({ crossBow: null, mainsHz: null, marks: 'many' });
  expect(asFarAsRead({ ...entry, crossMm: '4' })?.crossBow).toEqual({ towards: 'head', mm: 4 });
});
