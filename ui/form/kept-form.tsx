'use client';

import type { ReactNode } from 'react';
import { useOnlySeen } from './only-seen';
import { OpensAwake } from './opens-awake';

interface KeptFormProps {
  readonly form: {
    readonly send: (event?: React.BaseSyntheticEvent) => Promise<void>;
    readonly attach?: (form: HTMLFormElement | null) => void;
  };
  readonly className?: string;
  /** Where a plain Enter would settle more than the field that it is pressed in, it goes on to the next field. */
  readonly enterGoesOn?: boolean;
  readonly children: ReactNode;
}

/** The next field that somebody types in. */
function fieldAfter(form: HTMLFormElement, field: HTMLInputElement): HTMLElement | undefined {
  const fields = [...form.querySelectorAll<HTMLElement>('input, textarea, select')].filter(
    (each) => each.tabIndex >= 0 && each.offsetParent !== null,
  );
  return fields[fields.indexOf(field) + 1];
}

/** The form around the fields of `useKeptForm`. It opens when its code is there to keep what is typed. */
export function KeptForm({
  form: { attach, send },
  className,
  enterGoesOn = false,
  children,
}: KeptFormProps) {
  const onlySeen = useOnlySeen();
  return (
    <form
      ref={attach}
      noValidate
      method="post"
      onSubmit={send}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || event.defaultPrevented) return;
        if (event.ctrlKey || event.metaKey) {
          event.preventDefault();
          event.currentTarget.requestSubmit();
        } else if (enterGoesOn && event.target instanceof HTMLInputElement) {
          event.preventDefault();
          const next = fieldAfter(event.currentTarget, event.target);
          next?.focus();
          // As a Tab does, so that what is typed takes the place of what stands there.
          if (next instanceof HTMLInputElement) next.select();
        }
      }}
      className={className}
    >
      {/* A form of secrets is not attached: nothing of it is kept. */}
      <OpensAwake shut={onlySeen} keeps={attach !== undefined}>
        {children}
      </OpensAwake>
    </form>
  );
}
