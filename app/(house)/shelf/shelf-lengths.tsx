'use client';

import { useState } from 'react';
import { OneField } from '@/ui/form/one-field';
import { Table } from '@/ui/list-page';
import { Press } from '@/ui/press';

/** One length, or several that are alike in everything. */
interface LengthLine {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly alike: number;
  /** In metres. */
  readonly left: string;
  readonly place: string;
  readonly bought: string;
}

interface ShelfLengthsProps {
  readonly empty: string;
  readonly lines: readonly LengthLine[];
  /** Both take an identity that is made once, so that a second press of the same does nothing twice; left out where nothing may be changed. */
  readonly count?: (id: string, newId: string, typed: string) => Promise<string | void>;
  readonly throwAway?: (id: string, newId: string) => Promise<string | void>;
}

/** What lies on the shelf, each to be counted or thrown away. */
export const ShelfLengths = ({ empty, lines, count, throwAway }: ShelfLengthsProps) => (
  <Table
    head={['String', 'What', 'Left (m)', 'Where', 'Bought', '']}
    empty={empty}
    rows={lines.map((line) => ({
      key: line.id,
      cells: [
        line.name,
        line.what,
        count && line.alike === 1 ? <Left key={line.left} line={line} count={count} /> : line.left,
        line.place,
        line.bought,
        throwAway && <Away key={`${line.id} ${line.alike}`} line={line} throwAway={throwAway} />,
      ],
    }))}
  />
);

function Left({
  line: { id, name, what, left, place },
  count,
}: {
  readonly line: LengthLine;
  readonly count: NonNullable<ShelfLengthsProps['count']>;
}) {
  const [newId] = useState(() => crypto.randomUUID());
  return (
    <OneField
      label={`Left of ${name}, ${place || what}`}
      value={left}
      action="Counted"
      figure
      save={(typed) => count(id, newId, typed)}
    />
  );
}

function Away({
  line: { id, alike },
  throwAway,
}: {
  readonly line: LengthLine;
  readonly throwAway: NonNullable<ShelfLengthsProps['throwAway']>;
}) {
  const [newId] = useState(() => crypto.randomUUID());
  return (
    <Press action={alike > 1 ? 'One is gone' : 'Throw away'} press={() => throwAway(id, newId)} />
  );
}
