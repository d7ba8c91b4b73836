import { Link } from './link';
import type { ReactNode } from 'react';

interface ListPageProps {
  readonly title: string;
  readonly search: string;
  readonly searchLabel: string;
  readonly add?: { readonly href: string; readonly text: string } | undefined;
  readonly children: ReactNode;
}

/** A plain list with a box to find in it. */
export function ListPage({ title, search, searchLabel, add, children }: ListPageProps) {
  return (
    <main className="px-6 py-6">
      <div className="flex flex-wrap items-end gap-6">
        <h1 className="figure text-4xl">{title}</h1>
        <FindForm search={search} label={searchLabel} />
        {add && (
          <Link href={add.href} className="bg-ink text-paper px-5 py-2 font-medium">
            {add.text}
          </Link>
        )}
      </div>
      <div className="mt-6 overflow-x-auto">{children}</div>
    </main>
  );
}

interface FindFormProps {
  readonly search: string;
  readonly label: string;
}

/** A box to find in a list; the search stands in the address, so it can be kept. */
export const FindForm = ({ search, label }: FindFormProps) => (
  <form className="grow" role="search">
    <label className="label block" htmlFor="find">
      {label}
    </label>
    <input
      id="find"
      name="find"
      type="search"
      defaultValue={search}
      autoComplete="off"
      className="border-edge bg-sheet w-full max-w-md border-b-2 px-2 py-1.5"
    />
  </form>
);

interface PagesProps {
  /** The list, with what is looked for in it. */
  readonly path: string;
  readonly find?: string;
  readonly page: number;
  readonly more: boolean;
}

/** The way on through a list that is longer than its page. */
export function Pages({ path, find = '', page, more }: PagesProps) {
  if (page === 1 && !more) return null;
  const address = (to: number) => {
    const query = new URLSearchParams({
      ...(find && { find }),
      ...(to > 1 && { page: String(to) }),
    });
    return query.size > 0 ? `${path}?${query.toString()}` : path;
  };
  return (
    <nav aria-label="Pages" className="no-print mt-4 flex items-baseline gap-6">
      {page > 1 && (
        <Link href={address(page - 1)} className="underline">
          Before
        </Link>
      )}
      <span className="label">page {page}</span>
      {more && (
        <Link href={address(page + 1)} className="underline">
          More
        </Link>
      )}
    </nav>
  );
}

interface CutOffProps {
  readonly rows: readonly unknown[];
  /** How many of them are shown. */
  readonly most: number;
  readonly children: ReactNode;
}

/** A list that was cut off says so. */
export const CutOff = ({ rows, most, children }: CutOffProps) =>
  rows.length > most && <p className="label mt-1">{children}</p>;

interface TableProps {
  readonly head: readonly string[];
  readonly empty: string;
  readonly rows: readonly { readonly key: string; readonly cells: readonly ReactNode[] }[];
}

/** Rows and columns; on a phone each row stands as a block, every cell under the name of its column. */
export function Table({ head, empty, rows }: TableProps) {
  if (rows.length === 0) return <p className="border-hair text-soft border-t py-6">{empty}</p>;
  return (
    <table className="w-full text-left max-md:block">
      <thead className="max-md:hidden">
        <tr>
          {head.map((name) =>
            name === '' ? (
              <td key="" className="border-edge border-b" />
            ) : (
              <th
                key={name}
                scope="col"
                className="label border-edge border-b py-1 pr-4 font-normal xl:pr-6"
              >
                {name}
              </th>
            ),
          )}
        </tr>
      </thead>
      <tbody className="max-md:block">
        {rows.map(({ key, cells }) => (
          <tr key={key} className="list-row">
            {cells.map((cell, i) => (
              <td key={head[i]} data-column={head[i]} className="list-cell">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The one link of a row. */
export function RowLink({
  href,
  children,
}: {
  readonly href: string;
  readonly children: ReactNode;
}) {
  return (
    <Link
      href={href}
      className="decoration-hair hover:decoration-ink font-medium underline underline-offset-4"
    >
      {children}
    </Link>
  );
}
