'use client';

import { useMemo, useState } from 'react';
import { AnsweredRows } from '@/app/(house)/brought/answered-rows';
import { BringIn } from '@/app/(house)/brought/bring-in';
import { Columns } from '@/app/(house)/brought/columns';
import { useRows } from '@/app/(house)/brought/use-rows';
import { CLIENT_FIELDS, type ClientField } from '@/formats/client-import';
import { textOf, type Mapping } from '@/formats/mapped-table';
import { FileDrop } from '@/ui/form/file-drop';
import { OpensAwake } from '@/ui/form/opens-awake';

interface ImportFormProps {
  readonly workshopId: string;
  /** Names, without case and doubled spaces. */
  readonly known: readonly string[];
}

const NAMES: Readonly<Record<ClientField, string>> = {
  name: 'Name',
  contact: 'How to reach them',
  address: 'Address',
  notes: 'Notes',
};

export function ClientImportForm({ workshopId, known }: ImportFormProps) {
  const [text, setText] = useState<string>();
  const [mapping, setMapping] = useState<Mapping<ClientField>>();
  const question = useMemo(
    () => (text === undefined ? undefined : { kind: 'clients' as const, text, mapping, known }),
    [text, mapping, known],
  );
  const { rows, problem, reading } = useRows<'clients'>(question);

  const open = async (file: File | undefined) => {
    if (!file) return;
    setMapping(undefined);
    setText(textOf(new Uint8Array(await file.arrayBuffer())));
  };

  return (
    <OpensAwake className="flex flex-col gap-5">
      <FileDrop
        label="Table of clients"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFiles={([file]) => void open(file)}
      />
      {problem && (
        <p role="alert" className="text-warn font-medium">
          {problem}
        </p>
      )}
      {text !== undefined && rows && (
        <>
          <Columns
            fields={CLIENT_FIELDS}
            names={NAMES}
            head={rows.head}
            samples={rows.samples}
            mapping={mapping ?? rows.mapping}
            onChange={setMapping}
          />
          <AnsweredRows<'clients'>
            rows={rows}
            reading={reading}
            words={({ name, contact, address, notes }) => [
              name,
              [contact, address, notes].filter(Boolean).join(' · '),
            ]}
          />
          <BringIn
            workshopId={workshopId}
            path="/clients/import/file"
            message={{ text, mapping: rows.mapping }}
            count={reading ? 0 : rows.fresh}
            wrong={rows.wrong}
            what="clients"
          />
        </>
      )}
    </OpensAwake>
  );
}
