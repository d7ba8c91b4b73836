'use client';

import { useMemo, useState } from 'react';
import { KNOWN_UNHEARD, knownHere } from '@/app/(house)/brought/known-here';
import { MappedRows } from '@/app/(house)/brought/mapped-rows';
import { useRows } from '@/app/(house)/brought/use-rows';
import { CLIENT_FIELDS, type ClientField } from '@/formats/client-import';
import { textOf, type Mapping } from '@/formats/mapped-table';
import { FileDrop } from '@/ui/form/file-drop';
import { OpensAwake } from '@/ui/form/opens-awake';

interface ImportFormProps {
  readonly workshopId: string;
}

/** A table that was chosen, with whom of it the workshop knows. */
interface Opened {
  readonly text: string;
  readonly known: readonly string[];
}

const NAMES: Readonly<Record<ClientField, string>> = {
  name: 'Name',
  contact: 'How to reach them',
  address: 'Address',
  notes: 'Notes',
};

export function ClientImportForm({ workshopId }: ImportFormProps) {
  const [opened, setOpened] = useState<Opened>();
  const [notice, setNotice] = useState<string>();
  const [mapping, setMapping] = useState<Mapping<ClientField>>();
  const question = useMemo(
    () => opened && { kind: 'clients' as const, ...opened, mapping },
    [opened, mapping],
  );
  const { rows, problem, reading } = useRows<'clients'>(question);

  const open = async (file: File | undefined) => {
    if (!file) return;
    const text = textOf(new Uint8Array(await file.arrayBuffer()));
    const known = await knownHere('/clients/import/known');
    setMapping(undefined);
    setOpened(known && { text, known });
    setNotice(known ? undefined : KNOWN_UNHEARD);
  };

  return (
    <OpensAwake className="flex flex-col gap-5">
      <FileDrop
        label="Table of clients"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFiles={([file]) => void open(file)}
      />
      {(notice ?? problem) && (
        <p role="alert" className="text-warn font-medium">
          {notice ?? problem}
        </p>
      )}
      {opened && rows && (
        <MappedRows<'clients'>
          workshopId={workshopId}
          fields={CLIENT_FIELDS}
          names={NAMES}
          rows={rows}
          reading={reading}
          mapping={mapping}
          onMapping={setMapping}
          words={({ name, contact, address, notes }) => [
            name,
            [contact, address, notes].filter(Boolean).join(' · '),
          ]}
          path="/clients/import/file"
          message={{ text: opened.text }}
          what="client"
        />
      )}
    </OpensAwake>
  );
}
