'use client';

import { useEffect, useRef } from 'react';
import { Controller, type FieldPathByValue } from 'react-hook-form';
import { FAMILIES } from '@/core/terms/family';
import type { Sport } from '@/core/terms/sport';
import { ARM_CAUTION, FAULTS, wantsOf } from '@/core/advice/talk';
import { Ask, AskMany } from '@/ui/form/ask';
import { TextField } from '@/ui/form/field';
import type { KeptForm } from '@/ui/form/use-kept-form';
import { useAwake } from '@/ui/use-awake';
import type { SetupEntry } from './setup-entry';

interface TalkPanelProps {
  readonly form: KeptForm<SetupEntry>;
  readonly sport: Sport;
  /** The talk in a line of words; empty when nothing was said. */
  readonly words: string;
  readonly open: boolean;
  readonly onOpen: (open: boolean) => void;
  /** The workshop knows what was in it, so nobody is asked. */
  readonly lastIsKnown: boolean;
  readonly armSaid: boolean;
  /** What was asked for at take-in, in the client's own words. */
  readonly wish: string;
  /** Nothing was set up yet, so the keyboard begins here. */
  readonly autoFocus: boolean;
}

const plain = <T extends string>(...values: readonly T[]) =>
  values.map((value) => ({ value, text: value }));

/** The talk at the counter: every question can be skipped; once answered it is a line of words. */
export function TalkPanel({
  form,
  sport,
  words,
  open,
  onOpen,
  lastIsKnown,
  armSaid,
  wish,
  autoFocus,
}: TalkPanelProps) {
  const awake = useAwake();
  const first = useRef<HTMLElement>(null);
  const wasOpen = useRef(open);
  const began = useRef(false);
  useEffect(() => {
    if (!awake) return;
    const justOpened = open && !wasOpen.current;
    const beginsHere = autoFocus && !began.current;
    wasOpen.current = open;
    began.current = true;
    if (justOpened || beginsHere)
      first.current?.querySelector<HTMLButtonElement>('button:not([tabindex="-1"])')?.focus();
  }, [awake, open, autoFocus]);
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
  if (!open)
    return (
      <section aria-label="The talk" className="content-start" ref={first}>
        <h2 className="figure text-2xl">The talk</h2>
        {wish && <p className="mt-1">“{wish}”</p>}
        <p className="mt-1">{words || 'Nobody has asked yet.'}</p>
        {armSaid && <p className="label mt-2">{ARM_CAUTION}</p>}
        <button type="button" className="mt-2 underline" onClick={() => onOpen(true)}>
          {words ? 'Ask again' : 'Ask the client'}
        </button>
      </section>
    );
  return (
    <section aria-label="The talk" className="flex flex-col gap-1.5" ref={first}>
      <h2 className="figure text-2xl">The talk</h2>
      {wish && <p>“{wish}”</p>}
      {one('talk.age', 'Age', plain('junior', 'adult', 'older'))}
      {one('talk.level', 'Level', plain('beginner', 'club', 'advanced', 'performance'))}
      {one('talk.swing', 'Swing', plain('slow', 'medium', 'fast'))}
      {one('talk.style', 'Plays', [
        { value: 'flat', text: sport === 'badminton' ? 'hard smashes' : 'flat' },
        ...(sport === 'badminton' ? [] : [{ value: 'spin', text: 'spin' }]),
        { value: 'touch', text: sport === 'badminton' ? 'net and drops' : 'touch' },
      ])}
      {one('talk.breaks', 'Strings break', plain('never', 'in months', 'in weeks', 'in days'))}
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
      {many('talk.wants', 'Wants more', wantsOf(sport))}
      {many('talk.faults', 'Last time it', FAULTS)}
      {one('talk.budget', 'Budget', [
        { value: 'low', text: 'small' },
        { value: 'middle', text: 'middle' },
        { value: 'open', text: 'no matter' },
      ])}
      {one('talk.court', 'Court', plain('indoors', 'outdoors'))}
      {one('talk.season', 'Season', plain('summer', 'winter'))}
      {one('talk.weather', 'Mostly', plain('hot', 'cold', 'damp'))}
      <div className="grid grid-cols-3 items-end gap-x-4 gap-y-2">
        <TextField label="Plays a week" {...form.field('talk.playsAWeek')} />
        <TextField label="Altitude (m)" {...form.field('talk.altitudeM')} />
        <TextField label="Asks for tension" {...form.field('talk.asks')} />
      </div>
      {one('talk.asksFamily', 'Asks for', plain(...FAMILIES.slice(0, 4)))}
      {!lastIsKnown && (
        <>
          {one('talk.beforeFamily', 'What was in it', plain(...FAMILIES.slice(0, 4)))}
          <TextField label="At which tension" className="w-40" {...form.field('talk.before')} />
          {one('talk.beforePull', 'Pulled on a', plain('constant pull', 'lock-out'))}
        </>
      )}
      {one('talk.stiffness', 'Frame', plain('flexible', 'medium', 'stiff'))}
      {one('talk.grip', 'Grip', plain('built up', 'as made', 'smaller'))}
      <div className="grid grid-cols-3 gap-x-4">
        <TextField label="Weight (g)" {...form.field('talk.weightG')} />
        <TextField label="Lead, head (g)" {...form.field('talk.leadHeadG')} />
        <TextField label="Lead, handle (g)" {...form.field('talk.leadHandleG')} />
      </div>
      <button
        type="button"
        className="bg-ink text-paper mt-1 self-start px-4 py-1.5 font-medium"
        onClick={() => onOpen(false)}
      >
        That is all they said
      </button>
    </section>
  );
}
