import { lessons, lessonWords } from '@/core/reading/last-look';
import { english } from '@/core/terms/words/english';
import type { Records } from '@/db/workshop';

/** What the last jobs teach about the next one; nothing where they were good. */
export async function Lessons({ records }: { readonly records: Pick<Records, 'tickets'> }) {
  const learnt = lessons(await records.tickets.lastLooks());
  if (learnt.length === 0) return null;
  return (
    <section aria-label="What the last jobs teach" className="mt-4 max-w-prose">
      <h2 className="font-medium">What the last jobs teach</h2>
      <ul className="list-disc pl-6">
        {learnt.map((lesson) => (
          <li key={lesson.look}>{english(lessonWords(lesson))}</li>
        ))}
      </ul>
    </section>
  );
}
