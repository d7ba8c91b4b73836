'use client';

import { useMemo, type ReactNode } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import {
  BREAKS,
  FLAWS,
  GROMMET_STATES,
  NOTCHES,
  pressGrommet,
  WEAR,
} from '@/core/counter/inspection';
import type { Bed } from '@/core/frame/bed';
import { GrommetDrawing } from '@/ui/bed/grommet-drawing';
import { Ask, AskMany } from '@/ui/form/ask';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm, type KeptForm as Form } from '@/ui/form/use-kept-form';
import { ExtraFields, type PriceList } from './extra-fields';
import { inspectSchema, type InspectEntry } from './inspect-entry';

interface InspectFormProps {
  readonly name: string;
  readonly version: number;
  readonly initial: InspectEntry;
  /** Nothing while the frame is not known: grommets are then written by their numbers. */
  readonly bed: Bed | undefined;
  readonly priceList: PriceList;
  readonly save: (entry: InspectEntry) => Promise<FormAnswer>;
  /** The photographs, which are saved as they are taken. */
  readonly children: ReactNode;
}

const words = <T extends string>(values: readonly T[]) =>
  values.map((value) => ({ value, text: value as string }));

/** One question of the inspection that belongs to the form. */
function AskField<T extends string>({
  form,
  name,
  label,
  options,
}: {
  readonly form: Form<InspectEntry>;
  readonly name: 'bumper' | 'grip' | 'broke' | 'notches';
  readonly label: string;
  readonly options: readonly T[];
}) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <Ask<T>
          label={label}
          options={words(options)}
          value={field.value as T | ''}
          onChange={field.onChange}
        />
      )}
    />
  );
}

/** What is seen and agreed with the racket in hand; one press saves all of it. */
export function InspectForm(props: InspectFormProps) {
  const { name, version, initial, bed, priceList, save, children } = props;
  const { currency } = priceList;
  const schema = useMemo(() => inspectSchema(currency), [currency]);
  const form = useKeptForm<InspectEntry>({ name, version, schema, initial, save });
  const [flaws, grommets] = useWatch({ control: form.control, name: ['flaws', 'grommets'] });
  const cracked = flaws.includes('crack');
  const press = (place: string) => form.set({ grommets: pressGrommet(grommets, place) });
  return (
    <KeptForm form={form}>
      <div className="grid gap-x-12 gap-y-10 lg:grid-cols-[1.25fr_1fr]">
        <section aria-label="With the racket in hand" className="flex flex-col gap-3">
          <h2 className="figure text-2xl">With the racket in hand</h2>
          <Controller
            control={form.control}
            name="flaws"
            render={({ field }) => (
              <AskMany
                label="Frame"
                options={words(FLAWS)}
                value={field.value}
                onChange={field.onChange}
              />
            )}
          />
          {flaws.length > 0 && (
            <TextField label="Where, and how large" className="ml-24" {...form.field('where')} />
          )}
          <AskField form={form} name="bumper" label="Bumper" options={WEAR} />
          <AskField form={form} name="grip" label="Grip" options={WEAR} />
          <AskField form={form} name="broke" label="It broke" options={BREAKS} />
          <AskField form={form} name="notches" label="Notches" options={NOTCHES} />
          <TextField
            label="How it was tied, as the knots show"
            className="ml-24"
            {...form.field('tied')}
          />
          {bed ? (
            <div>
              <p className="label">
                Grommets: press one for split, again for sunken, missing, whole.
              </p>
              <GrommetDrawing
                bed={bed}
                states={new Map(grommets.map(({ hole, state }) => [hole, state]))}
                onPress={press}
              />
            </div>
          ) : (
            <p className="label">
              The grommets can be pressed on the drawing once the frame is known; until then write
              them under Condition.
            </p>
          )}
          {grommets.length > 0 && (
            <p>
              {GROMMET_STATES.flatMap((state) => {
                const holes = grommets.filter((each) => each.state === state);
                return holes.length > 0
                  ? [`${state} at ${holes.map(({ hole }) => hole).join(', ')}`]
                  : [];
              }).join(' · ')}
            </p>
          )}
          {cracked && (
            <NoteField
              label="Its owner’s written word, should it be strung all the same"
              hint="As they wrote or signed it. Without it the ticket stops here."
              {...form.field('word')}
            />
          )}
        </section>
        <div className="flex flex-col gap-10">
          {children}
          <ExtraFields form={form} priceList={priceList} />
        </div>
      </div>
      <FormFoot form={form} inSight action={cracked ? 'Save' : 'Save, and go to the frame'} />
    </KeptForm>
  );
}
