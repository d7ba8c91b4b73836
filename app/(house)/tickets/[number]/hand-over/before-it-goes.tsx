'use client';

import type { ReactNode } from 'react';
import { useWatch } from 'react-hook-form';
import { GROMMETS_LEFT, type ClosingQuestion } from '@/core/record/closing';
import { countWords } from '@/core/terms/count-words';
import { listed } from '@/core/terms/listed';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { Sentence, TextField } from '@/ui/form/field';
import type { KeptForm } from '@/ui/form/use-kept-form';
import { LookFields } from '../last-look/look-fields';
import type { HandOverEntry } from './hand-over-entry';

const isOf =
  <Is extends ClosingQuestion['is']>(is: Is) =>
  (question: ClosingQuestion): question is Extract<ClosingQuestion, { is: Is }> =>
    question.is === is;

/** What is undone and is settled by a tick. */
function Settled({
  form,
  name,
  label,
  children,
}: {
  readonly form: KeptForm<HandOverEntry>;
  readonly name: 'strungUnseen' | 'notFromShelf';
  readonly label: string;
  readonly children: ReactNode;
}) {
  return (
    <div>
      <p className="mb-1">{children}</p>
      <TickField control={form.control} name={name} label={label} />
      <Sentence problem={form.formState.errors[name]?.message} />
    </div>
  );
}

/** What is undone, each with the one press that settles it. */
export function BeforeItGoes({
  form,
  questions,
  looks,
}: {
  readonly form: KeptForm<HandOverEntry>;
  readonly questions: readonly ClosingQuestion[];
  readonly looks: boolean;
}) {
  const { control, setValue, formState } = form;
  const { errors } = formState;
  const look = useWatch({ control, name: 'look' });
  const steps = questions.find(isOf('steps'));
  const grommets = questions.find(isOf('grommets'));
  const stock = questions.find(isOf('stock'));
  const asksForLook = questions.some(isOf('look'));
  if (!steps && !grommets && !stock && !asksForLook) return null;
  return (
    <section aria-label="Before it goes" className="flex flex-col gap-5">
      <h2 className="figure text-2xl">Before it goes</h2>
      {steps && (
        <Settled form={form} name="strungUnseen" label="It is strung to the last knot all the same">
          {steps.of === undefined
            ? 'Nothing was kept at the bench: the record will have no pulls and no time.'
            : `${steps.kept} of ${countWords(steps.of, 'step')} were kept at the bench; the record will list those.`}
        </Settled>
      )}
      {stock && (
        <Settled
          form={form}
          name="notFromShelf"
          label="Its string came from elsewhere, not off the shelf"
        >
          {`Nothing on the shelf is long enough for ${listed(stock.pieces.map((name) => (name === 'whole' ? 'the piece' : `the ${name}`)))}, and nothing was cut for it.`}
        </Settled>
      )}
      {grommets && (
        <div>
          <ChoiceField
            control={control}
            name="grommets"
            label={`Grommets that were not whole: ${grommets.holes.join(', ')}`}
            options={GROMMETS_LEFT.map((value) => ({
              value,
              text: value === 'left' ? 'stay as they are, and their owner knows' : value,
            }))}
          />
          <Sentence problem={errors.grommets?.message} />
        </div>
      )}
      {asksForLook && (
        <section aria-label="Last look">
          <h3 className="mb-1 font-medium">Last look</h3>
          {looks && (
            <LookFields
              entry={look}
              set={(name, value) => setValue(`look.${name}`, value, { shouldDirty: true })}
            >
              <TextField
                figure
                className="max-w-56"
                label="Rings at (Hz), if you tap it"
                {...form.field('look.hz')}
              />
            </LookFields>
          )}
          <TickField
            control={control}
            name="noLook"
            className="mt-2"
            label="It goes without a last look"
          />
          <Sentence problem={errors.noLook?.message} />
        </section>
      )}
    </section>
  );
}
