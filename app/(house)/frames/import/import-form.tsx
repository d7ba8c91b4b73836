'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { readFrameFile, type FileEntry } from '@/formats/frame-file';
import { NoteField } from '@/ui/form/field';
import { FileDrop } from '@/ui/form/file-drop';
import { OpensAwake } from '@/ui/form/opens-awake';
import { sendFile } from '@/ui/form/send-file';
import { importAnswerSchema } from './import-answer';

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
export function FrameImportForm({ workshopId }: { readonly workshopId: string }) {
  const router = useRouter();
  const [sources, setSources] = useState<readonly Source[]>([]);
  const [pasted, setPasted] = useState('');
  const [notice, setNotice] = useState<string>();
  /** Files that are in, while they come in. */
  const [kept, setKept] = useState<number>();
  const stopped = useRef(false);
  const busy = kept !== undefined;
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
    stopped.current = false;
    setNotice(undefined);
    const files = sources.filter(({ entries }) => entries.some(({ ok }) => ok));
    try {
      // One file at a time, so that each is in as a whole, however many there are.
      for (const [i, { key, text }] of files.entries()) {
        setKept(i);
        if (stopped.current) {
          setNotice(`Stopped: ${i} of ${files.length} files are in, the others are still here.`);
          return;
        }
        const answer = await sendFile(
          '/frames/import/file',
          workshopId,
          { key, text },
          importAnswerSchema,
        );
        if (!answer.ok) {
          setNotice(answer.notice);
          return;
        }
        if (files.length > 1) setSources((known) => known.filter((each) => each.key !== key));
      }
      router.push('/frames');
      router.refresh();
    } catch {
      setNotice(
        'The workshop’s server does not answer. What is still listed here is not kept: try again.',
      );
    } finally {
      setKept(undefined);
    }
  };
  const files = sources.filter(({ entries }) => entries.some(({ ok }) => ok)).length;

  return (
    <OpensAwake className="flex flex-col gap-5">
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
        {busy && files > 1 && (
          <>
            <progress
              className="mx-4"
              max={files + kept}
              value={kept}
              aria-label="Files that are in"
            />
            <button
              type="button"
              className="underline"
              onClick={() => {
                stopped.current = true;
              }}
            >
              Stop
            </button>
          </>
        )}
      </p>
    </OpensAwake>
  );
}
