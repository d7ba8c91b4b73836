'use client';

import { useMemo, useState } from 'react';
import { MappedRows } from '@/app/(house)/brought/mapped-rows';
import { useRows } from '@/app/(house)/brought/use-rows';
import { formatOrders } from '@/core/tournament/orders';
import { textOf, type Mapping } from '@/formats/mapped-table';
import { PLAYER_FIELDS, type PlayerField, type PlayersAsked } from '@/formats/player-import';
import { FileDrop } from '@/ui/form/file-drop';
import { OpensAwake } from '@/ui/form/opens-awake';

interface PlayerImportFormProps extends PlayersAsked {
  readonly workshopId: string;
  readonly eventId: string;
  /** Who plays already. */
  readonly known: readonly string[];
}

const NAMES: Readonly<Record<PlayerField, string>> = {
  name: 'Name',
  contact: 'How to reach them',
  orders: 'Standing orders',
};

export function PlayerImportForm({
  workshopId,
  eventId,
  sport,
  unit,
  known,
}: PlayerImportFormProps) {
  const [text, setText] = useState<string>();
  const [mapping, setMapping] = useState<Mapping<PlayerField>>();
  const question = useMemo(
    () =>
      text === undefined
        ? undefined
        : { kind: 'players' as const, text, known, sport, unit, mapping },
    [text, known, sport, unit, mapping],
  );
  const { rows, problem, reading } = useRows<'players'>(question);
  const open = async (file: File | undefined) => {
    if (!file) return;
    setMapping(undefined);
    setText(textOf(new Uint8Array(await file.arrayBuffer())));
  };
  return (
    <OpensAwake className="flex flex-col gap-5">
      <FileDrop
        label="Table of players"
        accept=".csv,.tsv,.txt,text/csv,text/plain"
        onFiles={([file]) => void open(file)}
      />
      {problem && (
        <p role="alert" className="text-warn font-medium">
          {problem}
        </p>
      )}
      {text !== undefined && rows && (
        <MappedRows<'players'>
          workshopId={workshopId}
          fields={PLAYER_FIELDS}
          names={NAMES}
          rows={rows}
          reading={reading}
          mapping={mapping}
          onMapping={setMapping}
          words={({ name, contact, orders }) => [
            name,
            [contact, formatOrders(orders).replaceAll('\n', '; ')].filter(Boolean).join(' · '),
          ]}
          path={`/events/${eventId}/players/import/file`}
          message={{ eventId, text }}
          what="player"
        />
      )}
    </OpensAwake>
  );
}
