'use client';

import { useState, type ReactNode } from 'react';
import { Picker, type Pick } from './picker';

interface ListPickerProps {
  readonly label: string;
  readonly options: readonly Pick[];
  /** The id of the one chosen, or empty. */
  readonly value: string;
  readonly onChange: (id: string) => void;
  readonly problem?: string | undefined;
  readonly hint?: ReactNode;
  readonly autoFocus?: boolean;
  readonly className?: string;
}

const MOST_SHOWN = 40;

/** Chooses one of a list that is already here, by any letters of its name or detail. */
export function ListPicker({ options, value, onChange, problem, ...rest }: ListPickerProps) {
  const chosen = options.find((option) => option.id === value);
  const [typed, setTyped] = useState<string>();
  const text = typed ?? chosen?.text ?? '';
  const words = (typed ?? '').toLowerCase().split(/\s+/);
  const found = options.filter(({ text: name, detail = '' }) =>
    words.every((word) => `${name} ${detail}`.toLowerCase().includes(word)),
  );
  const stray = typed !== undefined && typed.trim() !== '' && found.length === 0;
  return (
    <Picker
      {...rest}
      options={found.slice(0, MOST_SHOWN)}
      text={text}
      onText={(next) => {
        setTyped(next);
        onChange('');
      }}
      onPick={(pick) => {
        setTyped(undefined);
        onChange(pick.id);
      }}
      problem={
        stray ? `None goes by “${typed.trim().slice(0, 40)}”: choose one from the list.` : problem
      }
    />
  );
}
