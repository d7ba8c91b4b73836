/** The pieces of a cut beside what they come from, for the tape and in words. */
import { checkSource, cutSource, type CutPlan, type CutSourceKind } from '@/core/cut/plan';
import { cutAdvice } from '@/core/cut/wording';
import { formatStringLength, type LengthSystem } from '@/core/measure/units';
import type { OrderCustom } from '@/core/path/pull-order';
import type { HouseRules } from '@/core/house/house-rules';
import type { TapePiece } from '@/ui/tape/tape';

interface CutSourceOf {
  readonly from: CutSourceKind;
  readonly mainSetMm: number;
  readonly crossSetMm: number;
  readonly remnantsMm: readonly number[];
}

/** What to cut where, and whether what it is cut from suffices. */
export function onTape(
  { pieces }: Pick<CutPlan, 'pieces'>,
  { from, mainSetMm, crossSetMm, remnantsMm }: CutSourceOf,
  custom: OrderCustom & Pick<HouseRules, 'bridge'>,
  lengthSystem: LengthSystem,
): { readonly tape: readonly TapePiece[]; readonly advice: ReturnType<typeof cutAdvice> } {
  const source = cutSource(from, { mainSetMm, crossSetMm, remnantsMm });
  const check = checkSource(source, pieces, custom);
  const length = (mm: number) => formatStringLength(mm, lengthSystem);
  const stockText = (i: number): string => {
    if (source.kind === 'two half sets')
      return `half of ${length(i === 0 ? mainSetMm : crossSetMm)}`;
    if (check.shared)
      return i === 0
        ? `of ${length(check.pieces.reduce((sum, { givenMm }) => sum + (givenMm ?? 0), 0))}`
        : 'the rest';
    return source.kind === 'remnant' ? 'the remnant' : 'the set';
  };
  const tape = pieces.map((piece, i): TapePiece => {
    const givenMm = check.pieces[i]?.givenMm;
    return {
      piece,
      stock: givenMm === undefined ? undefined : { text: stockText(i), mm: givenMm },
    };
  });
  return { tape, advice: cutAdvice(check, lengthSystem) };
}
