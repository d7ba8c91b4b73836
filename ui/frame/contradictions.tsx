import { TriangleAlert } from 'lucide-react';
import type { Study } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import type { Mend } from '@/core/frame/single-fixes';

interface ContradictionsProps {
  readonly problems: Study['problems'];
  readonly mends: readonly Mend[];
  readonly apply: (spec: FrameSpec) => void;
}

/** Facts that cannot hold together, and the single changes that would mend them. */
export function Contradictions({ problems, mends, apply }: ContradictionsProps) {
  if (problems.length === 0) return null;
  return (
    <section aria-label="Contradictions" className="bg-warn-wash px-3 py-2 text-sm">
      <ul className="flex flex-col gap-1">
        {problems.map(({ field, problem }) => (
          <li key={field + problem} className="flex gap-2">
            <TriangleAlert aria-hidden className="text-warn mt-0.5 size-4 shrink-0" />
            <span>{problem}</span>
          </li>
        ))}
      </ul>
      {mends.length > 0 && (
        <>
          <p className="label mt-2">One change would mend it:</p>
          <ul>
            {mends.map(({ says, spec }) => (
              <li key={says}>
                <button
                  type="button"
                  className="py-0.5 text-left underline"
                  onClick={() => apply(spec)}
                >
                  {says}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
