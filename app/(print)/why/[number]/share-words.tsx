'use client';

import { useState } from 'react';

interface ShareWordsProps {
  readonly words: string;
  readonly contact: string;
  readonly title: string;
}

/** The words to paste into any message, or in a letter to the client's address. */
export function ShareWords({ words, contact, title }: ShareWordsProps) {
  const [said, setSaid] = useState('');
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(words);
      setSaid('Copied.');
    } catch {
      setSaid('This browser does not let pages copy: mark the words and copy them by hand.');
    }
  };
  const address = /^\S+@\S+$/.test(contact.trim()) ? contact.trim() : undefined;
  return (
    <>
      <button type="button" className="underline" onClick={() => void copy()}>
        Copy the words
      </button>
      {address && (
        <a
          className="underline"
          href={`mailto:${address}?subject=${encodeURIComponent(title)}&body=${encodeURIComponent(words)}`}
        >
          Write to {address}
        </a>
      )}
      <span role="status" className="label">
        {said}
      </span>
    </>
  );
}
