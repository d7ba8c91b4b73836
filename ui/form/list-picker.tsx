'use client';

import { useState, type ReactNode } from 'react';
import { hasWords } from '@/core/measure/has-words';
import { Picker, type Pick } from './picker';

interface ListPickerProps {
  readonly label: string;
  readonly options: readonly Pick[];
  /** The id of the one chosen, empty, or what was typed and is none of them. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly problem?: string | undefined;
  readonly hint?: ReactNode;
  readonly autoFocus?: boolean;
  readonly className?: string;
}

const MOST_SHOWN = 40;

const isId = (value: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(value);

/**
 * Chooses one of a list that is already here, by any letters of its name or detail. What is typed and is
 * none of the list becomes the value as it stands, so that a form's schema can refuse it: a field that
 * says something is never taken for an empty one.
 */
export function ListPicker({ options, value, onChange, problem, ...rest }: ListPickerProps) {
  const [typing, setTyping] = useState(false);
  const chosen = options.find((option) => option.id === value);
  // An id says nothing to anybody.
  const isGone = !chosen && isId(value);
  const text = chosen?.text ?? (isGone ? '' : value);
  const found = options.filter(({ text: name, detail = '' }) =>
    hasWords(typing ? text : '', `${name} ${detail}`),
  );
  const stray = !chosen && text.trim() !== '' && found.length === 0;
  return (
    <Picker
      {...rest}
      options={found.slice(0, MOST_SHOWN)}
      text={text}
      onText={(next) => {
        setTyping(true);
        const same = options.filter((option) => option.text.toLowerCase() === next.toLowerCase());
        onChange(same.length === 1 && same[0] ? same[0].id : next.trim() === '' ? '' : next);
      }}
      onPick={(pick) => {
        setTyping(false);
        onChange(pick.id);
      }}
      problem={
        stray
          ? `None goes by “${text.trim().slice(0, 40)}”: choose one from the list.`
          : isGone
            ? (problem ?? 'What stood here was removed meanwhile: choose another one.')
            : problem
      }
    />
  );
}
