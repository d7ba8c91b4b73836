'use client';

import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import { Tick } from '../form/choice';
import { GuideArticle } from '../guide-article';
import { Link } from '../link';
import { areSingleKeysOn, turnSingleKeys } from '../single-keys';
import { guidePlaceOf } from './guide-place';
import { useGuide } from './use-guide';

/** Where the bar stands; the bench has keys of its own. */
const KEYS_OF_THE_BAR = [
  ['n', 'take a racket in'],
  ['s', 'a short ticket: one racket on one page'],
  ['d', 'today’s tickets'],
] as const;
const KEYS = [
  ['Ctrl K', 'find anything'],
  ['?', 'help on this page'],
  ['Ctrl Enter', 'save, in any form'],
  ['u', 'undo what was just removed or moved'],
  ['arrows', 'walk the strings of a bed, or the choices of a field'],
] as const;

interface HelpProps {
  readonly close: () => void;
  readonly atTheBench?: boolean;
}

/** What this page is for, and the keys that work on every page. */
export function Help({ close, atTheBench = false }: HelpProps) {
  const [on, setOn] = useState(areSingleKeysOn);
  const page = useGuide(guidePlaceOf(usePathname()));
  return (
    <Dialog open onClose={close} className="relative z-30">
      <div className="bg-ink/30 fixed inset-0" aria-hidden />
      <div className="fixed inset-0 flex justify-end">
        <DialogPanel className="border-ink bg-sheet flex w-full max-w-lg flex-col border-l">
          <div className="border-hair flex items-baseline gap-4 border-b px-5 py-3">
            <DialogTitle className="label grow">Help on this page</DialogTitle>
            <Link href="/guide" onClick={close} className="underline">
              The whole guide
            </Link>
            <button type="button" onClick={close} className="underline">
              Close
            </button>
          </div>
          {/* A region that scrolls is reached by Tab, so that the arrows move it. */}
          <div className="grow overflow-y-auto p-5" tabIndex={0} role="region" aria-label="Help">
            {page && <GuideArticle {...page} />}
            <h2 className="figure mt-6 text-2xl">Keys</h2>
            <dl className="mt-1">
              {[...(atTheBench ? [] : KEYS_OF_THE_BAR), ...KEYS].map(([key, what]) => (
                <div key={key} className="border-hair flex items-baseline gap-4 border-t py-1.5">
                  <dt className="figure w-20 text-lg">{key}</dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
            <Tick
              className="mt-4"
              label="Single letters work as keys on this device"
              checked={on}
              onChange={(wanted) => {
                turnSingleKeys(wanted);
                setOn(wanted);
              }}
            />
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
