'use client';

import { useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { Controller, type FieldPathByValue } from 'react-hook-form';
import { QUESTIONS, type Question } from '@/core/advice/questions';
import { ARM_CAUTION, FAULTS, wantsOf } from '@/core/advice/talk';
import { FAMILIES } from '@/core/terms/family';
import type { Sport } from '@/core/terms/sport';
import { Ask, AskMany } from '@/ui/form/ask';
import { TextField } from '@/ui/form/field';
import type { KeptForm } from '@/ui/form/use-kept-form';
import type { SetupEntry } from './setup-entry';

export interface TalkQuestionsProps {
  readonly form: KeptForm<SetupEntry>;
  readonly sport: Sport;
  /** The questions that would move this job most, of those that nobody has answered. */
  readonly toAsk: () => readonly Question[];
  /** The workshop knows what was in it, so nobody is asked. */
  readonly lastIsKnown: boolean;
  readonly armSaid: boolean;
}

const plain = <T extends string>(...values: readonly T[]) =>
  values.map((value) => ({ value, text: value }));

/** The few questions that matter most; all of them where somebody wants to say more, or said something that cannot be. */
export function TalkQuestions({ form, sport, toAsk, lastIsKnown, armSaid }: TalkQuestionsProps) {
  // As it was when the talk began: a question does not go away while it is answered.
  const [first] = useState(toAsk);
  const [wantsAll, setWantsAll] = useState(first.length === 0);
  const all = wantsAll || form.formState.errors.talk !== undefined;
  const one = (
    name: FieldPathByValue<SetupEntry, string>,
    label: string,
    options: readonly { readonly value: string; readonly text: string }[],
  ) => (
    <Controller
      key={name}
      control={form.control}
      name={name}
      render={({ field }) => (
        <Ask
          label={label}
          options={options}
          value={field.value as string}
          onChange={field.onChange}
        />
      )}
    />
  );
  const many = (
    name: 'talk.wants' | 'talk.faults',
    label: string,
    options: readonly { readonly value: string; readonly text: string }[],
  ) => (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <AskMany label={label} options={options} value={field.value} onChange={field.onChange} />
      )}
    />
  );

  const questions: Readonly<Record<Question, ReactNode>> = {
    age: one('talk.age', 'Age', plain('junior', 'adult', 'older')),
    level: one('talk.level', 'Level', plain('beginner', 'club', 'advanced', 'performance')),
    swing: one('talk.swing', 'Swing', plain('slow', 'medium', 'fast')),
    style: one('talk.style', 'Plays', [
      { value: 'flat', text: sport === 'badminton' ? 'hard smashes' : 'flat' },
      ...(sport === 'badminton' ? [] : [{ value: 'spin', text: 'spin' }]),
      { value: 'touch', text: sport === 'badminton' ? 'net and drops' : 'touch' },
    ]),
    breaks: one('talk.breaks', 'Strings break', plain('never', 'in months', 'in weeks', 'in days')),
    arm: (
      <>
        {one('talk.arm', 'Arm', [
          { value: 'well', text: 'well' },
          { value: 'before', text: 'was sore' },
          { value: 'now', text: 'sore now' },
        ])}
        {armSaid && (
          <>
            {one('talk.armPart', 'Where', plain('elbow', 'wrist', 'shoulder'))}
            <p className="label">{ARM_CAUTION}</p>
          </>
        )}
      </>
    ),
    wants: many('talk.wants', 'Wants more', wantsOf(sport)),
    faults: many('talk.faults', 'Last time it', FAULTS),
    budget: one('talk.budget', 'Budget', [
      { value: 'low', text: 'small' },
      { value: 'middle', text: 'middle' },
      { value: 'open', text: 'no matter' },
    ]),
    court: one('talk.court', 'Court', plain('indoors', 'outdoors')),
    season: one('talk.season', 'Season', plain('summer', 'winter')),
    weather: one('talk.weather', 'Mostly', plain('hot', 'cold', 'damp')),
    stiffness: one('talk.stiffness', 'Frame', plain('flexible', 'medium', 'stiff')),
    grip: one('talk.grip', 'Grip', plain('built up', 'as made', 'smaller')),
  };
  return (
    <>
      {QUESTIONS.filter((question) => all || first.includes(question)).map((question) => (
        <div key={question} data-question={question} className="contents">
          {questions[question]}
        </div>
      ))}
      {all ? (
        <>
          {one('talk.asksFamily', 'Asks for', plain(...FAMILIES.slice(0, 4)))}
          {!lastIsKnown && (
            <>
              {one('talk.beforeFamily', 'What was in it', plain(...FAMILIES.slice(0, 4)))}
              <TextField label="At which tension" className="w-40" {...form.field('talk.before')} />
              {one('talk.beforePull', 'Pulled on a', plain('constant pull', 'lock-out'))}
            </>
          )}
          <div className="grid grid-cols-3 items-end gap-x-4 gap-y-2">
            <TextField label="Asks for tension" {...form.field('talk.asks')} />
            <TextField label="Plays a week" {...form.field('talk.playsAWeek')} />
            <TextField label="Altitude (m)" {...form.field('talk.altitudeM')} />
            <TextField label="Weight (g)" {...form.field('talk.weightG')} />
            <TextField label="Lead, head (g)" {...form.field('talk.leadHeadG')} />
            <TextField label="Lead, handle (g)" {...form.field('talk.leadHandleG')} />
          </div>
        </>
      ) : (
        <button
          type="button"
          className="self-start py-1 underline"
          onClick={(event) => {
            const talk = event.currentTarget.parentElement;
            flushSync(() => setWantsAll(true));
            // The button is gone; the keyboard stands on the first question that came.
            const came = QUESTIONS.find((question) => !first.includes(question));
            talk
              ?.querySelector<HTMLElement>(`[data-question=${came}] button:not([tabindex="-1"])`)
              ?.focus();
          }}
        >
          All questions
        </button>
      )}
    </>
  );
}
