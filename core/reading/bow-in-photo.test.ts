import { describe, expect, it } from 'vitest';
import { bowInPhoto, type PhotoPoint } from './bow-in-photo';

/** A cross of 240 mm drawn at so many pixels a millimetre, turned by an angle, with its middle so far up. */
function drawn(upMm: number, scale: number, degrees: number) {
  const turn = (x: number, y: number): PhotoPoint => {
    const a = (degrees * Math.PI) / 180;
    return {
      x: 500 + scale * (x * Math.cos(a) - y * Math.sin(a)),
      y: 400 + scale * (x * Math.sin(a) + y * Math.cos(a)),
    };
  };
  return { left: turn(-120, 0), middle: turn(8, -upMm), right: turn(120, 0) };
}

describe('a bow on a photograph', () => {
  // Source: geometry, the distance of a point from a line, drawn at other sizes and turned.
  it('is measured at any size and however the racket lies a little askew', () => {
    for (const scale of [0.8, 3, 11])
      for (const degrees of [0, 7, -20]) {
        expect(bowInPhoto(drawn(4.2, scale, degrees), 240)).toEqual({
          ok: true,
          value: { towards: 'head', mm: 4.2 },
        });
        expect(bowInPhoto(drawn(-3, scale, degrees), 240)).toMatchObject({
          value: { towards: 'throat', mm: 3 },
        });
      }
  });

  it('is none below what a ruler shows', () => {
    expect(bowInPhoto(drawn(0.6, 3, 2), 240)).toMatchObject({
      value: { towards: 'neither', mm: 0 },
    });
  });

  it('is no answer where the points are none of a cross', () => {
    const { left, right, middle } = drawn(4, 3, 0);
    expect(bowInPhoto({ left, right: left, middle }, 240)).toMatchObject({
      code: 'photo.no middle',
    });
    expect(bowInPhoto({ left, right, middle: right }, 240).ok).toBe(false);
    expect(bowInPhoto({ left, right, middle: { ...middle, y: 0 } }, 240).ok).toBe(false);
  });
});
