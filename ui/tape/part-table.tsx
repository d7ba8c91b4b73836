import type { Correction } from '@/core/cut/learning';
import type { PartName, PieceLength } from '@/core/cut/lengths';
import type { Learnt } from '@/core/cut/plan';
import { formatFeet, formatMetres, MM_PER_INCH, type LengthSystem } from '@/core/measure/units';
import { lengthWords, PIECE_WORDS } from '@/core/cut/wording';
import { partNumber } from './tape';

interface PartTableProps {
  readonly pieces: readonly PieceLength[];
  readonly learnt: Learnt;
  /** From fingertip to fingertip, when the stringer has said so. */
  readonly armSpanMm: number | null;
  readonly lengthSystem: LengthSystem;
}

const INK = { mains: 'text-mains', crosses: 'text-crosses-ink', whole: 'text-mains' } as const;

const PART_WORDS: Partial<Record<PartName, string>> = {
  stretch: 'less what it stretches',
  learnt: 'learnt from past jobs',
};

function taught({ mm, count, spreadMm, from }: Correction, system: LengthSystem): string {
  const words = (length: number) => lengthWords(Math.abs(length), system);
  return `${count} jobs ${from === 'frame' ? 'on this frame' : 'in this workshop'} took ${words(mm)} ${mm < 0 ? 'less' : 'more'} (median; half of them within ${words(spreadMm)} of it).`;
}

/** The parts of each piece in figures, in the order of the tape. */
export function PartTable({ pieces, learnt, armSpanMm, lengthSystem }: PartTableProps) {
  const [unit, unitMm] = lengthSystem === 'metric' ? ['cm', 10] : ['in', MM_PER_INCH];
  const figure = (mm: number): string =>
    `${mm < -0.05 ? '−' : ''}${(Math.abs(mm) / unitMm).toFixed(1)}`;
  const names = [...new Set(pieces.flatMap(({ parts }) => parts.map(({ name }) => name)))];
  const part = (piece: PieceLength, name: PartName) =>
    piece.parts.find((each) => each.name === name)?.mm ?? 0;
  const totals: readonly (readonly [string, (piece: PieceLength) => string])[] = [
    ...(names.includes('learnt')
      ? [
          [
            'by the sum alone',
            (piece: PieceLength) => formatMetres(piece.cutMm - part(piece, 'learnt')),
          ] as const,
        ]
      : []),
    ['to cut', (piece) => formatMetres(piece.cutMm)],
    ['', (piece) => formatFeet(piece.cutMm)],
    ['in lengths of this head', (piece) => piece.headLengths.toFixed(1)],
    ...(armSpanMm === null
      ? []
      : [
          [
            'in your arm spans',
            (piece: PieceLength) => (piece.cutMm / armSpanMm).toFixed(1),
          ] as const,
        ]),
  ];
  return (
    <>
      <table className="w-full text-right">
        <thead>
          <tr className="label">
            <th scope="col" className="text-left font-normal">
              part, {unit}
            </th>
            {pieces.map(({ name }) => (
              <th key={name} scope="col" className={`${INK[name]} font-normal`}>
                {PIECE_WORDS[name]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {names.map((name) => (
            <tr key={name} className="border-hair border-t">
              <th scope="row" className="text-left font-normal">
                <span className="figure text-soft mr-2 inline-block w-3">{partNumber(name)}</span>
                {PART_WORDS[name] ?? name}
              </th>
              {pieces.map((piece) => (
                <td key={piece.name} className="figure">
                  {figure(part(piece, name))}
                </td>
              ))}
            </tr>
          ))}
          {totals.map(([name, read]) => (
            <tr
              key={name}
              className={name === 'to cut' ? 'border-ink border-t-2 text-lg' : undefined}
            >
              <th scope="row" className="text-left font-normal">
                {name}
              </th>
              {pieces.map((piece) => (
                <td key={piece.name} className="figure">
                  {read(piece)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {pieces.map(({ name }) => {
        const correction = learnt[name];
        return (
          correction && (
            <p key={name} className="label">
              {PIECE_WORDS[name]}: {taught(correction, lengthSystem)}
            </p>
          )
        );
      })}
    </>
  );
}
