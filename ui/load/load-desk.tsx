'use client';

import { useCallback, useEffect, useState } from 'react';
import type { JobQuestion } from '@/core/bench/job';
import { WAYS, type LoadFigures, type OtherEnd, type Way } from '@/core/load/ways';
import { signedFigure } from '@/core/measure/figures';
import { inTensionUnit, type TensionUnit } from '@/core/measure/units';
import { Tick } from '../form/choice';
import { Table } from '../list-page';
import type { LoadView } from '@/workers/load-view';
import { LoadProgress } from './load-progress';
import { UnderLoad } from './under-load';
import { useLoadWorker } from './use-load-worker';

interface LoadDeskProps {
  /** Of the way that is planned; the others are worked out beside the page. */
  readonly planned: LoadView;
  readonly job: JobQuestion;
  readonly factor: number;
  readonly unit: TensionUnit;
  /** How far to trust the figures. */
  readonly trust: string;
}

const MOST_AT_ONCE = 3;

/** What the hoop does in each way to string it: drawn side by side, and by number. */
export function LoadDesk({ planned, job, factor, unit, trust }: LoadDeskProps) {
  const [views, setViews] = useState<readonly LoadView[]>([planned]);
  const [shown, setShown] = useState<readonly Way[]>([planned.way]);
  const [bears, setBears] = useState<OtherEnd>();
  const work = useLoadWorker();
  const { start } = work;
  const begin = useCallback(
    (known: readonly LoadView[]) =>
      start({ asks: 'ways', job, factor, without: known.map(({ way }) => way) }, (said) => {
        if (said.is === 'other end') setBears(said.bears);
        if (said.is === 'way')
          setViews((before) => [...before.filter(({ way }) => way !== said.view.way), said.view]);
      }),
    [start, job, factor],
  );
  useEffect(() => begin([planned]), [begin, planned]);
  const inOrder = views.toSorted((a, b) => WAYS.indexOf(a.way) - WAYS.indexOf(b.way));
  // In the order in which they were chosen, which is that of the title.
  const drawn = shown.flatMap((way) => views.find((view) => view.way === way) ?? []);
  const tick = (way: Way, on: boolean) =>
    setShown((before) =>
      on ? [...before, way].slice(-MOST_AT_ONCE) : before.filter((each) => each !== way),
    );
  return (
    <>
      <h2 className="figure mb-3 text-2xl">
        Under load, {shown.join(' beside ') || 'no way chosen'}
      </h2>
      <UnderLoad views={drawn} unit={unit} />
      <h2 className="figure mt-8 mb-1 text-2xl">Each way by number</h2>
      <p className="label mb-2 max-w-prose">
        Up to three are drawn side by side. Changes of length and width in mm. {trust}
      </p>
      <LoadProgress work={work} onStart={() => begin(views)} />
      <Table
        head={[
          'Way',
          'Most on the way',
          'Length, width at the end',
          `Mains end at (${unit})`,
          `Crosses end at (${unit})`,
          'Scatter',
          'Weakest',
          'Moment (N·m)',
          'at 10 and 2',
        ]}
        empty=""
        rows={inOrder.map(({ way, figures }) => ({
          key: way,
          cells: [
            <Tick
              key="way"
              label={way}
              checked={shown.includes(way)}
              onChange={(on) => tick(way, on)}
            />,
            ...cellsOf(figures, unit),
          ],
        }))}
      />
      {bears && (
        <p className="label mt-2 max-w-prose">
          With crosses the other way 10 and 2 o’clock bear {signedFigure(bears.byPlaceNm, 2)} N·m.
          In a hoop that is alike all round it would be {signedFigure(bears.alikeNm, 2)}: the rest
          hangs on how stiff head, throat and shafts are, which is from memory.
        </p>
      )}
    </>
  );
}

function cellsOf(figures: LoadFigures, unit: TensionUnit): readonly string[] {
  const figure = (n: number) => inTensionUnit(n, unit, 0.1).toFixed(1);
  const { mainsN, crossesN, weakest } = figures;
  return [
    figures.onTheWayMm.toFixed(1),
    `${signedFigure(figures.lengthEndMm, 1)}, ${signedFigure(figures.widthEndMm, 1)}`,
    `${figure(mainsN.final)} of ${figure(mainsN.set)}`,
    `${figure(crossesN.final)} of ${figure(crossesN.set)}`,
    figure(figures.spreadN),
    `${weakest.name}, ${figure(weakest.finalN)}`,
    figures.momentNm.toFixed(0),
    figures.momentTenAndTwoNm.toFixed(0),
  ];
}
