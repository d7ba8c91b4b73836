'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { KNOWN_UNHEARD, knownHere } from '@/app/(house)/brought/known-here';
import { framesToKeep, readFrameFile, type FileEntry } from '@/formats/frame-file';
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

const NOT_NEW = {
  here: 'is here already',
  twice: 'stands further up already',
} as const;

/** Looks at the files first, entry by entry; nothing is kept before the button is pressed. */
export function FrameImportForm({ workshopId }: { readonly workshopId: string }) {
  const router = useRouter();
  const [sources, setSources] = useState<readonly Source[]>([]);
  const [pasted, setPasted] = useState('');
  const [here, setHere] = useState<ReadonlySet<string>>();
  const [notice, setNotice] = useState<string>();
  /** Files that are in, while they come in. */
  const [kept, setKept] = useState<number>();
  const stopped = useRef(false);
  const busy = kept !== undefined;
  const listed = useMemo(() => {
    const rows = framesToKeep(
      sources.map(({ entries }) => entries),
      here ?? new Set(),
    );
    return sources.map((source, i) => ({ ...source, rows: rows[i] ?? [] }));
  }, [sources, here]);
  const fresh = listed.flatMap(({ rows }) => rows).filter(({ state }) => state === 'new').length;
  const files = listed.filter(({ rows }) => rows.some(({ state }) => state === 'new'));

  const learn = async () => {
    if (here) return;
    const keys = await knownHere('/frames/import/known');
    setHere(keys && new Set(keys));
    setNotice(keys ? undefined : KNOWN_UNHEARD);
  };
  const add = async (files: readonly File[]) => {
    await learn();
    const read = await Promise.all(
      files.map(async (file) => sourceOf(file.name, await file.text())),
    );
    setSources((known) => [...known, ...read]);
  };
  const paste = (text: string) => {
    void learn();
    setPasted(text);
    setSources((known) => [
      ...known.filter(({ name }) => name !== PASTED),
      ...(text.trim() === '' ? [] : [sourceOf(PASTED, text)]),
    ]);
  };
  const keep = async () => {
    stopped.current = false;
    setNotice(undefined);
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
      {here &&
        listed.map(({ key, name, rows }) => (
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
              {rows.map((entry, i) => (
                <li key={i} className="border-hair flex gap-3 border-b py-1.5">
                  <span className="label w-16 shrink-0">line {entry.line}</span>
                  {entry.ok ? (
                    <span>
                      <span className="font-medium">{entry.frame.name}</span>{' '}
                      <span className="label">
                        {entry.frame.spec.sport}, {entry.frame.spec.pattern.mains} ×{' '}
                        {entry.frame.spec.pattern.crosses}
                        {entry.state !== 'new' && `: ${NOT_NEW[entry.state]}`}
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
          disabled={!here || fresh === 0 || busy}
          onClick={() => void keep()}
          className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
        >
          {busy
            ? 'Keeping …'
            : fresh === 1
              ? 'Keep the one new frame'
              : `Keep the ${fresh} new frames`}
        </button>
        {busy && files.length > 1 && (
          <>
            <progress
              className="mx-4"
              max={files.length + kept}
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
