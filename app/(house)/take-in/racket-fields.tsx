'use client';

import { Link } from '@/ui/link';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import { Picker } from '@/ui/form/picker';
import { isSettled, offered, useAnswer } from '@/ui/form/use-found';
import { findFrames, type FoundRacket } from './actions';

/** Which racket: one that is known, or a new one by its frame and mark. */
interface RacketChoice {
  readonly racketId: string;
  readonly frameId: string;
  readonly frameLabel: string;
  readonly mark: string;
}

interface RacketFieldsProps {
  readonly workshopId: string;
  /** The client's, the one that was here last first. */
  readonly known: readonly FoundRacket[];
  readonly value: RacketChoice;
  readonly onChange: (changes: Partial<RacketChoice>) => void;
  readonly problems: { readonly [K in keyof RacketChoice]?: string | undefined };
}

const NEW_RACKET = 'new';

export function RacketFields({ workshopId, known, value, onChange, problems }: RacketFieldsProps) {
  const { racketId, frameId, frameLabel, mark } = value;
  const frames = useAnswer(() => findFrames(workshopId, frameLabel), frameLabel, 120);
  // What is in the library is not offered as new before the library has answered.
  const waits = !isSettled(frames, frameLabel);
  const openNumber = known.find(({ id }) => id === racketId)?.openNumber;
  return (
    <>
      {openNumber !== undefined && (
        <p role="alert" className="text-warn col-span-2 font-medium">
          This racket is on ticket {openNumber} already.{' '}
          <Link href={`/tickets/${openNumber}`} className="underline">
            Open that ticket
          </Link>
        </p>
      )}
      {known.length > 0 && (
        <div className="col-span-2">
          <Choice
            label="Racket"
            options={[
              ...known.map(({ id, text, detail }) => ({
                value: id,
                text: detail ? `${text}, ${detail}` : text,
              })),
              { value: NEW_RACKET, text: 'another one' },
            ]}
            value={racketId || NEW_RACKET}
            onChange={(next) => onChange({ racketId: next === NEW_RACKET ? '' : next })}
          />
          {problems.racketId && (
            <p role="alert" className="text-warn mt-1 text-sm font-medium">
              {problems.racketId}
            </p>
          )}
        </div>
      )}
      {!racketId && (
        <>
          <Picker
            label="Frame"
            className="col-span-2 sm:col-span-1"
            options={offered(frames, frameLabel)}
            settled={!waits}
            text={frameLabel}
            onText={(text) => onChange({ frameLabel: text, frameId: '' })}
            onPick={({ id, text }) => onChange({ frameId: id, frameLabel: text })}
            addText={waits ? undefined : (typed) => `Not in the library: ${typed}`}
            onAdd={(typed) => onChange({ frameId: '', frameLabel: typed })}
            problem={problems.frameLabel}
            hint={
              frameId
                ? 'From the library.'
                : frameLabel.trim()
                  ? 'Not in the library: entered at the next station.'
                  : 'A few letters of what stands on it.'
            }
          />
          <TextField
            label="Serial or bench mark"
            className="col-span-2 sm:col-span-1"
            hint="What tells it from its twins."
            value={mark}
            onChange={(event) => onChange({ mark: event.target.value })}
            problem={problems.mark}
          />
        </>
      )}
    </>
  );
}
