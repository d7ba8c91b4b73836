import { openFor } from '@/app/identity/at-work';
import type { Metadata } from 'next';
import { Link } from '@/ui/link';
import { studied } from '@/app/studied';

export const metadata: Metadata = { title: 'Practice' };

/** Frames to practise on: the bench view without a job, with a question before each step. */
export default async function PracticePage() {
  const { frames } = await openFor('practise');
  const whole = (await frames.all()).filter(({ spec }) => studied(spec).bed);
  return (
    <main className="max-w-3xl px-6 py-6">
      <h1 className="figure mb-2 text-4xl">Practice</h1>
      <p className="label mb-4 max-w-prose">
        The bench without a job: before each pull and each knot it asks which string, which hole or
        what tension, says why, and lists the mistakes at the end. Nothing goes on record.
      </p>
      <ul aria-label="Frames to practise on">
        {whole.map(({ id, name, spec }) => (
          <li key={id} className="border-hair flex gap-x-6 border-t py-2">
            <Link href={`/practice/${id}`} className="grow font-medium underline">
              {name}
            </Link>
            <span className="text-soft">
              {spec.sport}, {spec.pattern.mains} × {spec.pattern.crosses}
            </span>
          </li>
        ))}
      </ul>
    </main>
  );
}
