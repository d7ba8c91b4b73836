'use client';

import { useMemo } from 'react';
import { sportSchema } from '@/core/terms/sport';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { eventSchema, type EventEntry } from './event-entry';

interface EventFormProps {
  readonly name: string;
  readonly version?: number | undefined;
  readonly initial: EventEntry;
  readonly currency: string;
  readonly benches: readonly { readonly id: string; readonly name: string }[];
  readonly action: string;
  readonly save: (entry: EventEntry) => Promise<FormAnswer>;
}

/** A tournament: its days and hours, its benches, and what it asks for a racket. */
export function EventForm(props: EventFormProps) {
  const { name, version, initial, currency, benches, action, save } = props;
  const schema = useMemo(() => eventSchema(currency), [currency]);
  const form = useKeptForm<EventEntry>({
    name,
    version,
    schema,
    initial,
    save,
    saved: () => say('The event is saved.'),
  });
  const { control } = form;
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-4">
      <TextField label="Event" className="col-span-2" {...form.field('name')} />
      <ChoiceField
        control={control}
        name="sport"
        label="Sport"
        className="col-span-2"
        options={sportSchema.options.map((value) => ({ value, text: value }))}
      />
      <NoteField
        label="Days and hours"
        className="col-span-2"
        rows={4}
        hint="One a line: 2026-06-03 8-13 13:30-20. Its benches are open then, whatever their week says."
        {...form.field('days')}
      />
      {benches.length > 0 && (
        <fieldset className="col-span-2">
          <legend className="label">Benches there</legend>
          <div className="flex flex-wrap gap-x-6 gap-y-2 pt-1">
            {benches.map((bench) => (
              <TickField
                key={bench.id}
                control={control}
                name={`benches.${bench.id}`}
                label={bench.name}
              />
            ))}
          </div>
        </fieldset>
      )}
      <TextField
        label="Ready before the match (min)"
        figure
        className="col-span-2 sm:col-span-1"
        {...form.field('lead')}
      />
      <TickField
        control={control}
        name="oneBench"
        label="All rackets of a player at one bench, by one person"
        className="col-span-2 sm:col-span-1"
      />
      <TextField figure label={`Stringing (${currency})`} {...form.field('labour')} />
      <TextField
        figure
        label={`With the player’s string (${currency})`}
        {...form.field('ownString')}
      />
      <TextField figure label={`On top when in a hurry (${currency})`} {...form.field('rush')} />
      <TextField figure label="A hurry is within (min)" {...form.field('rushMin')} />
      <TickField
        control={control}
        name="boardNames"
        label="Whole names on the board for the wall"
        className="col-span-2"
      />
      <div className="col-span-2">
        <FormFoot form={form} action={action} onlySaves />
      </div>
    </KeptForm>
  );
}
