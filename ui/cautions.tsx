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

/** What stands in for something that nobody has read from the frame yet. */
export function Assumed({ assumed }: { readonly assumed: readonly string[] }) {
  if (assumed.length === 0) return null;
  return (
    <ul aria-label="Assumed" className="border-edge flex flex-col gap-1 border-l-2 pl-3 text-sm">
      {assumed.map((each) => (
        <li key={each}>{each}</li>
      ))}
    </ul>
  );
}
