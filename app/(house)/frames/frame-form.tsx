'use client';

import type { LengthSystem } from '@/core/measure/units';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { BedKey } from '@/ui/bed/bed-key';
import { Assumed, Cautions } from '@/ui/cautions';
import { Choice } from '@/ui/form/choice';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { Contradictions } from '@/ui/frame/contradictions';
import { FrameFacts } from '@/ui/frame/frame-facts';
import { LookChart } from '@/ui/frame/look-chart';
import { Proposals } from '@/ui/frame/proposals';
import { MakerFields } from './maker-fields';
import { PatternFields } from './pattern-fields';
import { RuledFields } from './ruled-fields';
import { MARKS, useFrameForm, type FrameOf } from './use-frame-form';

interface FrameFormProps extends FrameOf {
  readonly action: string;
  readonly lengthSystem: LengthSystem;
}

/** A frame entered from the frame itself: counted, tapped on the drawing, and ruled with a ruler. */
export function FrameForm({ action, lengthSystem, ...of }: FrameFormProps) {
  const frame = useFrameForm(of);
  const { form, live, bed } = frame;
  return (
    <KeptForm
      form={form}
      // The skips may be a proposal still, which nobody has taken.
      enterGoesOn
      className="grid gap-x-7 gap-y-6 lg:grid-cols-[minmax(19rem,22rem)_minmax(20rem,1fr)_minmax(18rem,21rem)]"
    >
      <div className="min-w-0">
        <PatternFields frame={frame} houseUnit={of.houseUnit} />
        <RuledFields form={form} initial={of.initial} />
        <MakerFields form={form} initial={of.initial} />
        <FormFoot form={form} action={action} />
      </div>
      <div className="min-w-0">
        {bed && (
          <div className="flex flex-col gap-2 lg:sticky lg:top-4">
            <BedDrawing
              bed={bed}
              lengthSystem={lengthSystem}
              className="h-[36rem]"
              onTap={frame.tap}
            />
            <Choice
              label="A tap on a hole marks it as"
              options={MARKS.map((value) => ({ value, text: value }))}
              value={frame.mark}
              onChange={frame.setMark}
            />
            <BedKey />
          </div>
        )}
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <Contradictions
          problems={live.study?.problems ?? []}
          mends={live.mends}
          apply={frame.apply}
        />
        {bed && (
          <>
            <Proposals bed={bed} take={frame.take} />
            <Cautions cautions={live.drawn?.cautions ?? []} />
            <LookChart bed={bed} lengthSystem={lengthSystem} />
            <Assumed assumed={live.drawn?.assumed ?? []} />
            <FrameFacts bed={bed} lengthSystem={lengthSystem} />
          </>
        )}
      </div>
    </KeptForm>
  );
}
