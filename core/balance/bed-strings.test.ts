import { describe, expect, it } from 'vitest';
import { bedOf } from '../testing/frame-spec';
import { FRAME } from '../testing/bench-job';
import { stringsAsPart } from './bed-strings';
import { swingOfGram, withParts } from './racket';

const bed = bedOf(FRAME);
const both = (family: 'monofilament' | 'natural gut' | 'synthetic gut', gaugeMm: number) => ({
  mains: { family, gaugeMm },
  crosses: { family, gaugeMm },
});

describe('the strings of a bed on the scale', () => {
  // Source: common practice, a job of string weighs 15 to 20 g.
  it('weigh 15 to 20 g in tennis', () => {
    for (const string of [
      both('monofilament', 1.25),
      both('natural gut', 1.3),
      both('synthetic gut', 1.35),
    ])
      expect(stringsAsPart(bed, string).massG).toBeGreaterThanOrEqual(14.5);
    expect(stringsAsPart(bed, both('monofilament', 1.3)).massG).toBeLessThanOrEqual(20);
  });

  it('go with the square of their thickness', () => {
    const [thin, thick] = [1.1, 1.35].map((gauge) =>
      stringsAsPart(bed, both('monofilament', gauge)),
    );
    expect((thick?.massG ?? 0) / (thin?.massG ?? 1)).toBeCloseTo((1.35 / 1.1) ** 2, 1);
  });

  it('lie about the middle of the head, and are spread over it', () => {
    const { atMm, longMm = 0 } = stringsAsPart(bed, both('monofilament', 1.25));
    // A head of 336 mm whose tip is 11 mm from the end of a racket of 685 mm.
    expect(atMm).toBeGreaterThan(685 - 11 - 336 / 2 - 20);
    expect(atMm).toBeLessThan(685 - 11 - 336 / 2 + 20);
    expect(longMm).toBeGreaterThan(200);
    expect(longMm).toBeLessThan(336);
  });

  // Source: parallel-axis theorem, the mains alone as rods of their own length would have it.
  it('swing as so much mass at so much distance does', () => {
    const part = stringsAsPart(bed, both('monofilament', 1.25));
    const bare = { massG: 300, balanceMm: 320, swingKgCm2: 290 };
    const strung = withParts(bare, [part]);
    expect(strung.ok && strung.value.swingKgCm2 - 290).toBeCloseTo(
      part.massG * swingOfGram(part.atMm, part.longMm),
      9,
    );
    // 16 g at 40.6 cm from the axis are some 27 kg·cm².
    expect(strung.ok && strung.value.swingKgCm2 - 290).toBeGreaterThan(24);
    expect(strung.ok && strung.value.swingKgCm2 - 290).toBeLessThan(31);
  });
});
