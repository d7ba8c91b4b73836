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

const ROW = 'grid min-w-0 grid-cols-[5.5rem_1fr] items-baseline gap-x-2';
const OPTION =
  'border-hair text-soft aria-checked:border-ink aria-checked:text-ink cursor-pointer border-b-2 px-1.5 py-0.5 text-sm aria-checked:font-medium';

const AHEAD: Partial<Record<string, number>> = {
  ArrowRight: 1,
  ArrowDown: 1,
  ArrowLeft: -1,
  ArrowUp: -1,
};

/** One stop for Tab; arrows walk the options, a digit takes the one in that place. */
function useWalk<T extends string>(options: readonly Option<T>[]) {
  const [at, setAt] = useState(0);
  const buttons = useRef<(HTMLButtonElement | null)[]>([]);
  const go = (i: number) => {
    setAt(i);
    buttons.current[i]?.focus();
  };
  const keyed = (event: KeyboardEvent, taken: (i: number) => void) => {
    const ahead = AHEAD[event.key];
    const digit = /^[1-9]$/.test(event.key) ? Number(event.key) - 1 : -1;
    if (ahead !== undefined) {
      event.preventDefault();
      go((at + ahead + options.length) % options.length);
    } else if (digit >= 0 && digit < options.length) {
      event.preventDefault();
      go(digit);
      taken(digit);
    }
  };
  const button = (i: number) => ({
    ref: (node: HTMLButtonElement | null) => {
      buttons.current[i] = node;
    },
    onFocus: () => setAt(i),
  });
  return { at, keyed, button };
}

/** A question with one answer, which may be skipped: pressing the answer again takes it back. */
export function Ask<T extends string>({
  label,
  options,
  value,
  onChange,
  className,
}: AskProps<T> & { readonly value: T | ''; readonly onChange: (value: T | '') => void }) {
  const { at, keyed, button } = useWalk(options);
  const chosen = options.findIndex((option) => option.value === value);
  const take = (i: number) => {
    const option = options[i];
    if (option) onChange(option.value === value ? '' : option.value);
  };
  return (
    <div
      role="radiogroup"
      aria-label={label}
      className={clsx(ROW, className)}
      onKeyDown={(event) => keyed(event, take)}
    >
      <span className="label">{label}</span>
      <div>
        {options.map((option, i) => (
          <button
            key={option.value}
            type="button"
            role="radio"
            aria-checked={option.value === value}
            tabIndex={(chosen >= 0 ? chosen : at) === i ? 0 : -1}
            onClick={() => take(i)}
            className={OPTION}
            {...button(i)}
          >
            {option.text}
          </button>
        ))}
      </div>
    </div>
  );
}

/** A question with any number of answers. */
export function AskMany<T extends string>({
  label,
  options,
  value,
  onChange,
  className,
}: AskProps<T> & {
  readonly value: readonly T[];
  readonly onChange: (value: T[]) => void;
}) {
  const { at, keyed, button } = useWalk(options);
  const take = (i: number) => {
    const option = options[i];
    if (option)
      onChange(
        value.includes(option.value)
          ? value.filter((each) => each !== option.value)
          : [...value, option.value],
      );
  };
  return (
    <div
      role="group"
      aria-label={label}
      className={clsx(ROW, className)}
      onKeyDown={(event) => keyed(event, take)}
    >
      <span className="label">{label}</span>
      <div>
        {options.map((option, i) => (
          <button
            key={option.value}
            type="button"
            role="checkbox"
            aria-checked={value.includes(option.value)}
            tabIndex={at === i ? 0 : -1}
            onClick={() => take(i)}
            className={OPTION}
            {...button(i)}
          >
            {option.text}
          </button>
        ))}
      </div>
    </div>
  );
}
