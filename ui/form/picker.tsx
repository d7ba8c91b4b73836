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
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { takeTypedAhead } from '../shell/typed-ahead';
import { useAwake } from '../use-awake';
import { takenByKey } from './taken-by-key';
import { typeInto } from './type-into';

export interface Pick {
  readonly id: string;
  readonly text: string;
  readonly detail?: string | undefined;
}

interface PickerProps {
  readonly label: string;
  readonly options: readonly Pick[];
  /** Whether the options are those of the text that stands there now. */
  readonly settled?: boolean;
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

/** Whether a Tab would ask something that is not asked yet. */
const asksOf = (
  text: string,
  options: readonly Pick[],
  question: string | undefined,
  mayBeNew: boolean,
): boolean => {
  const { is } = takenByKey(text, options);
  return (
    question === undefined && (is === 'several' || is === 'near' || (is === 'only' && mayBeNew))
  );
};

/** A box that finds by a few letters, and takes what it does not find as new. Keys take what is exact, and otherwise ask. */
export function Picker({
  label,
  options,
  settled = true,
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
  /** A key that came before the answer. */
  const [early, setEarly] = useState<'Enter' | 'Tab'>();
  useEffect(() => {
    // Whoever has begun to type elsewhere goes on there; on a heading stands only who has come to the page.
    const at = document.activeElement;
    if (!autoFocus || !awake || !input.current) return;
    if (at !== document.body && !at?.matches('h1, h2')) return;
    input.current.focus();
    const { text: ahead, entered } = takeTypedAhead();
    if (ahead) typeInto(input.current, ahead);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- It was pressed before this field was there.
    if (ahead && entered) setEarly('Enter');
  }, [autoFocus, awake]);
  const typed = text.trim();
  const known = options.some((option) => option.text.toLowerCase() === typed.toLowerCase());
  const add: Pick | undefined =
    addText && typed && !known ? { id: ADD, text: addText(typed) } : undefined;
  // What is known comes first, and what is new is a choice of its own.
  const all = add ? [...options, add] : options;

  /** The arrows have gone to a choice, so that Enter is on that one. */
  const [moved, setMoved] = useState(false);
  const [asked, setAsked] = useState<{ readonly text: string; readonly words: string }>();
  const question = asked?.text === text ? asked.words : undefined;

  /** The list closes as by hand; it does not know of what was taken past it. */
  const close = () =>
    input.current?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
  const pick = (option: Pick) => {
    onPick(option);
    close();
  };
  const byKey = (key: 'Enter' | 'Tab') => {
    const taken = takenByKey(text, options);
    const ask = (words: string) => setAsked({ text, words });
    switch (taken.is) {
      case 'nothing':
        return;
      case 'exact':
        return pick(taken.option);
      case 'only':
        // Where somebody new can be meant, part of a name is no answer yet: a second press is.
        if (!onAdd || question !== undefined) return pick(taken.option);
        return ask(`${taken.option.text}? ${key} again takes it; ↓ chooses another.`);
      case 'new':
        // The Tab of somebody who types fast makes nobody new.
        if (key !== 'Enter' || !onAdd) return;
        onAdd(typed);
        close();
        return;
      case 'several':
        return ask('Several go by that: ↓ and Enter choose one.');
      case 'near':
        return ask(
          `Nothing goes by exactly that; near it is ${taken.option.text}. ↓ and Enter choose.`,
        );
    }
  };
  const latest = useRef(byKey);
  useEffect(() => {
    latest.current = byKey;
  });
  useEffect(() => {
    if (!settled || !early) return;
    // eslint-disable-next-line react-hooks/set-state-in-effect -- The answer has come to a key that waited for it.
    setEarly(undefined);
    latest.current(early);
  }, [settled, early]);

  const keyed = (event: KeyboardEvent<HTMLElement>) => {
    const { key } = event;
    const isOpen = input.current?.getAttribute('aria-expanded') === 'true';
    if (!isOpen || moved) return;
    if (key === 'ArrowDown' && settled) {
      // The list stands on its first choice already, unseen.
      event.stopPropagation();
      event.preventDefault();
      setMoved(true);
    }
    if (key !== 'Enter' && key !== 'Tab') return;
    if (event.ctrlKey || event.metaKey) {
      // It sends the form, also past a list that is open.
      event.stopPropagation();
      event.preventDefault();
      close();
      return input.current?.form?.requestSubmit();
    }
    // The list itself would take whatever stands first.
    event.stopPropagation();
    // A Tab that would leave something unsaid behind asks first, once.
    const stays =
      key === 'Enter' || (settled && asksOf(text, options, question, onAdd !== undefined));
    if (stays) event.preventDefault();
    if (settled) byKey(key);
    // An Enter says more than the Tab that comes after it.
    else setEarly((before) => (before === 'Enter' ? before : key));
  };

  return (
    <Field className={clsx('min-w-0', className)} onKeyDownCapture={keyed}>
      <Label className="label block">{label}</Label>
      <Combobox<Pick | null>
        value={null}
        onChange={(chosen) => {
          if (!chosen) return;
          setMoved(false);
          if (chosen.id === ADD) onAdd?.(typed);
          else onPick(chosen);
        }}
      >
        <ComboboxInput
          ref={input}
          autoComplete="off"
          displayValue={() => text}
          value={text}
          aria-invalid={problem !== undefined}
          onChange={(event) => {
            setMoved(false);
            setEarly(undefined);
            onText(event.target.value);
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
              className={clsx(
                'hover:bg-ink hover:text-paper flex cursor-pointer justify-between gap-4 px-2 py-1.5',
                // What a key would not take is not marked as if it did.
                moved && 'data-focus:bg-ink data-focus:text-paper',
              )}
            >
              <span className={option.id === ADD ? 'italic' : undefined}>{option.text}</span>
              {option.detail && (
                <span className="shrink-0 text-sm opacity-75">{option.detail}</span>
              )}
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </Combobox>
      {(problem ?? question) ? (
        <Description role="alert" className="text-warn mt-1 text-sm font-medium">
          {problem ?? question}
        </Description>
      ) : (
        hint && <Description className="label mt-1">{hint}</Description>
      )}
    </Field>
  );
}
