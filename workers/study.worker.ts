/** Studies frames beside the interface, so that typing never waits for the solver. */
import { studyFrame, type Study } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import { singleFixes, type Mend } from '@/core/frame/single-fixes';

export interface StudyQuestion {
  readonly id: number;
  readonly spec: FrameSpec;
}

export interface StudyAnswer {
  readonly id: number;
  readonly study: Study;
  readonly mends: readonly Mend[];
}

addEventListener('message', ({ data }: MessageEvent<StudyQuestion>) => {
  const { id, spec } = data;
  const answer: StudyAnswer = { id, study: studyFrame(spec), mends: singleFixes(spec) };
  postMessage(answer);
});
