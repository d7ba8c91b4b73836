'use client';

import { useMemo } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { studyFrame } from '@/core/bed';
import { stretchUnderPull } from '@/core/family';
import type { FrameSpec } from '@/core/frame';
import type { CutAssumptions } from '@/core/lengths';
import { crossFinish } from '@/core/pattern';
import { checkSource, cutSource, planCut, type PlannedString } from '@/core/plan';
import type { CutSourceKind } from '@/core/record';
import type { Sport } from '@/core/sport';
import { formatHeadDimension, formatStringLength, roundTo, type LengthSystem } from '@/core/units';
import { crossWay, cutAdvice, knotCount, knotWords, mainsWay, skipWords } from '@/core/wording';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { BedKey } from '@/ui/bed/bed-key';
import { Cautions } from '@/ui/cautions';
import { Fact, Facts } from '@/ui/facts';
import { Choice } from '@/ui/form/choice';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { PartTable } from '@/ui/tape/part-table';
import { Tape, type TapePiece } from '@/ui/tape/tape';
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

function stretchWords({ family, stretch }: PlannedString, sport: Sport): string {
  const percent = (fraction: number) => `${roundTo(fraction * 100, 0.1)} %`;
  return stretch === null
    ? `${percent(stretchUnderPull(family, sport))}, usual for ${family} (from memory)`
    : `${percent(stretch)}, as noted for this string`;
}

const KEEP: (entry: CutEntry) => Promise<FormAnswer> = async () => ({ ok: true });

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
  const size = (mm: number) => formatHeadDimension(mm, lengthSystem);

  return (
    <KeptForm form={form} className="grid gap-8 lg:grid-cols-[minmax(24rem,0.8fr)_1fr]">
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
        <Cautions
          cautions={[
            ...(advice.caution ? [advice.caution] : []),
            ...study.cautions,
            ...study.assumed,
          ]}
        />
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
        {save && <FormFoot form={form} action="Save and go to the hand-over" />}
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
            note={`knots ${size(assumptions.knotMm + assumptions.tailMm)} each, margin ${size(assumptions.marginMm)}; change it under Workshop`}
          >
            {size(assumptions.gripperMm)} from frame to gripper
          </Fact>
          <Fact name="Stretch of the mains">{stretchWords(mains, spec.sport)}</Fact>
          <Fact name="Stretch of the crosses">{stretchWords(crosses, spec.sport)}</Fact>
        </Facts>
        <PartTable mains={plan.mains} crosses={plan.crosses} lengthSystem={lengthSystem} />
      </div>
    </KeptForm>
  );
}
