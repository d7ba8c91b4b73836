'use client';

import type { ReactNode } from 'react';
import { useAwake } from '../use-awake';
import { useOnlySeen } from './only-seen';

interface KeptFormProps {
  readonly form: { readonly send: (event?: React.BaseSyntheticEvent) => Promise<void> };
  readonly className?: string;
  readonly children: ReactNode;
}

/** The form around the fields of `useKeptForm`. It opens when its code is there to keep what is typed. */
export function KeptForm({ form, className, children }: KeptFormProps) {
  const awake = useAwake();
  const onlySeen = useOnlySeen();
  return (
    <form noValidate method="post" onSubmit={form.send} className={className}>
      <fieldset disabled={!awake || onlySeen} className="contents">
        {children}
      </fieldset>
    </form>
  );
}
