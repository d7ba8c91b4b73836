import { readBed } from '@/core/reading/read-bed';
import type { BedSeen } from '@/core/reading/seen';
import { pairsTooFew, signsOf, type BedFacts, type SignSeen } from '@/core/reading/signs';
import { lookWords, seenWords, storyWords, tellWords, toDo, toDoWords } from '@/core/reading/words';
import { english } from '@/core/terms/words/english';

interface ReadingPanelProps {
  readonly seen: BedSeen;
  readonly facts: BedFacts;
}

const TOLD = {
  sure: 'That is sure.',
  likely: 'That is likely, not sure.',
  open: 'What was seen does not tell.',
} as const;
const SHOWN = 4;
/** Less likely ones are not worth a line. */
const LEAST = 0.03;

/** Nothing that an eye sees makes a whole hundred. */
const chanceWords = (chance: number): string =>
  chance > 0.99 ? '> 99 %' : `${Math.round(chance * 100)} %`;

const words = (signs: readonly SignSeen[]): string =>
  signs.map((sign) => english(seenWords(sign))).join('; ');

/** What a bed tells: the stories that explain it, where to look next, what to do, and what its owner hears. */
export function ReadingPanel({ seen, facts }: ReadingPanelProps) {
  const { told, tells, ranked, found, lookAt, directionOpen } = readBed(seen, facts);
  const tooFew = pairsTooFew(seen.mainsHz);
  const deed = toDo(found, seen);
  const isLooked = signsOf(seen, facts).length > 0;
  return (
    <section aria-label="What it tells">
      <h2 className="figure mb-1 text-2xl">What it tells</h2>
      <p className="label mb-2">
        {isLooked
          ? TOLD[told]
          : 'Nothing was looked at yet. This is how often each is met in beds that are brought to be read.'}
      </p>
      <ol className="border-hair border-t">
        {ranked
          .filter(({ chance }, i) => i < SHOWN && chance >= LEAST)
          .map(({ story, beside, chance, for: speaks, against }, i) => (
            <li
              key={story ?? ''}
              className="border-hair grid grid-cols-[4.5rem_1fr] items-baseline gap-x-3 border-b py-2"
            >
              <span className="figure text-2xl">{chanceWords(chance)}</span>
              <span>
                <span className={i === 0 ? 'font-semibold' : undefined}>
                  {[story, ...beside].map((each) => english(storyWords(each))).join(' · ')}
                </span>
                {speaks.length > 0 && <span className="block">for it: {words(speaks)}</span>}
                {against.length > 0 && (
                  <span className="text-soft block">against it: {words(against)}</span>
                )}
              </span>
            </li>
          ))}
      </ol>
      {lookAt.length > 0 && (
        <p className="mt-3">
          Look next at {lookAt.slice(0, 2).map(lookWords).map(english).join(', then at ')}: it tells
          the first from the second.
        </p>
      )}
      {tooFew > 0 && (
        <p className="mt-1">
          {tooFew === 1 ? 'One pair of mains was' : `${tooFew} pairs of mains were`} rung: from
          three on they count. They are kept all the same.
        </p>
      )}
      {directionOpen && seen.crossBow && (
        <p className="text-soft mt-1">
          From which end the crosses came cannot be told: a straight bed proves nothing about it.
        </p>
      )}
      {tells && (
        <>
          <p className="mt-4">
            <span className="figure text-2xl">{english(toDoWords(deed.what))}</span>:{' '}
            {english(deed.why)}.
          </p>
          <h3 className="figure mt-4 text-xl">Words for its owner</h3>
          <p className="max-w-prose">{tellWords(found).map(english).join(' ')}</p>
        </>
      )}
    </section>
  );
}
