/** Photographs are made smaller before they are sent, where the browser can. */
import { MOST_PHOTOGRAPH_BYTES } from '@/core/counter/inspection';

const LONGEST_PX = 2400;
const SMALL_BYTES = 2_000_000;
/** Nobody's camera makes more, and a browser would hold all of it at once. */
const MOST_OPENED = 50_000_000;

/** The file, or a smaller picture of it, or why it cannot be sent. */
export async function smaller(file: File): Promise<Blob | string> {
  if (file.size <= SMALL_BYTES) return file;
  if (file.size > MOST_OPENED)
    return 'a photograph is at most 12 MB: take it anew with a smaller setting.';
  const picture = await createImageBitmap(file).catch(() => undefined);
  if (!picture)
    return file.size > MOST_PHOTOGRAPH_BYTES ? 'that is no photograph that can be opened.' : file;
  const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return new Promise((resolve) =>
    canvas.toBlob((blob) => resolve(blob ?? file), 'image/jpeg', 0.9),
  );
}

/** What a file holds, as it may stand in a message. */
export const base64Of = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '');
    reader.onerror = () => reject(new Error('The file could not be read.'));
    reader.readAsDataURL(blob);
  });
