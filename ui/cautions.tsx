import { TriangleAlert } from 'lucide-react';

/** Short warnings, standing where the risk is. */
export function Cautions({ cautions }: { readonly cautions: readonly string[] }) {
  if (cautions.length === 0) return null;
  return (
    <ul aria-label="Cautions" className="flex flex-col gap-2">
      {cautions.map((caution) => (
        <li key={caution} className="bg-warn-wash flex gap-2 px-3 py-2 text-sm">
          <TriangleAlert aria-hidden className="text-warn mt-0.5 size-4 shrink-0" />
          <span>{caution}</span>
        </li>
      ))}
    </ul>
  );
}
