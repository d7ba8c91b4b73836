'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { say } from '@/ui/say';
import {
  answerRows,
  CLIENT_FIELDS,
  guessMapping,
  readSheet,
  sameName,
  textOf,
  type ClientField,
  type Mapping,
  type Sheet,
} from '@/formats/client-import';
import { FileDrop } from '@/ui/form/file-drop';
import { formAnswerSchema } from '@/ui/form/result';
import { useAwake } from '@/ui/use-awake';

interface ImportFormProps {
  readonly workshopId: string;
  readonly known: readonly string[];
}

const NAMES: Readonly<Record<ClientField, string>> = {
  name: 'Name',
  contact: 'How to reach them',
  address: 'Address',
  notes: 'Notes',
};
/** Of those that are wrong, and of those that come in. */
const SHOWN = 50;
const NO_ANSWER =
  'The workshop’s server does not answer, or it was stopped. Nothing was brought in.';

export function ImportForm({ workshopId, known }: ImportFormProps) {
  const router = useRouter();
  const awake = useAwake();
  const [sheet, setSheet] = useState<Sheet>();
  const [mapping, setMapping] = useState<Mapping>();
  const [notice, setNotice] = useState<string>();
  const [key, setKey] = useState('');
  const sending = useRef<AbortController | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const here = useMemo(() => new Set(known.map(sameName)), [known]);
  const answers = useMemo(
    () => (sheet && mapping ? answerRows(sheet, mapping, here) : []),
    [sheet, mapping, here],
  );
  const of = (state: (typeof answers)[number]['state']) =>
    answers.filter((each) => each.state === state);
  const [fresh, wrong, there] = [of('new'), of('wrong'), of('here already')];

  const open = async (file: File | undefined) => {
    if (!file) return;
    const read = readSheet(textOf(new Uint8Array(await file.arrayBuffer())));
    setNotice(read.ok ? undefined : read.problem);
    setSheet(read.ok ? read.value : undefined);
    setMapping(read.ok ? guessMapping(read.value.head) : undefined);
    setKey(crypto.randomUUID());
  };

  const bring = async () => {
    setBusy(true);
    setNotice(undefined);
    sending.current = new AbortController();
    try {
      const response = await fetch('/clients/import/file', {
        method: 'POST',
        signal: sending.current.signal,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          madeFor: workshopId,
          message: {
            key,
            clients: fresh.flatMap((row) => (row.state === 'new' ? [row.client] : [])),
          },
        }),
      });
      const answer = formAnswerSchema.parse(await response.json());
      if (answer.ok) {
        say(`${fresh.length} clients came in.`);
        router.push('/clients');
        router.refresh();
      } else setNotice(answer.notice);
    } catch {
      setNotice(NO_ANSWER);
    } finally {
      setBusy(false);
    }
  };

  return (
    <fieldset disabled={!awake} className="flex flex-col gap-5">
      <FileDrop
        label="Table of clients"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFiles={([file]) => void open(file)}
      />
      {sheet && mapping && (
        <>
          <div className="grid grid-cols-2 gap-5 sm:grid-cols-4">
            {CLIENT_FIELDS.map((field) => (
              <label key={field}>
                <span className="label block">{NAMES[field]}</span>
                <select
                  multiple
                  aria-label={NAMES[field]}
                  size={Math.min(6, sheet.head.length)}
                  value={mapping[field].map(String)}
                  onChange={(event) =>
                    setMapping({
                      ...mapping,
                      [field]: [...event.target.selectedOptions].map(({ value }) => Number(value)),
                    })
                  }
                  className="border-edge bg-sheet w-full border-b-2 px-2 py-1"
                >
                  {sheet.head.map((name, i) => (
                    <option key={i} value={i}>
                      {name || `column ${i + 1}`}
                    </option>
                  ))}
                </select>
              </label>
            ))}
          </div>
          <p role="status" className="figure text-2xl">
            {fresh.length} new, {there.length} here already, {wrong.length} not right
          </p>
          <table className="w-full text-left text-sm">
            <caption className="label text-left">
              The first of those that are not right, and of those that come in
            </caption>
            <tbody>
              {[...wrong.slice(0, SHOWN), ...fresh.slice(0, SHOWN)].map((row) => (
                <tr key={row.line} className="border-hair border-b align-baseline">
                  <td className="label w-16 py-1">row {row.line}</td>
                  <td className="py-1 pr-4 font-medium">
                    {row.state === 'new' ? row.client.name : row.name}
                  </td>
                  <td className="py-1">
                    {row.state === 'wrong' ? (
                      <span className="text-warn">{row.why}</span>
                    ) : row.state === 'new' ? (
                      [row.client.contact, row.client.address, row.client.notes]
                        .filter(Boolean)
                        .join(' · ')
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {notice && (
        <p role="alert" className="text-warn font-medium">
          {notice}
        </p>
      )}
      <p className="flex flex-wrap items-baseline gap-5">
        <button
          type="button"
          disabled={fresh.length === 0 || busy}
          onClick={() => void bring()}
          className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
        >
          {busy ? 'Bringing in …' : `Bring ${fresh.length} clients in`}
        </button>
        {busy && (
          <button type="button" className="underline" onClick={() => sending.current?.abort()}>
            Stop
          </button>
        )}
        {wrong.length > 0 && (
          <span className="label">
            Those that are not right stay out; all others come in together or not at all.
          </span>
        )}
      </p>
    </fieldset>
  );
}
