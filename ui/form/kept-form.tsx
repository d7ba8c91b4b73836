'use client';

import type { ReactNode } from 'react';
import { useOnlySeen } from './only-seen';
import { OpensAwake } from './opens-awake';

interface KeptFormProps {
  readonly form: { readonly send: (event?: React.BaseSyntheticEvent) => Promise<void> };
  readonly className?: string;
  readonly children: ReactNode;
}

/** The form around the fields of `useKeptForm`. It opens when its code is there to keep what is typed. */
export function KeptForm({ form, className, children }: KeptFormProps) {
  const onlySeen = useOnlySeen();
  return (
    <form noValidate method="post" onSubmit={form.send} className={className}>
      <OpensAwake shut={onlySeen}>{children}</OpensAwake>
    </form>
  );
}
