import type { MethodPreference, MethodRow } from '@/core/cut/methods';
import { METHOD_WORDS, type Method } from '@/core/terms/method';
import { formatHeadDimension, formatStringLength, type LengthSystem } from '@/core/measure/units';
import { PIECE_WORDS } from '@/core/cut/wording';

interface MethodTableProps {
  readonly rows: readonly MethodRow[];
  readonly chosen: Method;
  /** Left out when nothing can be chosen any more. */
  readonly choose: ((method: Method) => void) | undefined;
  readonly preference: MethodPreference;
  readonly lengthSystem: LengthSystem;
}

const HEAD = [
  'Method',
  'Knots',
  'Next to a knot',
  'String',
  'Longest run outside',
  'To prepare',
  'Minutes',
] as const;

/** Every method side by side; those that the frame does not take say why. */
export function MethodTable({ rows, chosen, choose, preference, lengthSystem }: MethodTableProps) {
  const length = (mm: number) => formatStringLength(mm, lengthSystem);
  return (
    <section aria-label="Methods compared">
      <h2 className="figure text-xl">Methods compared</h2>
      <p className="label">
        In the order of this workshop: {preference}. Minutes are for a practised hand, from memory.
      </p>
      <div className="overflow-x-auto">
        <table className="w-full text-left text-sm">
          <thead>
            <tr>
              {HEAD.map((name) => (
                <th
                  key={name}
                  scope="col"
                  className="label border-edge border-b py-1 pr-3 font-normal"
                >
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ method, refused, found }) => (
              <tr key={method} className="border-hair border-b align-top">
                <th scope="row" className="py-1.5 pr-3 text-left font-medium">
                  {choose && found && method !== chosen ? (
                    <button
                      type="button"
                      className="text-left underline"
                      onClick={() => choose(method)}
                    >
                      {METHOD_WORDS[method]}
                    </button>
                  ) : (
                    <span className={found ? undefined : 'text-soft'}>{METHOD_WORDS[method]}</span>
                  )}
                  {method === chosen && <span className="label block font-normal">chosen</span>}
                </th>
                {found ? (
                  <>
                    <td className="py-1.5 pr-3">
                      {found.knots.head} head, {found.knots.throat} throat
                    </td>
                    <td className="figure py-1.5 pr-3">{found.nextToKnots.join(' ')}</td>
                    <td className="py-1.5 pr-3">
                      <span className="figure">{length(found.totalMm)}</span>
                      {found.pieces.length > 1 && (
                        <span className="label block">
                          {found.pieces
                            .map(({ name, cutMm }) => `${PIECE_WORDS[name]} ${length(cutMm)}`)
                            .join(', ')}
                        </span>
                      )}
                    </td>
                    <td className="figure py-1.5 pr-3">
                      {formatHeadDimension(found.longestRunMm, lengthSystem)}
                    </td>
                    <td className="figure py-1.5 pr-3">{found.covered}</td>
                    <td className="figure py-1.5 pr-3">{found.minutes}</td>
                  </>
                ) : (
                  <td colSpan={HEAD.length - 1} className="text-soft py-1.5">
                    {refused?.problem}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <ul className="mt-1 flex flex-col gap-1 text-sm">
        {rows.flatMap(({ method, found }) =>
          (found?.cautions ?? []).map((caution) => (
            <li key={method + caution}>
              <span className="label">{METHOD_WORDS[method]}: </span>
              {caution}
            </li>
          )),
        )}
      </ul>
    </section>
  );
}
