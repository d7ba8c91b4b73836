import type { RowKind, RowKinds, Rows } from '@/workers/rows.worker';

interface AnsweredRowsProps<K extends RowKind> {
  readonly rows: Rows<K>;
  readonly reading: boolean;
  /** What stands in bold, and what behind it. */
  readonly words: (row: RowKinds[K]['row']) => readonly [name: string, rest: string];
}

/** What would become of each row: how many, and the first of each kind. */
export function AnsweredRows<K extends RowKind>({
  rows: { fresh, here, wrong, shown },
  reading,
  words,
}: AnsweredRowsProps<K>) {
  return (
    <>
      <p role="status" className="figure text-2xl">
        {reading ? 'Reading …' : `${fresh} new, ${here} here already, ${wrong} not right`}
      </p>
      <table className="w-full text-left text-sm">
        <caption className="label text-left">
          The first of those that are not right, and of those that come in
        </caption>
        <tbody>
          {shown.map((each) => {
            const [name, rest] = each.state === 'new' ? words(each.row) : [each.name, ''];
            return (
              <tr key={each.line} className="border-hair border-b align-baseline">
                <td className="label w-16 py-1">row {each.line}</td>
                <td className="py-1 pr-4 font-medium">{name}</td>
                <td className="py-1">
                  {each.state === 'wrong' ? <span className="text-warn">{each.why}</span> : rest}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
