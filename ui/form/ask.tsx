'use client';

import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent } from 'react';

interface Option<T extends string> {
  readonly value: T;
  readonly text: string;
}

interface AskProps<T extends string> {
  readonly label: string;
  readonly options: readonly Option<T>[];
  readonly className?: string;
}

const AHEAD: Partial<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

/** The answers to a question: one stop for Tab, arrows walk them, a digit takes the one in that place. */
function Answers<T extends string>({
  label,
  options,
  className,
  role,
  isTaken,
  onTake,
}: AskProps<T> & {
  readonly role: 'radio' | 'checkbox';
  readonly isTaken: (value: T) => boolean;
  readonly onTake: (value: T) => void;
}) {
  const [at, setAt] = useState(0);
  const buttons = useRef<(HTMLButtonElement | null)[]>([]);
  const taken = role === 'radio' ? options.findIndex(({ value }) => isTaken(value)) : -1;
  const stop = taken >= 0 ? taken : at;
  const go = (i: number) => {
    setAt(i);
    buttons.current[i]?.focus();
  };
  const keyed = (event: KeyboardEvent) => {
    const ahead = AHEAD[event.key];
    const digit = /^[1-9]$/.test(event.key) ? Number(event.key) - 1 : -1;
    const option = options[digit];
    if (ahead !== undefined) {
      event.preventDefault();
      go((at + ahead + options.length) % options.length);
    } else if (option) {
      event.preventDefault();
      go(digit);
      onTake(option.value);
    }
  };
  return (
    <div
      role={role === 'radio' ? 'radiogroup' : 'group'}
      aria-label={label}
      className={clsx('grid min-w-0 grid-cols-[5.5rem_1fr] items-baseline gap-x-2', className)}
      onKeyDown={keyed}
    >
      <span className="label">{label}</span>
      <div>
        {options.map(({ value, text }, i) => (
          <button
            key={value}
            ref={(node) => {
              buttons.current[i] = node;
            }}
            type="button"
            role={role}
            aria-checked={isTaken(value)}
            tabIndex={stop === i ? 0 : -1}
            onFocus={() => setAt(i)}
            onClick={() => onTake(value)}
            className="border-edge hover:border-ink aria-checked:border-ink aria-checked:bg-sheet ring-ink cursor-pointer border-b-2 px-2 py-0.5 text-sm ring-inset aria-checked:font-semibold aria-checked:ring-2"
          >
            {text}
          </button>
        ))}
      </div>
    </div>
  );
}

/** A question with one answer, which may be skipped: pressing the answer again takes it back. */
export function Ask<T extends string>({
  value,
  onChange,
  ...question
}: AskProps<T> & { readonly value: T | ''; readonly onChange: (value: T | '') => void }) {
  return (
    <Answers
      {...question}
      role="radio"
      isTaken={(answer) => answer === value}
      onTake={(answer) => onChange(answer === value ? '' : answer)}
    />
  );
}

/** A question with any number of answers. */
export function AskMany<T extends string>({
  value,
  onChange,
  ...question
}: AskProps<T> & { readonly value: readonly T[]; readonly onChange: (value: T[]) => void }) {
  return (
    <Answers
      {...question}
      role="checkbox"
      isTaken={(answer) => value.includes(answer)}
      onTake={(answer) =>
        onChange(
          value.includes(answer) ? value.filter((each) => each !== answer) : [...value, answer],
        )
      }
    />
  );
}
