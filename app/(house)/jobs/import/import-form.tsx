'use client';

import { useMemo, useState } from 'react';
import { BringIn } from '@/app/(house)/brought/bring-in';
import { KNOWN_UNHEARD, knownHere } from '@/app/(house)/brought/known-here';
import { MappedRows } from '@/app/(house)/brought/mapped-rows';
import { useRows } from '@/app/(house)/brought/use-rows';
import { formatMoney } from '@/core/measure/money';
import { formatTicket, type TensionUnit } from '@/core/measure/units';
import { DAY_ORDERS, type DayOrder, type EarlierJob } from '@/core/record/earlier-job';
import type { JobDocument } from '@/formats/job-document';
import { areDocuments, JOB_FIELDS, readJobDocuments, type JobField } from '@/formats/job-import';
import { textOf, type Mapping } from '@/formats/mapped-table';
import { FileDrop } from '@/ui/form/file-drop';
import { OpensAwake } from '@/ui/form/opens-awake';

interface ImportFormProps {
  readonly workshopId: string;
  readonly currency: string;
  readonly unit: TensionUnit;
  readonly today: string;
}

const NAMES: Readonly<Record<JobField, string>> = {
  client: 'Client',
  racket: 'Racket',
  mark: 'Mark',
  day: 'Day',
  tension: 'Tension',
  mains: 'String of the mains',
  crosses: 'String of the crosses',
  price: 'Price',
  sport: 'Sport',
  notes: 'Notes',
};

type Opened =
  /** With what of it the workshop knows. */
  | { readonly table: string; readonly known: readonly string[] }
  | { readonly text: string; readonly documents: readonly JobDocument[] };

export function JobImportForm({ workshopId, currency, unit, today }: ImportFormProps) {
  const [opened, setOpened] = useState<Opened>();
  const [mapping, setMapping] = useState<Mapping<JobField>>();
  const [dayOrder, setDayOrder] = useState<DayOrder>();
  const [notice, setNotice] = useState<string>();
  const question = useMemo(() => {
    if (!opened || !('table' in opened)) return undefined;
    const { table: text, known } = opened;
    return { kind: 'jobs' as const, text, mapping, known, unit, currency, today, dayOrder };
  }, [opened, mapping, unit, currency, today, dayOrder]);
  const { rows, problem, reading } = useRows<'jobs'>(question);

  const open = async (file: File | undefined) => {
    if (!file) return;
    const text = textOf(new Uint8Array(await file.arrayBuffer()));
    setNotice(undefined);
    setMapping(undefined);
    setDayOrder(undefined);
    if (!areDocuments(text)) {
      const known = await knownHere('/jobs/import/known');
      setNotice(known ? undefined : KNOWN_UNHEARD);
      return setOpened(known && { table: text, known });
    }
    const read = readJobDocuments(text);
    setOpened(read.ok ? { text, documents: read.value } : undefined);
    setNotice(read.ok ? undefined : read.problem);
  };

  const words = (job: EarlierJob): readonly [string, string] => [
    `${job.client}, ${job.racket}${job.mark && `, ${job.mark}`}`,
    [
      job.day,
      job.tension && formatTicket(job.tension),
      job.mains === job.crosses ? job.mains : `${job.mains} / ${job.crosses}`,
      job.priceMinor !== null && formatMoney(job.priceMinor, currency),
      job.notes,
    ]
      .filter(Boolean)
      .join(' · '),
  ];

  return (
    <OpensAwake className="flex flex-col gap-5">
      <FileDrop
        label="Table or documents of jobs"
        accept=".csv,.tsv,.txt,.json,.jsonl,text/csv,text/plain,application/json"
        onFiles={([file]) => void open(file)}
      />
      {(notice ?? problem) && (
        <p role="alert" className="text-warn font-medium">
          {notice ?? problem}
        </p>
      )}
      {opened && 'documents' in opened && (
        <>
          <p role="status" className="figure text-2xl">
            {opened.documents.length} jobs in documents
          </p>
          <BringIn
            workshopId={workshopId}
            path="/jobs/import/file"
            message={{ documents: opened.text }}
            count={opened.documents.length}
            wrong={0}
            what="job"
          />
        </>
      )}
      {opened && 'table' in opened && rows && (
        <MappedRows<'jobs'>
          workshopId={workshopId}
          fields={JOB_FIELDS}
          names={NAMES}
          rows={rows}
          reading={reading}
          mapping={mapping}
          onMapping={setMapping}
          words={words}
          path="/jobs/import/file"
          message={{ text: opened.table, dayOrder: rows.dayOrder }}
          what="job"
        >
          <div role="radiogroup" aria-label="A day in figures" className="flex gap-5">
            <span className="label">A day in figures has</span>
            {DAY_ORDERS.map((order) => (
              <label key={order} className="flex gap-2">
                <input
                  type="radio"
                  name="day-order"
                  checked={(dayOrder ?? rows.dayOrder) === order}
                  onChange={() => setDayOrder(order)}
                  className="accent-ink"
                />
                the {order}
              </label>
            ))}
          </div>
        </MappedRows>
      )}
    </OpensAwake>
  );
}
