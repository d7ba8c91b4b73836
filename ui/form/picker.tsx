'use client';

import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Description,
  Field,
  Label,
} from '@headlessui/react';
import clsx from 'clsx';
import { useEffect, useRef, type ReactNode } from 'react';
import { useAwake } from '../use-awake';

export interface Pick {
  readonly id: string;
  readonly text: string;
  readonly detail?: string | undefined;
}

interface PickerProps {
  readonly label: string;
  readonly options: readonly Pick[];
  /** What stands in the box. */
  readonly text: string;
  readonly onText: (text: string) => void;
  readonly onPick: (pick: Pick) => void;
  /** Offered when what was typed is none of the options. */
  readonly addText?: ((typed: string) => string) | undefined;
  readonly onAdd?: (typed: string) => void;
  readonly problem?: string | undefined;
  readonly hint?: ReactNode;
  readonly autoFocus?: boolean;
  readonly className?: string;
}

const ADD = 'add';

/** A box that finds by a few letters, and takes what it does not find as new. */
export function Picker({
  label,
  options,
  text,
  onText,
  onPick,
  addText,
  onAdd,
  problem,
  hint,
  autoFocus,
  className,
}: PickerProps) {
  const input = useRef<HTMLInputElement>(null);
  const awake = useAwake();
  useEffect(() => {
    if (autoFocus && awake) input.current?.focus();
  }, [autoFocus, awake]);
  const typed = text.trim();
  const known = options.some((option) => option.text.toLowerCase() === typed.toLowerCase());
  const add: Pick | undefined =
    addText && typed && !known ? { id: ADD, text: addText(typed) } : undefined;
  // What is known comes first, and what is new is a choice of its own: a press or an Enter on it, never the
  // Tab of somebody who types fast.
  const all = add ? [...options, add] : options;
  const tabbing = useRef(false);
  return (
    <Field className={clsx('min-w-0', className)}>
      <Label className="label block">{label}</Label>
      <Combobox<Pick | null>
        value={null}
        onChange={(pick) => {
          if (!pick || (pick.id === ADD && tabbing.current)) return;
          if (pick.id === ADD) onAdd?.(typed);
          else onPick(pick);
        }}
      >
        <ComboboxInput
          ref={input}
          autoComplete="off"
          displayValue={() => text}
          value={text}
          aria-invalid={problem !== undefined}
          onChange={(event) => onText(event.target.value)}
          onKeyDown={({ key }) => {
            tabbing.current = key === 'Tab';
          }}
          className="border-edge bg-sheet aria-invalid:border-warn w-full border-0 border-b-2 px-2 py-1.5"
        />
        <ComboboxOptions
          modal={false}
          anchor={{ to: 'bottom start', gap: 2 }}
          className="border-edge bg-sheet z-20 max-h-80 w-(--input-width) min-w-72 overflow-auto border py-1 empty:invisible"
        >
          {all.map((option) => (
            <ComboboxOption
              key={option.id}
              value={option}
              className="data-focus:bg-ink data-focus:text-paper flex cursor-pointer justify-between gap-4 px-2 py-1.5"
            >
              <span className={option.id === ADD ? 'italic' : undefined}>{option.text}</span>
              {option.detail && (
                <span className="shrink-0 text-sm opacity-75">{option.detail}</span>
              )}
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </Combobox>
      {problem ? (
        <Description role="alert" className="text-warn mt-1 text-sm font-medium">
          {problem}
        </Description>
      ) : (
        hint && <Description className="label mt-1">{hint}</Description>
      )}
    </Field>
  );
}
