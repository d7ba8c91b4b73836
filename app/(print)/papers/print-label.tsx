'use client';

import { useState } from 'react';
import { useAwake } from '@/ui/use-awake';

/** Sends a small paper to the label printer. */
export function PrintLabel({ send }: { readonly send: () => Promise<string> }) {
  const awake = useAwake();
  const [said, setSaid] = useState('');
  return (
    <>
      <button
        type="button"
        disabled={!awake}
        className="underline"
        onClick={() =>
          void send()
            .catch(() => 'The workshop’s server does not answer. Nothing was printed: try again.')
            .then(setSaid)
        }
      >
        To the label printer
      </button>
      <span role="status" className="label">
        {said}
      </span>
    </>
  );
}
