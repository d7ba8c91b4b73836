'use client';

import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
} from '@headlessui/react';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { takeTypedAhead } from './typed-ahead';
import { useAnswer } from '../form/use-found';

export interface Finding {
  readonly href: string;
  readonly kind: string;
  readonly text: string;
  /** What tells it from its like. */
  readonly detail?: string;
}

/** So many letters of an action are no name of somebody any more. */
const WRITTEN_OUT = 5;

interface PaletteProps {
  readonly close: () => void;
  /** What can be done and where one can go, beside what is found. */
  readonly actions: readonly Finding[];
  readonly find: (text: string) => Promise<readonly Finding[]>;
}

/** Finds anything by a few letters, from anywhere. Enter waits for the answer to what stands in the field. */
export function Palette({ close, actions: known, find }: PaletteProps) {
  const router = useRouter();
  const [typed, setTyped] = useState('');
  /** Enter was pressed before the answer came. */
  const entered = useRef(false);
  const asked = typed.trim();
  const answer = useAnswer<Finding>(async () => (asked ? find(asked) : []), asked, 100);
  const answered = answer.to === asked;
  const waits = asked !== '' && !answered;
  const found = answered ? answer.found : [];
  const actions = known.filter(({ text }) => text.toLowerCase().includes(asked.toLowerCase()));
  // Who writes an action out means it, whatever a word of it may be near to.
  const meant = actions.filter(
    ({ text }) => asked.length >= WRITTEN_OUT && text.toLowerCase().startsWith(asked.toLowerCase()),
  );
  const all = [...meant, ...found, ...actions.filter((action) => !meant.includes(action))];

  const go = (finding: Finding | undefined) => {
    if (!finding) return;
    close();
    router.push(finding.href);
  };

  // Closed before its field stood there: nobody types ahead any more.
  useEffect(() => () => void takeTypedAhead(), []);

  // What was asked for by an Enter that came too early.
  useEffect(() => {
    if (waits || !entered.current) return;
    entered.current = false;
    go(all[0]);
    // Only the answer decides when.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [waits, answer]);

  return (
    <Dialog open onClose={close} className="relative z-30">
      <div className="bg-ink/30 fixed inset-0" aria-hidden />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-24">
        <DialogPanel className="border-ink bg-sheet w-full max-w-3xl border">
          <Combobox<Finding | null> value={null} onChange={(finding) => go(finding ?? undefined)}>
            <ComboboxInput
              autoFocus
              aria-label="Find a client, racket, job, frame, string, machine or action"
              placeholder="A name, a number, 24 nov, 23/22, a string, or what to do"
              className="border-edge bg-sheet w-full border-b px-4 py-3 text-lg focus:outline-none"
              value={typed}
              onFocus={() => {
                const ahead = takeTypedAhead();
                if (ahead.text === '') return;
                entered.current = ahead.entered;
                setTyped((before) => before + ahead.text);
              }}
              onChange={(event) => {
                entered.current = false;
                setTyped(event.target.value);
              }}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' || !waits) return;
                // The hit of another text must not be opened: Enter waits.
                event.preventDefault();
                entered.current = true;
              }}
            />
            <ComboboxOptions static className="max-h-96 overflow-auto py-1">
              {all.map((finding) => (
                <ComboboxOption
                  key={finding.href + finding.text}
                  value={finding}
                  className="data-focus:bg-ink data-focus:text-paper flex cursor-pointer items-baseline gap-4 px-4 py-1.5"
                >
                  <span className="w-14 shrink-0 text-sm opacity-70">{finding.kind}</span>
                  <span className="min-w-0 grow truncate">{finding.text}</span>
                  {finding.detail && (
                    <span className="max-w-72 truncate text-sm opacity-75">{finding.detail}</span>
                  )}
                </ComboboxOption>
              ))}
            </ComboboxOptions>
            {waits ? (
              <p className="text-soft px-4 py-3">Looking …</p>
            ) : answer.lost && asked !== '' ? (
              <p role="alert" className="text-warn px-4 py-3">
                The workshop’s server does not answer: only actions are found just now.
              </p>
            ) : (
              all.length === 0 && <p className="text-soft px-4 py-3">Nothing goes by that.</p>
            )}
          </Combobox>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
