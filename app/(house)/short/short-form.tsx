'use client';

import { isOverPrint } from '@/core/advice/tension';
import { TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { ClientField, useClients } from '../take-in/client-field';
import { PromiseOffers } from '../take-in/promise-offers';
import { RacketFields } from '../take-in/racket-fields';
import { promiseHint } from '../take-in/take-in-form';
import { WordAgainst } from '../tickets/[number]/setup/word-against';
import { BedAndTape } from './bed-and-tape';
import type { OpensAt, ShortEntry } from './short-entry';
import { ShortStrings } from './short-strings';
import { useShort, type ShortOf } from './use-short';

/** The stations that the parts of the page open into. */
const STATIONS: readonly { readonly at: OpensAt; readonly name: string }[] = [
  { at: 'inspect', name: 'Inspect' },
  { at: 'frame', name: 'Frame' },
  { at: 'setup', name: 'Setup' },
  { at: 'cut', name: 'Cut' },
];

/** One racket on one page: whose, what it is strung with, when, for how much, and its bed beside it. */
export function ShortForm(of: ShortOf) {
  const { workshopId, now, own } = of;
  const short = useShort(of);
  const { form, entry, bed, result } = short;
  const { clientId, clientName, newClient, racketId, frameId, promised } = entry;
  const { control, setValue, problem, set } = form;
  const found = useClients(workshopId, { clientId, clientName });
  /** Where a frame was asked about before its client is named, it is that one that they bring. */
  const besideFrame = (changes: Partial<ShortEntry>): Partial<ShortEntry> => {
    const asked = entry.frameLabel.trim();
    if (asked === '' || !changes.clientId) return changes;
    const theirs = found.clients
      .find(({ id }) => id === changes.clientId)
      ?.rackets.find(({ text }) => text === asked);
    return { ...changes, racketId: theirs?.id ?? '' };
  };
  /** Makes the ticket and opens it there. Said again at each press, so that one that was refused says nothing of the next. */
  const openAt = async (at: OpensAt, event?: React.BaseSyntheticEvent) => {
    setValue('opensAt', at);
    await form.send(event);
  };
  const isOwn = clientName === own.name && clientId === own.id;
  const tension = result?.tension;
  // Its holes are not known yet.
  const isUnknown = !bed && !short.waits && (racketId !== '' || entry.frameLabel.trim() !== '');
  return (
    <KeptForm
      form={{ ...form, send: (event) => openAt('bench', event) }}
      className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1.05fr)_minmax(0,1fr)]"
    >
      <div className="grid grid-cols-2 content-start gap-x-6 gap-y-3">
        {of.ticket ? (
          <p className="col-span-2 text-lg">{of.ticket.words}</p>
        ) : (
          <>
            {!clientId && !isOwn && (
              <p className="col-span-2 -mb-3 text-right">
                <button
                  type="button"
                  className="underline"
                  onClick={() =>
                    set({
                      clientId: own.id,
                      clientName: own.name,
                      newClient: own.id === '',
                      racketId: '',
                    })
                  }
                >
                  It is my own
                </button>
              </p>
            )}
            <ClientField
              found={found}
              value={{ clientId, clientName, newClient }}
              onChange={(changes) => set(besideFrame(changes))}
              problem={problem('clientName')}
            />
            {!clientId && !isOwn && (
              <TextField
                label="How to reach them"
                className="col-span-2 sm:col-span-1"
                {...form.field('contact')}
              />
            )}
            <RacketFields
              workshopId={workshopId}
              known={found.rackets}
              value={entry}
              onChange={set}
              problems={{ frameLabel: problem('frameLabel'), mark: problem('mark') }}
            />
          </>
        )}
        {bed && <ShortStrings short={short} lengthSystem={of.lengthSystem} />}
        <TextField
          label="Promised"
          className="col-span-2 sm:col-span-1"
          hint={promiseHint(promised, now)}
          {...form.field('promised')}
        />
        <PromiseOffers
          workshopId={workshopId}
          racketId={racketId}
          frameId={frameId}
          count={1}
          promised={promised}
          onPick={(at) => set({ promised: at })}
        />
        <TextField
          label="What they ask for"
          className="col-span-2"
          hint="In their words; empty is nothing."
          {...form.field('wish')}
        />
        {of.ticket?.seen ? (
          <p className="col-span-2">
            <span className="label">Looked at: </span>
            {of.ticket.seen.join(', ') || 'nothing found'}
          </p>
        ) : (
          <TickField
            control={control}
            name="whole"
            className="col-span-2"
            label="Looked at: no crack, every grommet whole, bumper good"
          />
        )}
        {bed && result && result.against.length > 0 && (
          <div className="col-span-2">
            <WordAgainst
              label="Your own word for it"
              hint="Why it is strung so all the same; it goes on record."
              field={form.field('ownWord')}
            >
              {result.against.map(({ id, title, why }) => (
                <p key={id} className="font-medium">
                  Not advised. {title}: {why}
                </p>
              ))}
            </WordAgainst>
          </div>
        )}
        {bed && tension && isOverPrint(bed.frame.spec, tension) && (
          <div className="col-span-2">
            <WordAgainst
              label="Its owner’s word for more than the printed maximum"
              hint="In writing, with the day: for this and nothing else. It goes on record."
              field={form.field('overPrint')}
            >
              <p className="font-medium">
                More than the frame prints. It can break, and its maker does not stand behind it.
              </p>
            </WordAgainst>
          </div>
        )}
        <div className="col-span-2">
          <FormFoot inSight form={form} action={isUnknown ? 'To the frame' : 'To the bench'}>
            <span className="label">or open it at</span>
            {STATIONS.map(({ at, name }) => (
              <button
                key={at}
                type="button"
                className="underline"
                disabled={form.sending}
                onClick={() => openAt(at)}
              >
                {name}
              </button>
            ))}
          </FormFoot>
        </div>
      </div>
      <BedAndTape short={short} of={of} />
    </KeptForm>
  );
}
