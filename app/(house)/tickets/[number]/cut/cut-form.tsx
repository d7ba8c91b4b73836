'use client';

import { useMemo } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { studyFrame } from '@/core/bed';
import type { FrameSpec } from '@/core/frame';
import type { CutAssumptions } from '@/core/lengths';
import { crossFinish } from '@/core/pattern';
import { checkSource, cutSource, planCut, type PlannedString, type SourceCheck } from '@/core/plan';
import type { CutSourceKind } from '@/core/record';
import { formatStringLength, type LengthSystem } from '@/core/units';
import { crossWay, knotCount, knotWords, mainsWay, skipWords } from '@/core/wording';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { BedKey } from '@/ui/bed/bed-key';
import { Cautions } from '@/ui/cautions';
import { Fact, Facts } from '@/ui/facts';
import { Choice } from '@/ui/form/choice';
import { FormFoot } from '@/ui/form/form-foot';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { PartTable } from '@/ui/tape/part-table';
import { lengthWords, spareText, Tape, type TapePiece } from '@/ui/tape/tape';
import { cutSchema, type CutEntry } from './cut-entry';

export interface StockedString extends PlannedString {
  readonly setMm: number;
}

interface CutFormProps {
  readonly name: string;
  readonly initial: CutEntry;
  readonly spec: FrameSpec;
  readonly mains: StockedString;
  readonly crosses: StockedString;
  /** One set can serve both pieces only when they are one string. */
  readonly oneString: boolean;
  readonly assumptions: CutAssumptions;
  readonly lengthSystem: LengthSystem;
  /** Left out when the job is closed and nothing can be chosen any more. */
  readonly save?: (entry: CutEntry) => Promise<FormAnswer>;
}

const KEEP: (entry: CutEntry) => Promise<FormAnswer> = async () => ({ ok: true });

/** What is wrong with what it is cut from, or where the cut has to move. */
function cutAdvice(check: SourceCheck, system: LengthSystem): { caution?: string; word: string } {
  const { sharedSet, mainsSpareMm = 0, crossesSpareMm = 0 } = check;
  if (mainsSpareMm === 0 && crossesSpareMm === 0 && !sharedSet)
    return { word: 'Off a reel each piece is as long as it must be.' };
  const spare = (mm: number) => spareText(mm, system);
  if (!check.enough) {
    const total = mainsSpareMm + crossesSpareMm;
    return {
      word: `Mains ${spare(mainsSpareMm)}, crosses ${spare(crossesSpareMm)}.`,
      caution: sharedSet
        ? `One set is not enough: both pieces together are ${spare(total)}. Cut from a reel or open a second set.`
        : `Half a set is not enough: mains ${spare(mainsSpareMm)}, crosses ${spare(crossesSpareMm)}. Cut the short piece from a whole set or a reel.`,
    };
  }
  if (sharedSet && Math.abs(sharedSet.moveMm) > 1)
    return {
      word: `Do not halve it: cut at ${formatStringLength(sharedSet.cutAtMm, system)} from the mains’ end, ${lengthWords(Math.abs(sharedSet.moveMm), system)} ${sharedSet.moveMm > 0 ? 'beyond' : 'before'} the middle.`,
      caution: `Half a set is ${spare(-Math.abs(sharedSet.moveMm))} for the ${sharedSet.moveMm > 0 ? 'mains' : 'crosses'}. Move the cut, or the last pull will not reach.`,
    };
  return { word: `Enough: mains ${spare(mainsSpareMm)}, crosses ${spare(crossesSpareMm)}.` };
}

/** The two pieces: on the drawing, on the tape and in figures. */
export function CutForm({
  name,
  initial,
  spec,
  mains,
  crosses,
  oneString,
  assumptions,
  lengthSystem,
  save,
}: CutFormProps) {
  const form = useKeptForm<CutEntry>({ name, schema: cutSchema, initial, save: save ?? KEEP });
  const [crossStart, cutFrom] = useWatch({
    control: form.control,
    name: ['crossStart', 'cutFrom'],
  });
  const study = useMemo(() => studyFrame(spec), [spec]);
  const plan = useMemo(
    () => study.bed && planCut(study.bed, { mains, crosses }, crossStart, assumptions),
    [study, mains, crosses, crossStart, assumptions],
  );
  if (!study.bed || !plan) return null;
  const bed = study.bed;
  const source = cutSource(cutFrom, mains.setMm, crosses.setMm);
  const check = checkSource(source, plan.mains.cutMm, plan.crosses.cutMm);
  const advice = cutAdvice(check, lengthSystem);
  const { path } = plan;
  const half = (mm: number) => ({
    text: `half of ${formatStringLength(mm, lengthSystem)}`,
    mm: mm / 2,
  });
  const tape: readonly TapePiece[] =
    source.kind === 'reel'
      ? [plan.mains, plan.crosses].map((piece) => ({ piece, stock: undefined }))
      : source.kind === 'one set' && check.sharedSet
        ? [
            {
              piece: plan.mains,
              stock: {
                text: `of ${formatStringLength(source.setMm, lengthSystem)}`,
                mm: check.sharedSet.cutAtMm,
              },
            },
            {
              piece: plan.crosses,
              stock: { text: 'the rest', mm: source.setMm - check.sharedSet.cutAtMm },
            },
          ]
        : [
            { piece: plan.mains, stock: half(mains.setMm) },
            { piece: plan.crosses, stock: half(crosses.setMm) },
          ];
  const { crosses: crossCount } = spec.pattern;

  return (
    <form onSubmit={form.send} className="grid gap-8 lg:grid-cols-[minmax(24rem,0.8fr)_1fr]">
      <div className="flex min-w-0 flex-col gap-3">
        <BedDrawing bed={bed} path={path} lengthSystem={lengthSystem} className="h-[34rem]" />
        <BedKey withPath />
        <Facts>
          <Fact name="Skip at the head" figure>
            {skipWords(bed.skips.head, 'head')}
          </Fact>
          <Fact name="Skip at the throat" figure>
            {skipWords(bed.skips.throat, 'throat')}
          </Fact>
        </Facts>
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <div className="overflow-x-auto">
          <Tape pieces={tape} lengthSystem={lengthSystem} />
        </div>
        <p className="text-lg font-medium">{advice.word}</p>
        <Cautions cautions={[...(advice.caution ? [advice.caution] : []), ...study.cautions]} />
        {save && (
          <div className="flex flex-wrap gap-x-10 gap-y-3">
            <Controller
              control={form.control}
              name="cutFrom"
              render={({ field }) => (
                <Choice<CutSourceKind>
                  label="Cut from"
                  options={[
                    ...(oneString ? [{ value: 'one set' as const, text: 'one set' }] : []),
                    { value: 'two half sets', text: 'half a set each' },
                    { value: 'reel', text: 'a reel' },
                  ]}
                  value={field.value}
                  onChange={field.onChange}
                />
              )}
            />
            <Controller
              control={form.control}
              name="crossStart"
              render={({ field }) => (
                <Choice
                  label="Top cross starts"
                  options={(['left', 'right'] as const).map((side) => ({
                    value: side,
                    text: `${side}, finishing ${crossFinish(side, crossCount)}`,
                  }))}
                  value={field.value}
                  onChange={field.onChange}
                />
              )}
            />
          </div>
        )}
        <Facts>
          <Fact name="Mains">{mainsWay(bed)}</Fact>
          <Fact name="Crosses, from the head down">
            {crossWay(path.crossStart, path.crossFinish, crossCount)}
          </Fact>
          <Fact name="Knots" note={path.knots.map(knotWords).join(' · ')}>
            {knotCount(path.knots)}
          </Fact>
          <Fact
            name="Assumed"
            note={`knots ${assumptions.knotMm + assumptions.tailMm} mm each, margin ${assumptions.marginMm} mm; change it under Workshop`}
          >
            {assumptions.gripperMm} mm from frame to gripper
          </Fact>
        </Facts>
        {save && <FormFoot form={form} action="Save and go to the hand-over" />}
        <PartTable mains={plan.mains} crosses={plan.crosses} />
      </div>
    </form>
  );
}
