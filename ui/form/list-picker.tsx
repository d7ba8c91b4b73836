'use client';

import { useState, type ReactNode } from 'react';
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

/**
 * Chooses one of a list that is already here, by any letters of its name or detail. What is typed and is
 * none of the list becomes the value as it stands, so that a form's schema can refuse it: a field that
 * says something is never taken for an empty one.
 */
export function ListPicker({ options, value, onChange, problem, ...rest }: ListPickerProps) {
  const [typing, setTyping] = useState(false);
  const chosen = options.find((option) => option.id === value);
  const text = chosen?.text ?? value;
  const words = typing ? text.toLowerCase().split(/\s+/) : [];
  const found = options.filter(({ text: name, detail = '' }) =>
    words.every((word) => `${name} ${detail}`.toLowerCase().includes(word)),
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
        stray ? `None goes by “${text.trim().slice(0, 40)}”: choose one from the list.` : problem
      }
    />
  );
}
