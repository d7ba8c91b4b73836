/** The study worker of a page, asked by whoever needs a frame studied: each frame is worked out once. */
import type { FrameSpec } from '@/core/frame/frame';
import type { StudyAnswer, StudyQuestion } from '@/workers/study.worker';

type Answered = (answer: StudyAnswer | undefined) => void;

let worker: Worker | undefined;
let asked = 0;
const waiting = new Map<number, Answered>();
let latest:
  { readonly spec: string; readonly answer: Promise<StudyAnswer | undefined> } | undefined;

function started(): Worker {
  if (worker) return worker;
  const made = new Worker(new URL('../../workers/study.worker.ts', import.meta.url), {
    type: 'module',
  });
  made.addEventListener('message', ({ data }: MessageEvent<StudyAnswer>) => {
    waiting.get(data.id)?.(data);
    waiting.delete(data.id);
  });
  // A worker that cannot run answers nothing: the form goes on, and the server has the last word.
  made.addEventListener('error', () => {
    for (const answer of waiting.values()) answer(undefined);
    waiting.clear();
    latest = undefined;
    worker = undefined;
  });
  worker = made;
  return made;
}

/** The study of a frame, and what would mend it; undefined where no worker can run. */
export function askStudy(spec: FrameSpec): Promise<StudyAnswer | undefined> {
  const text = JSON.stringify(spec);
  if (latest?.spec === text) return latest.answer;
  const question: StudyQuestion = { id: ++asked, spec };
  const answer = new Promise<StudyAnswer | undefined>((resolve) => {
    waiting.set(question.id, resolve);
    started().postMessage(question);
  });
  latest = { spec: text, answer };
  return answer;
}
