'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { readFrameFile, type FileEntry } from '@/formats/frame-file';
import { NoteField } from '@/ui/form/field';
import { FileDrop } from '@/ui/form/file-drop';
import { useAwake } from '@/ui/use-awake';
import type { ImportAnswer } from '../actions';

interface ImportFormProps {
  readonly bring: (
    requestKeys: readonly string[],
    texts: readonly string[],
  ) => Promise<ImportAnswer>;
}

interface Source {
  readonly key: string;
  readonly name: string;
  readonly text: string;
  readonly entries: readonly FileEntry[];
}

const sourceOf = (name: string, text: string): Source => ({
  key: crypto.randomUUID(),
  name,
  text,
  entries: readFrameFile(text),
});

const PASTED = 'pasted text';

/** Looks at the files first, entry by entry; nothing is kept before the button is pressed. */
export function ImportForm({ bring }: ImportFormProps) {
  const router = useRouter();
  const awake = useAwake();
  const [sources, setSources] = useState<readonly Source[]>([]);
  const [pasted, setPasted] = useState('');
  const [notice, setNotice] = useState<string>();
  const [busy, setBusy] = useState(false);
  const sound = sources.flatMap(({ entries }) => entries).filter(({ ok }) => ok).length;

  const add = async (files: readonly File[]) => {
    const read = await Promise.all(
      files.map(async (file) => sourceOf(file.name, await file.text())),
    );
    setSources((known) => [...known, ...read]);
  };
  const paste = (text: string) => {
    setPasted(text);
    setSources((known) => [
      ...known.filter(({ name }) => name !== PASTED),
      ...(text.trim() === '' ? [] : [sourceOf(PASTED, text)]),
    ]);
  };
  const keep = async () => {
    setBusy(true);
    setNotice(undefined);
    try {
      const answer = await bring(
        sources.map(({ key }) => key),
        sources.map(({ text }) => text),
      );
      if (answer.ok) {
        router.push('/frames');
        router.refresh();
      } else setNotice(answer.notice);
    } catch {
      setNotice('The workshop’s server does not answer. Nothing was kept: try again.');
    } finally {
      setBusy(false);
    }
  };

  return (
    <fieldset disabled={!awake} className="flex flex-col gap-5">
      <FileDrop
        label="Files of frames"
        accept=".json,application/json"
        multiple
        onFiles={(files) => void add(files)}
      />
      <NoteField
        label="Or paste the text"
        rows={4}
        value={pasted}
        onChange={(event) => paste(event.target.value)}
      />
      {sources.map(({ key, name, entries }) => (
        <section key={key} aria-label={name}>
          <h2 className="figure border-edge flex gap-4 border-b text-xl">
            <span className="grow break-words">{name}</span>
            <button
              type="button"
              className="label underline"
              onClick={() => {
                if (name === PASTED) setPasted('');
                setSources((known) => known.filter((each) => each.key !== key));
              }}
            >
              leave it out
            </button>
          </h2>
          <ul>
            {entries.map((entry, i) => (
              <li key={i} className="border-hair flex gap-3 border-b py-1.5">
                <span className="label w-16 shrink-0">line {entry.line}</span>
                {entry.ok ? (
                  <span>
                    <span className="font-medium">{entry.frame.name}</span>{' '}
                    <span className="label">
                      {entry.frame.spec.sport}, {entry.frame.spec.pattern.mains} ×{' '}
                      {entry.frame.spec.pattern.crosses}
                    </span>
                  </span>
                ) : (
                  <span className="text-warn">
                    {entry.name && <span className="font-medium">{entry.name}: </span>}
                    {entry.problems
                      .map(({ line, reason }) => `line ${line}: ${reason}`)
                      .join(' · ')}
                  </span>
                )}
              </li>
            ))}
          </ul>
        </section>
      ))}
      {notice && (
        <p role="alert" className="text-warn font-medium">
          {notice}
        </p>
      )}
      <p>
        <button
          type="button"
          disabled={sound === 0 || busy}
          onClick={() => void keep()}
          className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
        >
          {busy
            ? 'Keeping …'
            : sound === 1
              ? 'Keep the sound frame'
              : `Keep the ${sound} sound frames`}
        </button>
      </p>
    </fieldset>
  );
}
