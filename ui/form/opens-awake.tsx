'use client';

import type { ReactNode } from 'react';
import { useAwake } from '../use-awake';

interface OpensAwakeProps {
  /** Shut whatever runs: it is only to be seen. */
  readonly shut?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Fields that open when their code is there to keep what is typed and pressed; before that it would be lost. */
export function OpensAwake({ shut = false, className = 'contents', children }: OpensAwakeProps) {
  const disabled = !useAwake() || shut;
  return (
    // What is pressed and is no field of HTML is told by its second name.
    <fieldset disabled={disabled} aria-disabled={disabled || undefined} className={className}>
      {children}
    </fieldset>
  );
}
