'use client';

import clsx from 'clsx';
import type { ReactNode } from 'react';
import { useOnlySeen } from './only-seen';

interface FormFootProps {
  readonly form: {
    readonly sending: boolean;
    readonly notice: string | undefined;
    readonly restored: 'as it was' | 'over a change' | undefined;
    readonly discard: () => void;
    readonly untouched: boolean;
  };
  /** What the button does, in the trade's words. */
  readonly action: string;
  /** It leads nowhere, so that there is nothing to press before something is changed. */
  readonly onlySaves?: boolean;
  /** It stands in a row of its own form, not below everything. */
  readonly inRow?: boolean;
  /** It stays at the foot of the window, however long its form is. */
  readonly inSight?: boolean;
  readonly children?: ReactNode;
}

/** The end of every form: what happened, and the one thing to press. */
export function FormFoot({
  form,
  action,
  onlySaves = false,
  inRow = false,
  inSight = false,
  children,
}: FormFootProps) {
  const isIdle = onlySaves && form.untouched;
  if (useOnlySeen()) return null;
  return (
    <div
      className={clsx(
        'flex flex-col gap-3',
        inRow ? 'max-w-sm items-end text-right' : 'border-hair mt-6 border-t pt-4',
        inSight && 'bg-paper sticky bottom-0 z-10 pb-4',
      )}
    >
      {form.notice && (
        <p role="alert" className="text-warn max-w-prose font-medium">
          {form.notice}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <button
          type={isIdle ? 'button' : 'submit'}
          disabled={form.sending}
          aria-disabled={isIdle}
          className={clsx(
            'px-5 py-2 font-medium disabled:opacity-60',
            isIdle
              ? 'border-edge text-soft cursor-default border'
              : 'bg-ink text-paper border border-transparent',
          )}
        >
          {form.sending ? 'Saving …' : action}
        </button>
        {isIdle && <span className="label">Nothing is changed yet.</span>}
        {children}
      </div>
      {form.restored && (
        <p role="status" className="label">
          {form.restored === 'over a change'
            ? 'This was saved anew since you typed. What you typed stands over it, not saved yet: look it over.'
            : 'What you typed before is back, not saved yet.'}{' '}
          <button type="button" onClick={form.discard} className="underline">
            Discard it
          </button>
        </p>
      )}
    </div>
  );
}
