'use client';

import { Link } from '@/ui/link';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { formatWall, parsePromise, type WallTime } from '@/core/measure/promised-time';
import { Choice } from '@/ui/form/choice';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { Picker, type Pick } from '@/ui/form/picker';
import { useFound } from '@/ui/form/use-found';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { findClients, racketsOfClient, takeIn } from './actions';
import { takeInSchema, type TakeInEntry } from './take-in-entry';

interface TakeInFormProps {
  readonly name: string;
  readonly initial: TakeInEntry;
  readonly workshopId: string;
  readonly frames: readonly Pick[];
  readonly now: WallTime;
}

const NEW_RACKET = 'new';

export function promiseHint(text: string, now: WallTime): string {
  const promise = parsePromise(text, now);
  return promise.ok ? formatWall(promise.value, now) : 'fri, +2d, today 17:30';
}

export function TakeInForm({ name, workshopId, initial, frames, now }: TakeInFormProps) {
  const schema = useMemo(() => takeInSchema(now), [now]);
  const form = useKeptForm<TakeInEntry>({
    name,
    schema,
    initial,
    save: (entry) => takeIn(workshopId, entry),
  });
  const { control, setValue, formState } = form;
  const [clientId, clientName, newClient, racketId, frameId, frameLabel, promised] = useWatch({
    control,
    name: ['clientId', 'clientName', 'newClient', 'racketId', 'frameId', 'frameLabel', 'promised'],
  });
  const problem = (field: keyof TakeInEntry) => formState.errors[field]?.message;
  const set = (values: Partial<TakeInEntry>) => {
    for (const [field, value] of Object.entries(values))
      setValue(field as keyof TakeInEntry, value, {
        shouldValidate: formState.isSubmitted,
        shouldDirty: true,
      });
  };

  const clients = useFound(() => findClients(workshopId, clientName), clientName, 120);
  const asked = useFound(
    async () => (clientId ? racketsOfClient(workshopId, clientId) : []),
    clientId,
    0,
  );
  const rackets = clients.find(({ id }) => id === clientId)?.rackets ?? asked;
  const openNumber = rackets.find(({ id }) => id === racketId)?.openNumber;
  const foundFrames = frames
    .filter(({ text }) => text.toLowerCase().includes(frameLabel.trim().toLowerCase()))
    .slice(0, 12);
  const knownRackets = clientId ? rackets : [];

  return (
    <KeptForm form={form} className="grid max-w-3xl grid-cols-2 gap-x-6 gap-y-5">
      <Picker
        autoFocus
        label="Client"
        className="col-span-2 sm:col-span-1"
        options={clients}
        text={clientName}
        onText={(text) => set({ clientName: text, clientId: '', newClient: false, racketId: '' })}
        onPick={({ id, text }) =>
          set({
            clientId: id,
            clientName: text,
            newClient: false,
            racketId: clients.find((client) => client.id === id)?.rackets[0]?.id ?? '',
          })
        }
        addText={(typed) => `New client: ${typed}`}
        onAdd={(typed) => set({ clientId: '', clientName: typed, newClient: true, racketId: '' })}
        problem={problem('clientName')}
        hint={
          clientId
            ? 'Known here.'
            : newClient
              ? 'New: they are added with this ticket.'
              : 'A few letters of the name or number.'
        }
      />
      {openNumber !== undefined && (
        <p role="alert" className="text-warn col-span-2 font-medium">
          This racket is on ticket {openNumber} already.{' '}
          <Link href={`/tickets/${openNumber}`} className="underline">
            Open that ticket
          </Link>
        </p>
      )}
      {!clientId && (
        <TextField
          label="How to reach them"
          className="col-span-2 sm:col-span-1"
          {...form.field('contact')}
        />
      )}
      {knownRackets.length > 0 && (
        <Choice
          label="Racket"
          className="col-span-2"
          options={[
            ...knownRackets.map(({ id, text, detail }) => ({
              value: id,
              text: detail ? `${text}, ${detail}` : text,
            })),
            { value: NEW_RACKET, text: 'another one' },
          ]}
          value={racketId || NEW_RACKET}
          onChange={(value) => set({ racketId: value === NEW_RACKET ? '' : value })}
        />
      )}
      {!racketId && (
        <>
          <Picker
            label="Frame"
            className="col-span-2 sm:col-span-1"
            options={foundFrames}
            text={frameLabel}
            onText={(text) => set({ frameLabel: text, frameId: '' })}
            onPick={({ id, text }) => set({ frameId: id, frameLabel: text })}
            addText={(typed) => `Not in the library: ${typed}`}
            onAdd={(typed) => set({ frameId: '', frameLabel: typed })}
            problem={problem('frameLabel')}
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
            {...form.field('mark')}
          />
        </>
      )}
      <TextField
        label="Promised"
        className="col-span-2 sm:col-span-1"
        hint={promiseHint(promised, now)}
        {...form.field('promised')}
      />
      <TextField
        label="What they ask for"
        className="col-span-2 sm:col-span-1"
        hint="In their words: the same again, a little looser."
        {...form.field('wish')}
      />
      <NoteField
        label="Condition"
        className="col-span-2"
        hint="Look now: cracks, sunken or split grommets, worn bumper. A cracked frame is not strung."
        {...form.field('condition')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Take it in" />
      </div>
    </KeptForm>
  );
}
