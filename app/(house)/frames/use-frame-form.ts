'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { say } from '@/ui/say';
import type { Study } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import type { Hole, Skips } from '@/core/frame/holes';
import { parseHoleLabels, parseHoleNumbers, parseTieOffs } from '@/core/measure/parsing';
import type { TensionUnit } from '@/core/measure/units';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { askStudy } from '@/ui/frame/ask-study';
import { useStudy } from '@/ui/frame/use-study';
import {
  frameEntryCountedBy,
  frameEntryOf,
  frameEntryReading,
  type FrameEntry,
} from './frame-entry';

/** What a tap on a hole of the drawing marks it as. */
export const MARKS = ['skip', 'tie-off', 'shared'] as const;
type Mark = (typeof MARKS)[number];

/** The spec of what is typed, as far as it can be read; whether its facts agree is for the study. */
function useSpec(entry: FrameEntry, houseUnit: TensionUnit): FrameSpec | undefined {
  const text = JSON.stringify(entry);
  return useMemo(() => {
    const typed = JSON.parse(text) as FrameEntry;
    const read = frameEntryReading(houseUnit).safeParse({ ...typed, name: typed.name || '-' });
    return read.success ? read.data.spec : undefined;
  }, [text, houseUnit]);
}

export const toggled = <T>(list: readonly T[], item: T): T[] =>
  list.includes(item) ? list.filter((each) => each !== item) : [...list, item];

export interface FrameOf {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: FrameEntry;
  /** Of the frame as it is kept, made on the server. */
  readonly study: Study | undefined;
  readonly save: (entry: FrameEntry) => Promise<FormAnswer>;
  readonly houseUnit: TensionUnit;
}

const problemsOf = async (spec: FrameSpec) => (await askStudy(spec))?.study.problems ?? [];

/** A frame while it is entered: its form, its study, and what a tap on the drawing writes into the form. */
export function useFrameForm({ name, version, initial, study, save, houseUnit }: FrameOf) {
  const schema = useMemo(() => frameEntryCountedBy(houseUnit, problemsOf), [houseUnit]);
  const form = useKeptForm<FrameEntry>({
    name,
    version,
    schema,
    initial,
    save,
    saved: () => say('The frame is saved.'),
  });
  const { control, formState, getValues, setValue, reset } = form;
  const entry = useWatch({ control }) as FrameEntry;
  const live = useStudy(useSpec(useDeferredValue(entry), houseUnit), study);
  const [mark, setMark] = useState<Mark>('skip');
  const bed = live.drawn?.bed;
  const beyondLimits = formState.errors.lengthMm?.message?.includes('at most') ?? false;

  const write = (
    field: 'headSkip' | 'throatSkip' | 'tieOff' | 'shared',
    list: readonly unknown[],
  ) =>
    setValue(field, list.length > 0 ? list.join(' ') : field.endsWith('Skip') ? 'none' : '', {
      shouldValidate: true,
      shouldTouch: true,
    });
  const tap = ({ label, end, number }: Hole) => {
    if (mark === 'skip') {
      const field = end === 'head' ? 'headSkip' : 'throatSkip';
      const typed = getValues(field).trim();
      const read = parseHoleNumbers(typed);
      const now = typed === '' || !read.ok ? (bed?.skips[end] ?? []) : read.value;
      write(
        field,
        toggled(now, number).sort((a, b) => a - b),
      );
    } else {
      const field = mark === 'tie-off' ? 'tieOff' : 'shared';
      const read = (mark === 'tie-off' ? parseTieOffs : parseHoleLabels)(getValues(field));
      if (read.ok) write(field, toggled(read.value, label));
    }
  };
  const take = (skips: Skips) => {
    write('headSkip', skips.head);
    write('throatSkip', skips.throat);
  };
  const apply = (spec: FrameSpec) => {
    reset(
      { ...frameEntryOf(getValues('name'), spec), range: getValues('range') },
      { keepDefaultValues: true },
    );
  };
  return { form, entry, live, bed, beyondLimits, mark, setMark, tap, take, apply };
}

export type FrameForm = ReturnType<typeof useFrameForm>;
