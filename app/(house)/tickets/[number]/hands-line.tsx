import { Link } from '@/ui/link';
import { handsWords, type TicketHandNames } from '@/core/record/hands';

interface HandsLineProps {
  readonly number: number;
  readonly hands: TicketHandNames;
  /** Whether the whole trail is theirs to see. */
  readonly trail: boolean;
}

/** Whose hands a ticket went through. */
export function HandsLine({ number, hands, trail }: HandsLineProps) {
  const words = handsWords(hands);
  if (words.length === 0) return null;
  return (
    <p className="border-hair label mt-10 flex flex-wrap gap-x-5 border-t pt-3">
      {words.map(({ deed, who }) => (
        <span key={deed}>
          {deed} <span className="text-ink">{who}</span>{' '}
        </span>
      ))}
      {trail && (
        <Link href={`/workshop/trail?ticket=${number}`} className="underline">
          every change
        </Link>
      )}
    </p>
  );
}
