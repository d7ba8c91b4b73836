import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { MOST_PHOTOGRAPH_BYTES } from '@/core/counter/inspection';
import { makePhotograph } from './photograph';

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#a97a12' } });

describe('a photograph', () => {
  it('is kept small, with a square one for lists', async () => {
    const made = await makePhotograph(await plain(3000, 2000).jpeg().toBuffer());
    if (!made.ok) throw new Error(made.problem);
    expect([made.value.width, made.value.height]).toEqual([1600, 1067]);
    const thumb = await sharp(made.value.thumb).metadata();
    expect([thumb.width, thumb.height]).toEqual([320, 320]);
  });

  it('loses where and with what it was taken, and stands upright', async () => {
    const taken = await plain(400, 200)
      .withExif({
        IFD0: { Make: 'A camera' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '38/1 42/1 0/1' },
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect((await sharp(taken).metadata()).exif).toBeDefined();
    const made = await makePhotograph(taken);
    if (!made.ok) throw new Error(made.problem);
    const kept = await sharp(made.value.image).metadata();
    expect(kept.exif).toBeUndefined();
    expect(kept.icc).toBeUndefined();
    expect(made.value.image.includes('A camera')).toBe(false);
    // Orientation 6 of the Exif standard: turned a quarter.
    expect([made.value.width, made.value.height]).toEqual([200, 400]);
  });

  it('is a picture, whatever its name says', async () => {
    const drawing =
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>alert(1)</script></svg>';
    const cut = (await plain(300, 300).jpeg().toBuffer()).subarray(0, 200);
    for (const file of [
      Buffer.from('a text named .jpg'),
      Buffer.from(drawing),
      cut,
      Buffer.alloc(0),
    ])
      expect(await makePhotograph(file)).toMatchObject({
        ok: false,
        problem: expect.stringContaining('no photograph') as string,
      });
  });

  it('is refused when it is too large, in bytes or in pixels', async () => {
    expect(await makePhotograph(Buffer.alloc(MOST_PHOTOGRAPH_BYTES + 1))).toMatchObject({
      ok: false,
      problem: expect.stringContaining('12 MB') as string,
    });
    // Few bytes that unfold into 90 million pixels.
    const bomb = await sharp({
      create: { width: 10_000, height: 9000, channels: 3, background: '#000' },
      limitInputPixels: false,
    })
      .png()
      .toBuffer();
    expect(bomb.length).toBeLessThan(MOST_PHOTOGRAPH_BYTES);
    expect((await makePhotograph(bomb)).ok).toBe(false);
  });
});
