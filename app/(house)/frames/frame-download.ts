import { writeFrameFile } from '@/formats/frame-file';
import type { NamedFrame } from '@/formats/frame-document';

/** A file of frames to be saved under a name; the name may be of any script. */
export const frameDownload = (frames: readonly NamedFrame[], name: string): Response =>
  new Response(writeFrameFile(frames), {
    headers: {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });
