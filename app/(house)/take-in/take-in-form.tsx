'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { formatWall, parsePromise, type WallTime } from '@/core/measure/promised-time';
import { TickField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { takeIn } from './actions';
import { ClientField, useClients } from './client-field';
import { KnownPanel } from './known-panel';
import { PromiseOffers } from './promise-offers';
import { RacketFields } from './racket-fields';
import { MOST_MORE, takeInSchema, type TakeInEntry } from './take-in-entry';

interface TakeInFormProps {
  readonly name: string;
  readonly initial: TakeInEntry;
  readonly workshopId: string;
  readonly now: WallTime;
}

export function promiseHint(text: string, now: WallTime): string {
  const promise = parsePromise(text, now);
  return promise.ok ? formatWall(promise.value, now) : 'fri, +2d, today 17:30';
}

/** The next of a client's rackets that is neither open nor chosen yet. */
const nextOf = (
  rackets: readonly { readonly id: string; readonly openNumber: number | undefined }[],
  chosen: readonly string[],
): string =>
  rackets.find(({ id, openNumber }) => openNumber === undefined && !chosen.includes(id))?.id ?? '';

export function TakeInForm({ name, workshopId, initial, now }: TakeInFormProps) {
  const schema = useMemo(() => takeInSchema(now), [now]);
  const form = useKeptForm<TakeInEntry>({
    name,
    schema,
    initial,
    save: (entry) => takeIn(workshopId, entry),
  });
  const { control, formState, problem, set } = form;
  const entry = useWatch({ control }) as TakeInEntry;
  const { clientId, clientName, newClient, racketId, promised, more, alike } = entry;
  const found = useClients(workshopId, { clientId, clientName });
  const { rackets } = found;

  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1.6fr_1fr]">
      <KeptForm form={form} className="grid grid-cols-2 content-start gap-x-6 gap-y-5">
        <ClientField
          found={found}
          value={{ clientId, clientName, newClient }}
          onChange={set}
          problem={problem('clientName')}
        />
        {!clientId && (
          <TextField
            label="How to reach them"
            className="col-span-2 sm:col-span-1"
            {...form.field('contact')}
          />
        )}
        <RacketFields
          workshopId={workshopId}
          known={rackets}
          value={entry}
          onChange={set}
          problems={{ frameLabel: problem('frameLabel'), mark: problem('mark') }}
        />
        {more.map((value, i) => {
          const wrong = formState.errors.more?.[i];
          return (
            <fieldset
              key={value.requestKey}
              className="border-hair col-span-2 grid grid-cols-2 gap-x-6 gap-y-3 border-t pt-3"
            >
              <legend className="sr-only">Racket {i + 2}</legend>
              <p className="col-span-2 flex items-baseline gap-4">
                <span className="figure text-xl">Racket {i + 2}</span>
                <button
                  type="button"
                  className="underline"
                  onClick={() => set({ more: more.filter((each) => each !== value) })}
                >
                  Take it off
                </button>
              </p>
              <RacketFields
                workshopId={workshopId}
                known={rackets}
                value={value}
                onChange={(changes) =>
                  set({
                    more: form
                      .getValues('more')
                      .map((each, at) => (at === i ? { ...each, ...changes } : each)),
                  })
                }
                problems={{
                  racketId: wrong?.racketId?.message,
                  frameLabel: wrong?.frameLabel?.message,
                  mark: wrong?.mark?.message,
                }}
              />
              {!alike && (
                <TextField
                  label="What they ask for on this one"
                  className="col-span-2"
                  {...form.field(`more.${i}.wish`)}
                  problem={wrong?.wish?.message}
                />
              )}
            </fieldset>
          );
        })}
        {more.length < MOST_MORE && (
          <p className="col-span-2 flex flex-wrap items-baseline gap-x-6">
            <button
              type="button"
              className="underline"
              onClick={() =>
                set({
                  more: [
                    ...more,
                    {
                      requestKey: crypto.randomUUID(),
                      racketId: nextOf(rackets, [racketId, ...more.map((each) => each.racketId)]),
                      frameId: '',
                      frameLabel: '',
                      mark: '',
                      wish: '',
                    },
                  ],
                })
              }
            >
              Another racket of theirs
            </button>
            {more.length > 0 && (
              <TickField control={control} name="alike" label="All alike, one wish for all" />
            )}
          </p>
        )}
        <TextField
          label="Promised"
          className="col-span-2 sm:col-span-1"
          hint={`${promiseHint(promised, now)}${more.length > 0 ? ', together' : ''}`}
          {...form.field('promised')}
        />
        <TextField
          label="What they ask for"
          className="col-span-2 sm:col-span-1"
          hint="In their words: the same again, a little looser."
          {...form.field('wish')}
        />
        <PromiseOffers
          workshopId={workshopId}
          racketId={racketId}
          frameId={entry.frameId}
          count={1 + more.length}
          promised={promised}
          onPick={(at) => set({ promised: at })}
        />
        <NoteField
          label="Condition"
          className="col-span-2"
          hint="In a word. What is seen hole by hole, and photographs, come at the next station. A cracked frame is not strung."
          {...form.field('condition')}
        />
        <div className="col-span-2">
          <FormFoot
            form={form}
            action={more.length > 0 ? `Take ${more.length + 1} rackets in` : 'Take it in'}
          />
        </div>
      </KeptForm>
      <section aria-label="What is known">
        <KnownPanel workshopId={workshopId} racketId={racketId} />
      </section>
    </div>
  );
}
