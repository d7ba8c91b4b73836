/** The study worker of a page, asked by whoever needs a frame studied: each frame is worked out once. */
import type { FrameSpec } from '@/core/frame/frame';
import type { StudyAnswer, StudyQuestion } from '@/workers/study.worker';

type Answered = (answer: StudyAnswer | undefined) => void;

/** A frame takes some hundredths of a second, the code of the worker a second or two on a slow line. */
const PATIENCE_MS = 8000;

let worker: Worker | undefined;
let asked = 0;
const waiting = new Map<number, Answered>();
let latest:
  { readonly spec: string; readonly answer: Promise<StudyAnswer | undefined> } | undefined;

/** A worker that cannot run, or does not answer: whoever waits goes on without, and the server has the last word. */
function giveUp(silent: Worker | undefined): void {
  if (silent !== worker) return;
  silent?.terminate();
  for (const answer of waiting.values()) answer(undefined);
  waiting.clear();
  latest = undefined;
  worker = undefined;
}

function started(): Worker {
  if (worker) return worker;
  const made = new Worker(new URL('../../workers/study.worker.ts', import.meta.url), {
    type: 'module',
  });
  made.addEventListener('message', ({ data }: MessageEvent<StudyAnswer>) => {
    waiting.get(data.id)?.(data);
    waiting.delete(data.id);
  });
  made.addEventListener('error', () => giveUp(made));
  worker = made;
  return made;
}

/** The study of a frame, and what would mend it; undefined where no worker can run or none answers in time. */
export function askStudy(spec: FrameSpec): Promise<StudyAnswer | undefined> {
  const text = JSON.stringify(spec);
  if (latest?.spec === text) return latest.answer;
  const question: StudyQuestion = { id: ++asked, spec };
  const answer = new Promise<StudyAnswer | undefined>((resolve) => {
    const asking = started();
    const late = setTimeout(() => giveUp(asking), PATIENCE_MS);
    waiting.set(question.id, (study) => {
      clearTimeout(late);
      resolve(study);
    });
    asking.postMessage(question);
  });
  latest = { spec: text, answer };
  return answer;
}
