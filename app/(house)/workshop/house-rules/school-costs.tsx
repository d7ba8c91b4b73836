'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import type { FrameSpec } from '@/core/frame/frame';
import type { HouseRules } from '@/core/house/house-rules';
import type { SchoolCost } from '@/core/load/schools';
import { signedFigure } from '@/core/measure/figures';
import { inTensionUnit, type TensionUnit } from '@/core/measure/units';
import { Picker, type Pick } from '@/ui/form/picker';
import { Link } from '@/ui/link';
import { LoadProgress } from '@/ui/load/load-progress';
import { useLoadWorker, type LoadWork } from '@/ui/load/use-load-worker';

export interface CostFrame {
  readonly id: string;
  readonly name: string;
  readonly spec: FrameSpec;
  /** Of its hoop beside the usual stiffness; null where nobody measured it. */
  readonly factor: number | null;
}

interface SchoolCosts {
  readonly costs: readonly SchoolCost[];
  readonly work: LoadWork;
  readonly begin: () => void;
}

interface Run {
  /** A later one begins anew. */
  readonly run: string;
  /** Of the frame. */
  readonly id: string;
  readonly costs: readonly SchoolCost[];
}

/** What each school costs on one frame, worked out beside the page. */
export function useSchoolCosts(frame: CostFrame | undefined, house: HouseRules): SchoolCosts {
  const [known, setKnown] = useState<Run>();
  const work = useLoadWorker();
  const { start } = work;
  const begin = useCallback(() => {
    if (!frame) return;
    const { id, spec, factor } = frame;
    const run = crypto.randomUUID();
    start({ asks: 'schools', spec, house, factor: factor ?? 1 }, (said) => {
      if (said.is !== 'school') return;
      setKnown((before) => ({
        run,
        id,
        costs: [...(before?.run === run ? before.costs : []), said.cost],
      }));
    });
  }, [frame, house, start]);
  useEffect(begin, [begin]);
  return { costs: known && known.id === frame?.id ? known.costs : [], work, begin };
}

interface CostPickerProps {
  readonly frames: readonly Pick[];
  readonly frame: CostFrame | undefined;
  readonly costs: SchoolCosts;
}

/** Chooses the frame on which the schools are compared. */
export function CostPicker({ frames, frame, costs: { work, begin } }: CostPickerProps) {
  const router = useRouter();
  const [text, setText] = useState(frame?.name ?? '');
  const typed = text.trim().toLowerCase();
  return (
    <section aria-label="What it costs on a frame" className="mb-4 max-w-xl">
      <Picker
        label="What each answer costs on this frame"
        hint="Strung in thought as is usual for its sport; how stiff hoops are is from memory, unless calipers measured this one."
        options={frames.filter((each) => each.text.toLowerCase().includes(typed)).slice(0, 12)}
        text={text}
        onText={setText}
        onPick={({ id, text: name }) => {
          setText(name);
          router.replace(`/workshop/house-rules?frame=${id}`, { scroll: false });
        }}
      />
      <LoadProgress work={work} onStart={begin} />
      {frame && (
        <Link href={`/frames/${frame.id}/load`} className="underline">
          Under load, pull by pull
        </Link>
      )}
    </section>
  );
}

/** What one school costs, in a line; nothing while it is not worked out, or a hoop does not feel it. */
export function CostLine({
  cost,
  unit,
}: {
  readonly cost: SchoolCost | undefined;
  readonly unit: TensionUnit;
}) {
  if (!cost) return null;
  const { onTheWayMm, widthEndMm, mainsN, crossesN, momentTenAndTwoNm } = cost.figures;
  const pull = (n: number) => inTensionUnit(n, unit, 0.1).toFixed(1);
  return (
    <span className="figure block pl-4">
      {onTheWayMm.toFixed(1)} mm out of shape on the way, {signedFigure(widthEndMm, 1)} mm wide at
      the end; mains end at {pull(mainsN.final)}, crosses at {pull(crossesN.final)} {unit};{' '}
      {momentTenAndTwoNm.toFixed(1)} N·m at 10 and 2
    </span>
  );
}
