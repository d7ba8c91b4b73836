import type { KnownRacket } from '@/db/rackets';
import { Link } from '@/ui/link';

interface RacketHeadProps {
  readonly title: string;
  readonly racket: Pick<KnownRacket, 'id' | 'frameName' | 'mark' | 'clientId' | 'clientName'>;
}

/** The head of a page about one racket: what it is about, and the ways to the racket and its owner. */
export const RacketHead = ({ title, racket }: RacketHeadProps) => (
  <div className="mb-4 flex flex-wrap items-baseline gap-x-6">
    <h1 className="figure text-4xl">{title}</h1>
    <Link href={`/rackets/${racket.id}`} className="underline">
      {racket.frameName}
      {racket.mark && `, ${racket.mark}`}
    </Link>
    <Link href={`/clients/${racket.clientId}`} className="underline">
      {racket.clientName}
    </Link>
  </div>
);
