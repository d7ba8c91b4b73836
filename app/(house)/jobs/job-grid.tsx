'use client';

import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  useReactTable,
} from '@tanstack/react-table';
import { jobListAddress, pressColumn, type JobList, type JobOrder } from '@/core/record/job-list';
import { Link } from '@/ui/link';
import { RowLink } from '@/ui/list-page';
import { TicketFigure } from '@/ui/ticket-figure';
import type { JobRow } from './job-row';

interface JobGridProps {
  readonly list: JobList;
  readonly rows: readonly JobRow[];
}

const column = createColumnHelper<JobRow>();

const COLUMNS = [
  column.accessor('number', {
    id: 'number',
    header: 'Job',
    cell: ({ getValue }) => <RowLink href={`/jobs/${getValue()}`}>{getValue()}</RowLink>,
  }),
  column.accessor('day', { id: 'handed over', header: 'Handed over' }),
  column.accessor('client', { id: 'client', header: 'Client' }),
  column.accessor('racket', { id: 'racket', header: 'Racket' }),
  column.accessor('tension', {
    id: 'tension',
    header: 'Tension',
    cell: ({ getValue, row }) => <TicketFigure tension={getValue()} words={row.original.strung} />,
  }),
  column.accessor('mains', { id: 'mains', header: 'Mains' }),
  column.accessor('crosses', { id: 'crosses', header: 'Crosses' }),
  column.accessor('by', { id: 'by', header: 'Strung by' }),
  column.accessor('price', { id: 'price', header: 'Price' }),
  column.accessor('open', {
    id: 'open',
    header: 'Open',
    cell: ({ getValue }) => <span className="text-warn">{getValue()}</span>,
  }),
];

const SORTED: readonly string[] = [
  'number',
  'handed over',
  'client',
  'racket',
  'mains',
  'price',
] satisfies JobOrder[];

/** The rows of a list of jobs; a press on a column's name sorts by it, in the records and not here. */
export function JobGrid({ list, rows }: JobGridProps) {
  // The compiler leaves this component as it is written; its rows come from the server as they are.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: rows as JobRow[],
    columns: COLUMNS,
    getCoreRowModel: getCoreRowModel(),
    manualSorting: true,
    manualPagination: true,
  });
  if (rows.length === 0)
    return (
      <p className="border-hair text-soft border-t py-6">
        No closed job is like that. A job comes here when its racket is handed over.
      </p>
    );
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left max-sm:block">
        <thead className="max-sm:hidden">
          {table.getHeaderGroups().map(({ id, headers }) => (
            <tr key={id}>
              {headers.map((header) => {
                const order = header.column.id;
                const name = flexRender(header.column.columnDef.header, header.getContext());
                const isHere = list.order === order;
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={
                      isHere ? (list.down === 'yes' ? 'descending' : 'ascending') : undefined
                    }
                    className="label border-edge border-b py-1 pr-6 font-normal"
                  >
                    {SORTED.includes(order) ? (
                      <Link
                        href={jobListAddress(list, pressColumn(list, order as JobOrder))}
                        className="hover:text-ink underline decoration-dotted underline-offset-4"
                      >
                        {name}
                        {isHere && (list.down === 'yes' ? ' ↓' : ' ↑')}
                      </Link>
                    ) : (
                      name
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody className="max-sm:block">
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="list-row">
              {row.getVisibleCells().map((cell) => (
                <td
                  key={cell.id}
                  data-column={String(cell.column.columnDef.header)}
                  className="list-cell"
                >
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
