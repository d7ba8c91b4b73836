'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { StringFacts } from '@/core/strings/string-facts';
import { readStringTable, type CellChange } from '@/formats/string-table';
import { NoteField } from '@/ui/form/field';
import { FileDrop } from '@/ui/form/file-drop';
import { formAnswerSchema } from '@/ui/form/result';
import { sendFile } from '@/ui/form/send-file';
import { OpensAwake } from '@/ui/form/opens-awake';

interface TableFormProps {
  readonly known: readonly StringFacts[];
  readonly workshopId: string;
  readonly currency: string;
}

/** What a row does to the library. */
function whatItDoes(changes: readonly CellChange[] | undefined): string {
  if (!changes) return 'new';
  if (changes.length === 0) return 'as it is';
  const words = changes.map(
    ({ column, from, to }) => `${column} ${from || 'nothing'} to ${to || 'nothing'}`,
  );
  return `changes ${words.join(', ')}`;
}

/** Looks at the table first, row by row; nothing comes in before the button is pressed. */
export function TableForm({ known, workshopId, currency }: TableFormProps) {
  const router = useRouter();
  const [text, setText] = useState('');
  const [notice, setNotice] = useState<string>();
  const [busy, setBusy] = useState(false);
  const rows = useMemo(
    () => (text.trim() === '' ? [] : readStringTable(text, currency, known)),
    [text, known, currency],
  );
  const bad = rows.filter(({ ok }) => !ok).length;

  const keep = async () => {
    setBusy(true);
    setNotice(undefined);
    try {
      const answer = await sendFile('/strings/import/file', workshopId, { text }, formAnswerSchema);
      if (answer.ok) {
        router.push(answer.go ?? '/strings');
        router.refresh();
      } else setNotice(answer.notice);
    } catch {
      setNotice('The workshop’s server does not answer. Nothing was brought in: try again.');
    } finally {
      setBusy(false);
    }
  };

  return (
    <OpensAwake className="flex flex-col gap-5">
      <FileDrop
        label="Table of strings"
        accept=".csv,text/csv,text/plain"
        onFiles={([file]) => void file?.text().then(setText)}
      />
      <NoteField
        label="Or paste the table"
        rows={5}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      {rows.length > 0 && (
        <table className="w-full text-left text-sm">
          <caption className="label text-left">
            {rows.length} {rows.length === 1 ? 'row' : 'rows'}
            {bad > 0 && `, ${bad} not right yet`}
          </caption>
          <tbody>
            {rows.map((row) => (
              <tr key={row.line} className="border-hair border-b align-baseline">
                <td className="label w-16 py-1">row {row.line}</td>
                <td className="py-1 pr-4 font-medium">{row.ok ? row.string.name : row.name}</td>
                <td className="py-1">
                  {row.ok ? (
                    whatItDoes(row.changes)
                  ) : (
                    <span className="text-warn">
                      {row.problems
                        .map(({ column, reason }) => (column ? `${column}: ${reason}` : reason))
                        .join(' · ')}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {notice && (
        <p role="alert" className="text-warn font-medium">
          {notice}
        </p>
      )}
      <p className="flex flex-wrap items-baseline gap-4">
        <button
          type="button"
          disabled={rows.length === 0 || bad > 0 || busy}
          onClick={() => void keep()}
          className="bg-ink text-paper px-5 py-2 font-medium disabled:opacity-60"
        >
          {busy
            ? 'Bringing in …'
            : `Bring in ${rows.length - bad} ${rows.length - bad === 1 ? 'string' : 'strings'}`}
        </button>
        {bad > 0 && (
          <span className="label">All rows come in together: mend those that are not right.</span>
        )}
      </p>
    </OpensAwake>
  );
}
