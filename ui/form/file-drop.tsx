'use client';

import clsx from 'clsx';
import { useRef, useState } from 'react';

interface FileDropProps {
  /** Names the input for readers of the screen. */
  readonly label: string;
  readonly accept: string;
  readonly multiple?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A place to drop files on, with a button that does the same. */
export function FileDrop({ label, accept, multiple = false, onFiles }: FileDropProps) {
  const [over, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  return (
    <div
      className={clsx(
        'border-edge flex items-center gap-6 border-2 border-dashed px-5 py-8',
        over && 'border-ink bg-sheet',
      )}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        onFiles([...event.dataTransfer.files]);
      }}
    >
      <button
        type="button"
        className="border-ink border px-5 py-2 font-medium"
        onClick={() => picker.current?.click()}
      >
        {multiple ? 'Choose files' : 'Choose a file'}
      </button>
      <span className="label">or drop {multiple ? 'them' : 'it'} here</span>
      <input
        ref={picker}
        type="file"
        multiple={multiple}
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </div>
  );
}
