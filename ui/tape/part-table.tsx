import type { PieceLength } from '@/core/lengths';
import { formatFeet, formatMetres, MM_PER_INCH, type LengthSystem } from '@/core/units';
import { partNumber } from './tape';

interface PartTableProps {
  readonly mains: PieceLength;
  readonly crosses: PieceLength;
  readonly lengthSystem: LengthSystem;
}

/** The parts of both pieces in figures, in the order of the tape. */
export function PartTable({ mains, crosses, lengthSystem }: PartTableProps) {
  const [unit, unitMm] = lengthSystem === 'metric' ? ['cm', 10] : ['in', MM_PER_INCH];
  const figure = (mm: number): string =>
    `${mm < -0.05 ? '−' : ''}${(Math.abs(mm) / unitMm).toFixed(1)}`;
  return (
    <table className="w-full text-right">
      <thead>
        <tr className="label">
          <th scope="col" className="text-left font-normal">
            part, {unit}
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
            <td className="figure">{figure(mm)}</td>
            <td className="figure">{figure(crosses.parts[i]?.mm ?? 0)}</td>
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
