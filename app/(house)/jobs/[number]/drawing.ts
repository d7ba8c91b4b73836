import type { Bed } from '@/core/frame/bed';
import { studied } from '@/app/studied';
import { USUAL_HOUSE } from '@/core/house/house-rules';
import { pathThrough, type Path } from '@/core/path/path';
import { inOrderOf } from '@/core/path/pull-order';
import { redraw, type Drawn } from '@/core/record/drawn';
import type { JobRecord } from '@/core/record/record';

/** The bed and the way of its string as they were drawn; a record of before that was kept is drawn anew. */
export function drawingOf(
  { frame, plan, advice }: JobRecord,
  drawn: Drawn | undefined,
): { readonly bed: Bed; readonly path: Path } | undefined {
  if (drawn) return redraw(drawn, frame);
  const { bed } = studied(frame);
  const path = bed && inOrderOf(pathThrough(bed, plan), frame.sport, advice?.house ?? USUAL_HOUSE);
  return path && { bed, path };
}
