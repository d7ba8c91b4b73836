'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { sayDone } from '@/ui/say';
import { TextField } from '@/ui/form/field';
import { FileDrop } from '@/ui/form/file-drop';
import { useInHand } from '@/ui/form/in-hand';
import { formAnswerSchema } from '@/ui/form/result';
import { sendFile } from '@/ui/form/send-file';
import { isDone } from '@/ui/is-done';
import { useAwake } from '@/ui/use-awake';
import { base64Of, smaller } from './smaller';

interface PhotoPanelProps {
  readonly workshopId: string;
  readonly number: number;
  readonly photos: readonly { readonly id: string; readonly caption: string }[];
  /** Left out where they are only to be seen. */
  readonly remove?: (id: string) => Promise<string | void>;
  readonly restore?: (id: string) => Promise<string | void>;
}

const NOTHING_CHANGED = 'Nothing was changed.';
/** What the server opens; a telephone that keeps its pictures otherwise makes one of these. */
const KINDS = 'image/jpeg,image/png,image/webp,image/avif';

/** Photographs of a racket, from the camera or from files. */
export function PhotoPanel({ workshopId, number, photos, remove, restore }: PhotoPanelProps) {
  const router = useRouter();
  const awake = useAwake();
  const camera = useRef<HTMLInputElement>(null);
  const [caption, setCaption] = useState('');
  const [sending, setSending] = useState<string>();
  const [notice, setNotice] = useState<string>();

  useInHand('Photographs', caption.trim() !== '');

  const send = async (files: readonly File[]) => {
    setNotice(undefined);
    for (const [i, file] of files.entries()) {
      setSending(`${i + 1} of ${files.length}`);
      const ready = await smaller(file);
      if (typeof ready === 'string') {
        setNotice(`${file.name}: ${ready}`);
        break;
      }
      const answer = await sendFile(
        `/tickets/${number}/inspect/photo`,
        workshopId,
        { id: crypto.randomUUID(), number, caption, data: await base64Of(ready) },
        formAnswerSchema,
      ).catch(() => ({
        ok: false as const,
        notice: 'It did not arrive: the server does not answer, or it is too large. Try again.',
      }));
      if (!answer.ok) {
        setNotice(`${file.name}: ${answer.notice ?? NOTHING_CHANGED}`);
        break;
      }
    }
    setSending(undefined);
    setCaption('');
    router.refresh();
  };

  const takeOff = async (id: string) => {
    if (!remove || !(await isDone(() => remove(id), NOTHING_CHANGED))) return;
    const putBack = async () => {
      if (restore && (await isDone(() => restore(id), NOTHING_CHANGED))) router.refresh();
    };
    sayDone('The photograph is off the ticket.', () => void putBack());
    router.refresh();
  };

  return (
    <section aria-label="Photographs">
      <h2 className="figure mb-2 text-2xl">Photographs</h2>
      {photos.length === 0 && !remove && <p className="text-soft">None were taken.</p>}
      <ul className="mb-3 grid grid-cols-3 gap-3">
        {photos.map(({ id, caption: shows }, i) => (
          <li key={id}>
            <a href={`/photos/${id}`} target="_blank" rel="noreferrer">
              {/* The server has made it small already. */}
              {/* eslint-disable-next-line @next/next/no-img-element */}
              <img
                src={`/photos/${id}?size=thumb`}
                alt={shows || `Photograph ${i + 1} of ticket ${number}`}
                width={320}
                height={320}
                className="border-hair w-full border"
              />
            </a>
            <p className="label flex justify-between gap-2">
              <span className="min-w-0 truncate">{shows}</span>
              {remove && (
                <button
                  type="button"
                  className="underline"
                  disabled={!awake}
                  onClick={() => void takeOff(id)}
                >
                  Take off
                </button>
              )}
            </p>
          </li>
        ))}
      </ul>
      {remove && (
        <fieldset disabled={sending !== undefined} className="flex flex-col gap-3">
          <TextField
            label="What the next one shows"
            value={caption}
            onChange={(event) => setCaption(event.target.value)}
            // It stands in the form of its station, which Enter would send.
            onKeyDown={(event) => {
              if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) event.preventDefault();
            }}
          />
          <FileDrop
            label="Photographs from files"
            accept={KINDS}
            multiple
            onFiles={(files) => void send(files)}
          />
          <button
            type="button"
            className="border-ink self-start border px-5 py-2 font-medium"
            onClick={() => camera.current?.click()}
          >
            From the camera
          </button>
          <input
            ref={camera}
            type="file"
            accept={KINDS}
            capture="environment"
            aria-label="Photograph from the camera"
            className="sr-only"
            tabIndex={-1}
            onChange={(event) => {
              void send([...(event.target.files ?? [])]);
              event.target.value = '';
            }}
          />
          {sending && <p role="status">Sending {sending} …</p>}
        </fieldset>
      )}
      {notice && (
        <p role="alert" className="text-warn mt-2 font-medium">
          {notice}
        </p>
      )}
    </section>
  );
}
