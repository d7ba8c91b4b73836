import { describe, expect, it } from 'vitest';
import { convert } from 'xmlbuilder2';
import { pathThrough } from '@/core/path/path';
import { bedOf } from '@/core/testing/frame-spec';
import { bedFile } from './bed-file';

const bed = bedOf({ head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] });
const path = pathThrough(bed, { method: 'two-piece', shortSide: 'left', crossStart: 'left' });

interface Group {
  readonly '@id': string;
  readonly path?: readonly { readonly '@d': string }[];
  readonly circle?: readonly unknown[];
}
interface Read {
  readonly svg: {
    readonly '@width': string;
    readonly '@height': string;
    readonly '@viewBox': string;
    readonly title: string;
    readonly g: readonly Group[];
  };
}

// Read by a library of its own: what it takes is well-formed XML 1.0.
const read = (text: string) => (convert({}, text, { format: 'object' }) as unknown as Read).svg;

describe('the bed as a file', () => {
  it('is in true millimetres: the unit of its coordinates is that of its size', () => {
    const svg = read(bedFile(bed, path, 'A bed'));
    const [, , width, height] = svg['@viewBox'].split(' ').map(Number);
    expect(svg['@width']).toBe(`${width}mm`);
    expect(svg['@height']).toBe(`${height}mm`);
    // The head of the frame, 248 × 336 mm, and a margin of 18 mm on every side.
    expect([width, height]).toEqual([248 + 36, 336 + 36]);
  });

  it('has every string and hole once, and what runs outside with its path alone', () => {
    const parts = (text: string) =>
      Object.fromEntries(
        read(text).g.map((each) => [each['@id'], (each.path ?? each.circle ?? []).length]),
      );
    const whole = parts(bedFile(bed, path, 'A bed'));
    expect(whole).toMatchObject({ mains: 16, crosses: 2 * 19, holes: 2 * bed.holes.length });
    expect(whole.outside).toBeGreaterThan(30);
    expect(parts(bedFile(bed, undefined, 'A bed')).outside).toBeUndefined();
  });

  it('keeps a title as it is, whatever stands in it', () => {
    expect(bedFile(bed, undefined, 'A “bed” <of> 5 & more')).toContain(
      '<title>A “bed” &lt;of&gt; 5 &amp; more</title>',
    );
  });
});
