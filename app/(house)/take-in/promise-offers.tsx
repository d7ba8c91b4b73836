'use client';

import {
  offersAtTheCounter,
  whatAPromiseBreaks,
  type OfferedTimes,
} from '@/app/(house)/day/actions';
import { useAnswer } from '@/ui/form/use-found';

interface PromiseOffersProps {
  readonly workshopId: string;
  readonly racketId: string;
  readonly frameId: string;
  /** How many come in together. */
  readonly count: number;
  readonly promised: string;
  readonly onPick: (promised: string) => void;
}

const CHIPS = [
  ['safe', 'safe'],
  ['tight', 'tight'],
  ['free', 'next free slot'],
] as const;

/** What can be promised now, one press each, and what the promise in the field would break. */
export function PromiseOffers({
  workshopId,
  racketId,
  frameId,
  count,
  promised,
  onPick,
}: PromiseOffersProps) {
  const asked = { racketId, frameId, count };
  const key = `${racketId} ${frameId} ${count}`;
  const offers = useAnswer<OfferedTimes>(
    async () => [await offersAtTheCounter(workshopId, asked)],
    key,
    200,
  );
  const broken = useAnswer<string>(
    async () => {
      const sentence = await whatAPromiseBreaks(workshopId, asked, promised);
      return sentence ? [sentence] : [];
    },
    `${key} ${promised}`,
    400,
  );
  const [times] = offers.found;
  const [sentence] = broken.to === `${key} ${promised}` ? broken.found : [];
  return (
    <div className="col-span-2 flex flex-col gap-2">
      {times?.none && (
        <p role="status" className="text-warn">
          {times.none}
        </p>
      )}
      {times && (times.safe ?? times.tight ?? times.free) && (
        <p className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
          <span className="label">Can be promised:</span>
          {CHIPS.map(([kind, name]) => {
            const offer = times[kind];
            return (
              offer && (
                <button
                  key={kind}
                  type="button"
                  onClick={() => onPick(offer.at.replace('T', ' '))}
                  className="border-ink border-b-2 py-0.5"
                >
                  <span className="label">{name}</span> {offer.words}
                </button>
              )
            );
          })}
        </p>
      )}
      {sentence && (
        <p role="status" className="text-warn">
          {sentence}
        </p>
      )}
    </div>
  );
}
