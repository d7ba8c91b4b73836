/**
 * Photographs as they are kept: made anew, small, upright, and with nothing in them but the picture. Place,
 * camera and thumbnails that came along are gone, and so is whatever was no picture.
 */
import sharp from 'sharp';
import { MOST_PHOTOGRAPH_BYTES } from '@/core/counter/inspection';
import { failure, success, type Result } from '@/core/terms/result';

export interface MadePhotograph {
  readonly width: number;
  readonly height: number;
  readonly image: Buffer;
  readonly thumb: Buffer;
}

/** What cameras make, and what a decoder is asked to hold at most. */
const MOST_PIXELS = 80_000_000;
const LONGEST_PX = 1600;
const THUMB_PX = 320;
/** Anything else, a drawing with a script in it above all, is not opened. */
const KINDS = ['jpeg', 'png', 'webp', 'heif'];

/**
 * A photograph made anew from a file, or why not.
 *
 * @param file whatever somebody chose
 */
export async function makePhotograph(file: Buffer): Promise<Result<MadePhotograph>> {
  if (file.length > MOST_PHOTOGRAPH_BYTES) return failure('photo.too large');
  if (file.length === 0) return failure('photo.no picture');
  try {
    const opened = () => sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error', pages: 1 });
    const { format } = await opened().metadata();
    if (!KINDS.includes(format)) return failure('photo.no picture');
    const { data, info } = await opened()
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const thumb = await sharp(data)
      .resize({ width: THUMB_PX, height: THUMB_PX, fit: 'cover' })
      .jpeg({ quality: 75 })
      .toBuffer();
    return success({ width: info.width, height: info.height, image: data, thumb });
  } catch (error) {
    return failure(
      error instanceof Error && error.message.includes('pixel limit')
        ? 'photo.too large'
        : 'photo.no picture',
    );
  }
}
