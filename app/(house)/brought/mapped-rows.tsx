'use client';

import type { ReactNode } from 'react';
import type { RowKind, RowKinds, Rows } from '@/workers/rows.worker';
import { AnsweredRows } from './answered-rows';
import { BringIn } from './bring-in';
import { Columns } from './columns';

interface MappedRowsProps<K extends RowKind> {
  readonly workshopId: string;
  readonly fields: readonly RowKinds[K]['field'][];
  readonly names: Readonly<Record<RowKinds[K]['field'], string>>;
  readonly rows: Rows<K>;
  readonly reading: boolean;
  /** As it was chosen; nothing until somebody chose. */
  readonly mapping: Rows<K>['mapping'] | undefined;
  readonly onMapping: (mapping: Rows<K>['mapping']) => void;
  /** What stands in bold, and what behind it. */
  readonly words: (row: RowKinds[K]['row']) => readonly [name: string, rest: string];
  /** What else is asked of the table. */
  readonly children?: ReactNode;
  /** The route that takes it, and what it reads beside the mapping. */
  readonly path: string;
  readonly message: object;
  /** One of them: `job`. */
  readonly what: string;
}

/** A table that was read: which column is what, what becomes of each row, and the press that brings them in. */
export function MappedRows<K extends RowKind>({
  workshopId,
  fields,
  names,
  rows,
  reading,
  mapping: chosen,
  onMapping,
  words,
  children,
  path,
  message,
  what,
}: MappedRowsProps<K>) {
  const { head, samples, mapping, fresh, wrong } = rows;
  return (
    <>
      <Columns
        fields={fields}
        names={names}
        head={head}
        samples={samples}
        mapping={chosen ?? mapping}
        onChange={onMapping}
      />
      {children}
      <AnsweredRows<K> rows={rows} reading={reading} words={words} />
      <BringIn
        workshopId={workshopId}
        path={path}
        message={{ ...message, mapping }}
        count={reading ? 0 : fresh}
        wrong={wrong}
        what={what}
      />
    </>
  );
}
