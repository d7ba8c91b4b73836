import { Link } from '@/ui/link';

const STEPS = [
  ['Take it in', 'who brings it, which frame, when they want it back', '/take-in'],
  [
    'Read its frame',
    'holes, skips and shared holes; many frames are worked out from a few facts',
    undefined,
  ],
  [
    'Set it up',
    'a string from the shelf, thickness and tension, with advice and its reasons',
    '/strings/new',
  ],
  ['Cut and pull', 'lengths, knots, and every step at the bench', undefined],
  ['Hand it over', 'it is on record, and starts the next one', undefined],
] as const;

/** On the first day of a workshop: the way of its first racket. */
export function FirstSteps() {
  return (
    <section aria-labelledby="first-racket" className="mb-8 max-w-2xl">
      <h2 id="first-racket" className="figure mb-2 text-2xl">
        Your first racket
      </h2>
      <ol className="border-hair border-t">
        {STEPS.map(([name, what, href], i) => (
          <li key={name} className="border-hair flex gap-4 border-b py-2">
            <span className="figure w-6 text-xl">{i + 1}</span>
            <span className="w-36 font-medium">
              {href ? (
                <Link href={href} className="underline">
                  {name}
                </Link>
              ) : (
                name
              )}
            </span>
            <span className="text-soft">{what}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
