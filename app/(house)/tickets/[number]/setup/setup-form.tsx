'use client';

import clsx from 'clsx';
import { questionsToAsk } from '@/core/advice/questions';
import { isOverPrint, tensionCautions } from '@/core/advice/tension';
import { Cautions } from '@/ui/cautions';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { Figures } from './figures';
import { SetupChoices } from './setup-choices';
import { StringsFields } from './strings-fields';
import { TalkPanel } from './talk-panel';
import { useSetup, type SetupOf } from './use-setup';
import { WhyFigures } from './why-figures';
import { WordAgainst } from './word-against';

/** So many questions are asked at once; the others where somebody wants to say more. */
const FIRST_QUESTIONS = 5;

/** The judgement that clients pay for: the talk, why the figures are what they are, and what to choose from. */
export function SetupForm(of: SetupOf) {
  const { spec } = of.bed;
  const { sport } = spec;
  const setup = useSetup(of);
  const { form, entry, talk, words, asking, answered, foot, setups, taken, take, rules } = setup;
  const { advice, against, staircase, strung, typed, pulled } = setup;
  return (
    <KeptForm form={form} className="flex flex-col gap-6">
      {staircase && (
        <Figures
          form={form}
          advised={staircase.ticket}
          typed={typed}
          kept={of.kept}
          last={setup.last}
          house={rules}
        >
          <div ref={foot}>
            <FormFoot inRow form={form} action="Save and go to the cut" />
          </div>
        </Figures>
      )}
      {against.length > 0 && (
        <WordAgainst
          label="Your own word for it"
          hint="Why it is strung so all the same; it goes on record."
          field={form.field('ownWord')}
        >
          {against.map(({ id, title, why }) => (
            <p key={id} className="font-medium">
              Not advised. {title}: {why}
            </p>
          ))}
        </WordAgainst>
      )}
      {pulled && isOverPrint(spec, pulled) && (
        <WordAgainst
          label="Its owner’s word for more than the printed maximum"
          hint="In writing, with the day: for this and nothing else. It goes on record."
          field={form.field('overPrint')}
        >
          <p className="font-medium">
            More than the frame prints. It can break, and its maker does not stand behind it.
          </p>
        </WordAgainst>
      )}
      <div
        className={clsx(
          'grid items-start gap-x-8 gap-y-6',
          asking || form.formState.errors.talk
            ? 'lg:grid-cols-[21rem_1fr] xl:grid-cols-[21rem_1fr_19rem]'
            : 'lg:grid-cols-[14rem_1fr] xl:grid-cols-[14rem_1fr_22rem]',
        )}
      >
        <TalkPanel
          form={form}
          sport={sport}
          toAsk={() => questionsToAsk(setup.about, of.unit, FIRST_QUESTIONS)}
          words={words}
          // A sentence about an answer must be in sight.
          open={asking || form.formState.errors.talk !== undefined}
          onOpen={answered}
          autoFocus={!of.saved && taken === undefined}
          lastIsKnown={of.record !== undefined}
          wish={of.wish}
          armSaid={talk.arm === 'now' || talk.arm === 'before'}
        />
        <WhyFigures
          setup={setup}
          spec={of.bed.spec}
          number={of.number}
          saved={of.saved}
          unit={of.unit}
          history={of.history}
        />
        <div ref={setups}>
          <SetupChoices
            proposals={advice.proposals}
            notAdvised={advice.notAdvised}
            taken={taken}
            currency={of.currency}
            knownBefore={Boolean(setup.last?.strung)}
            onTake={take}
          />
        </div>
      </div>
      <div className="max-w-3xl">
        <h2 className="figure mb-2 text-2xl">What it will be strung with</h2>
        <StringsFields
          form={form}
          entry={entry}
          number={of.number}
          strings={setup.known}
          gone={of.gone}
          sport={sport}
          lengthSystem={of.lengthSystem}
        />
        <div className="mt-4">
          <Cautions
            cautions={
              pulled && strung
                ? tensionCautions(spec, pulled, strung.mains.family, strung.crosses.family)
                : []
            }
          />
        </div>
      </div>
    </KeptForm>
  );
}
