import { expect, it } from 'vitest';
import { qrPath } from './qr';

/** Which modules a path fills. */
function modules(d: string): ReadonlySet<string> {
  return new Set([...d.matchAll(/M(\d+) (\d+)h1v1h-1z/g)].map(([, x, y]) => `${x} ${y}`));
}

// ISO/IEC 18004: sides of 21 + 4·n modules, a quiet zone of four, three finder patterns of 7 × 7.
it('a code has the sides, the quiet zone and the finders of the standard', () => {
  for (const text of ['x', 'https://racket.example/c/abcdefghijklmnopqrstuv']) {
    const { size, d } = qrPath(text);
    const side = size - 8;
    expect((side - 21) % 4).toBe(0);
    const dark = modules(d);
    for (const at of dark) {
      const [x = 0, y = 0] = at.split(' ').map(Number);
      expect(Math.min(x, y)).toBeGreaterThanOrEqual(4);
      expect(Math.max(x, y)).toBeLessThan(size - 4);
    }
    for (const [left, top] of [
      [4, 4],
      [size - 11, 4],
      [4, size - 11],
    ] as const)
      for (let i = 0; i < 7; i++) {
        expect(dark.has(`${left + i} ${top}`)).toBe(true);
        expect(dark.has(`${left} ${top + i}`)).toBe(true);
        expect(dark.has(`${left + 1 + (i % 5)} ${top + 1}`)).toBe(false);
      }
  }
});
