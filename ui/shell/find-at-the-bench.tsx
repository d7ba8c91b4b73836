'use client';

import { useCallback, useState } from 'react';
import type { Finding } from './palette';
import { useFindKey } from './use-find-key';
import { startTypingAhead } from './typed-ahead';
import { Palette, useReadyAhead } from './when-opened';

interface FindAtTheBenchProps {
  readonly find: (text: string) => Promise<readonly Finding[]>;
}

const NO_ACTIONS: readonly Finding[] = [];

/** The search where no bar stands: by its keys alone. What was done at the bench is kept when one leaves it. */
export function FindAtTheBench({ find }: FindAtTheBenchProps) {
  const [open, setOpen] = useState(false);
  useReadyAhead('palette');
  useFindKey(
    useCallback(() => {
      startTypingAhead();
      setOpen(true);
    }, []),
    true,
  );
  return open && <Palette close={() => setOpen(false)} actions={NO_ACTIONS} find={find} />;
}
