/** `npm run bench -- reading`: how often the right story stands first for beds drawn of the forward models, and how long a reading takes. */
import { studyFrame } from '@/core/frame/bed';
import { LIBRARY } from '@/core/frame/library';
import { chanceFrom } from '@/core/maths/chance';
import { readBed } from '@/core/reading/read-bed';
import { bedFacts } from '@/core/reading/signs';
import { STORIES, type Story } from '@/core/reading/stories';
import { drawnBed } from '@/core/testing/drawn-beds';

const EACH = 40;

const chance = chanceFrom(5);
const facts = LIBRARY.flatMap(({ spec }) => {
  const { bed } = studyFrame(spec);
  return bed ? [bedFacts(bed)] : [];
});
const stories: readonly (Story | null)[] = [null, ...STORIES];
let [read, tookMs, right, sure, sureAndWrong] = [0, 0, 0, 0, 0];
for (const story of stories) {
  let first = 0;
  for (const frame of facts)
    for (let i = 0; i < EACH; i++) {
      const seen = drawnBed(story, frame, chance);
      const started = performance.now();
      const { ranked, told } = readBed(seen, frame);
      tookMs += performance.now() - started;
      const isRight = ranked[0]?.story === story;
      read++;
      if (isRight) first++;
      if (told === 'sure') sure++;
      if (told === 'sure' && !isRight) sureAndWrong++;
    }
  right += first;
  console.log(
    `${story ?? 'as it should be'}: first in ${((100 * first) / (EACH * facts.length)).toFixed(1)} %`,
  );
}
const percent = (count: number) => `${((100 * count) / read).toFixed(1)} %`;
console.log(
  `${read} beds of ${facts.length} frames: right first in ${percent(right)}, sure ${percent(sure)}, sure and wrong ${percent(sureAndWrong)}; ${(tookMs / read).toFixed(2)} ms a reading`,
);
