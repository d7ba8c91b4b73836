import type { PieceLength } from '@/core/lengths';
import { formatFeet, formatMetres } from '@/core/units';
import { partNumber } from './tape';

const centimetres = (mm: number): string =>
  `${mm < -0.05 ? '−' : ''}${(Math.abs(mm) / 10).toFixed(1)}`;

/** The parts of both pieces in figures, in the order of the tape. */
export function PartTable({
  mains,
  crosses,
}: {
  readonly mains: PieceLength;
  readonly crosses: PieceLength;
}) {
  return (
    <table className="w-full text-right">
      <thead>
        <tr className="label">
          <th scope="col" className="text-left font-normal">
            part, cm
          </th>
          <th scope="col" className="text-mains font-normal">
            mains
          </th>
          <th scope="col" className="text-crosses-ink font-normal">
            crosses
          </th>
        </tr>
      </thead>
      <tbody>
        {mains.parts.map(({ name, mm }, i) => (
          <tr key={name} className="border-hair border-t">
            <th scope="row" className="text-left font-normal">
              <span className="figure text-soft mr-2 inline-block w-3">{partNumber(name)}</span>
              {name === 'stretch' ? 'less what it stretches' : name}
            </th>
            <td className="figure">{centimetres(mm)}</td>
            <td className="figure">{centimetres(crosses.parts[i]?.mm ?? 0)}</td>
          </tr>
        ))}
        {(
          [
            ['to cut', (piece: PieceLength) => formatMetres(piece.cutMm)],
            ['', (piece: PieceLength) => formatFeet(piece.cutMm)],
            ['in lengths of this head', (piece: PieceLength) => piece.headLengths.toFixed(1)],
          ] as const
        ).map(([name, read], i) => (
          <tr key={name} className={i === 0 ? 'border-ink border-t-2 text-lg' : undefined}>
            <th scope="row" className="text-left font-normal">
              {name}
            </th>
            <td className="figure">{read(mains)}</td>
            <td className="figure">{read(crosses)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
