/** Finds the tension of the same feel beside the interface. */
import { studyFrame } from '@/core/frame/bed';
import { sameFeel, type BedStrings, type SameFeel } from '@/core/advice/same-feel';
import type { Result } from '@/core/terms/result';
import type { FrameSpec } from '@/core/frame/frame';
import type { TicketTension } from '@/core/measure/units';

export interface FeelQuestion {
  readonly id: number;
  readonly from: FrameSpec;
  readonly to: FrameSpec;
  readonly tension: TicketTension;
  readonly strings: BedStrings;
}

export interface FeelAnswer {
  readonly id: number;
  /** Undefined when one of the frames makes no bed. */
  readonly found: Result<SameFeel> | undefined;
}

addEventListener('message', ({ data }: MessageEvent<FeelQuestion>) => {
  const from = studyFrame(data.from).bed;
  const to = studyFrame(data.to).bed;
  const answer: FeelAnswer = {
    id: data.id,
    found: from && to && sameFeel(from, data.tension, to, data.strings),
  };
  postMessage(answer);
});
