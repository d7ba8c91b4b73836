'use client';

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import clsx from 'clsx';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { formatWall, type WallTime } from '@/core/measure/promised-time';
import { joined, minutesWords, wallOf, type Span } from '@/core/queue/clock';
import { sayDone, sayRefusal } from '../say';
import { useAwake } from '../use-awake';
import { rulerScale, type RulerScale } from './ruler-scale';
import { turnsAfter, type RulerTurn } from './turns';

/** A ticket as it lies on the ruler; all times in minutes of the clock. */
interface RulerBar {
  readonly number: number;
  readonly client: string;
  readonly racket: string;
  readonly start: number;
  readonly finish: number;
  readonly promised: number;
  readonly lateMin: number;
  /** On so many days of a hundred it is kept. */
  readonly sure: number;
  /** Somebody said when it comes. */
  readonly fixed: boolean;
  /** Somebody is at it. */
  readonly begun: boolean;
  /** Who, where it is known. */
  readonly by: string | null;
}

export interface RulerLane {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly open: readonly Span[];
  readonly bars: readonly RulerBar[];
}

interface RulerProps {
  readonly now: number;
  readonly lanes: readonly RulerLane[];
  readonly turns: readonly RulerTurn[];
  /** Nothing where nobody may move anything. */
  readonly arrange:
    | ((
        wanted: readonly RulerTurn[],
        seen: readonly RulerTurn[],
      ) => Promise<string | undefined | void>)
    | undefined;
}

const LANE_PX = 96;
const HEAD_PX = 40;
const STEP_MIN = 15;
/** Open hours that are shown even when nothing is planned in them. */
const LEAST_SHOWN_MIN = 7 * 60;

/** Keys move a bar by a quarter of an hour or by a lane. */
const byKeys: KeyboardCoordinateGetter = (event, { currentCoordinates: { x, y } }) => {
  const quarter = 33;
  switch (event.code) {
    case 'ArrowRight':
      return { x: x + quarter, y };
    case 'ArrowLeft':
      return { x: x - quarter, y };
    case 'ArrowDown':
      return { x, y: y + LANE_PX };
    case 'ArrowUp':
      return { x, y: y - LANE_PX };
    default:
      return undefined;
  }
};

/** The day on a ruler: a lane a bench, each ticket as long as its minutes, its promise a mark below. */
export function Ruler({ now, lanes, turns, arrange }: RulerProps) {
  const router = useRouter();
  const awake = useAwake();
  const [busy, setBusy] = useState(false);
  const body = useRef<HTMLDivElement>(null);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: byKeys }),
  );
  const nowWall = wallOf(now);
  const scale = useMemo(() => rulerScale(spansShown(now, lanes)), [now, lanes]);

  const keep = async (wanted: readonly RulerTurn[], words: string) => {
    if (!arrange) return;
    setBusy(true);
    const refusal = await arrange(wanted, turns).catch(
      () => 'The workshop’s server does not answer. Nothing was moved: try again.',
    );
    setBusy(false);
    router.refresh();
    if (refusal) return sayRefusal(refusal);
    const undo = async () => {
      const second = await arrange(turns, wanted).catch(
        () => 'The workshop’s server does not answer. It stays as it was moved.',
      );
      if (second) sayRefusal(second);
      router.refresh();
    };
    sayDone(words, () => void undo());
  };

  const drop = ({ active, over }: DragEndEvent) => {
    const left = active.rect.current.translated?.left;
    const lane = lanes.find(({ id }) => id === over?.id);
    if (!lane || left === undefined || !body.current) return;
    const number = Number(active.id);
    const px = left - body.current.getBoundingClientRect().left;
    const others = lane.bars.filter((bar) => bar.number !== number && !bar.begun);
    const at = others.filter(
      (bar) => scale.x((bar.start + bar.finish) / 2) < px + STEP_MIN / 2,
    ).length;
    void keep(
      turnsAfter(lanes, turns, number, lane.id, at),
      at === 0
        ? `Ticket ${number} is next: ${lane.name}.`
        : `Ticket ${number} comes after ${others[at - 1]?.number}: ${lane.name}.`,
    );
  };

  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <div className="flex" aria-busy={busy}>
        <div className="w-36 shrink-0 pr-3" style={{ paddingTop: HEAD_PX }}>
          {lanes.map(({ id, name, note }) => (
            <div key={id} style={{ height: LANE_PX }} className="border-hair border-t pt-2">
              <p className="figure truncate text-xl">{name}</p>
              <p className="label line-clamp-2">{note}</p>
            </div>
          ))}
        </div>
        <div
          className="min-w-0 grow overflow-x-auto pb-2"
          role="region"
          aria-label="The day on a ruler"
          tabIndex={0}
        >
          <div
            ref={body}
            className="relative"
            style={{ width: scale.width + 24, paddingTop: HEAD_PX }}
          >
            <Marks scale={scale} now={now} nowWall={nowWall} height={lanes.length * LANE_PX} />
            {lanes.map((lane) => (
              <Lane
                key={lane.id}
                lane={lane}
                scale={scale}
                nowWall={nowWall}
                movable={arrange !== undefined && awake && !busy}
              />
            ))}
          </div>
        </div>
      </div>
    </DndContext>
  );
}

/** From now to the end of what is planned, and so far that free time shows. */
function spansShown(now: number, lanes: readonly RulerLane[]): readonly Span[] {
  const bars = lanes.flatMap((lane) => lane.bars);
  const open = lanes.flatMap((lane) => lane.open);
  const planned = Math.max(now, ...bars.map(({ finish }) => finish));
  let shownMin = 0;
  const shown: Span[] = [];
  for (const [from, to] of joined(open)) {
    if (from >= planned && shownMin >= LEAST_SHOWN_MIN) break;
    shown.push([from, to]);
    shownMin += to - from;
  }
  return [[now, now + 1], ...shown, ...bars.map(({ start, finish }): Span => [start, finish])];
}

/** Hours, days, tears and the line of now, behind all lanes. */
function Marks({
  scale,
  now,
  nowWall,
  height,
}: {
  readonly scale: RulerScale;
  readonly now: number;
  readonly nowWall: WallTime;
  readonly height: number;
}) {
  const bottom = HEAD_PX + height;
  return (
    <svg
      width={scale.width + 24}
      height={bottom}
      className="pointer-events-none absolute inset-0"
      aria-hidden
    >
      {scale.hours.map((hour) => (
        <g key={hour} transform={`translate(${scale.x(hour)} 0)`}>
          <path d={`M0 ${HEAD_PX - 8}V${bottom}`} className="stroke-hair" />
          <text x={3} y={HEAD_PX - 10} className="figure fill-soft text-sm">
            {wallOf(hour).slice(11)}
          </text>
        </g>
      ))}
      {scale.days.map(({ at, minute }) => (
        <text key={minute} x={at + 3} y={13} className="fill-ink text-sm font-medium">
          {formatWall(wallOf(minute), nowWall).replace(/ \d\d:\d\d$/, '')}
        </text>
      ))}
      {scale.tears.map((at) => (
        <path
          key={at}
          d={`M${at - 4} ${HEAD_PX - 12}${'l8 6l-8 6'.repeat(Math.ceil((bottom - HEAD_PX + 12) / 12))}`}
          className="stroke-edge fill-none"
        />
      ))}
      <path
        d={`M${scale.x(now)} ${HEAD_PX - 16}V${bottom}`}
        className="stroke-warn"
        strokeWidth={2}
      />
    </svg>
  );
}

function Lane({
  lane,
  scale,
  nowWall,
  movable,
}: {
  readonly lane: RulerLane;
  readonly scale: RulerScale;
  readonly nowWall: WallTime;
  readonly movable: boolean;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: lane.id });
  const rows = promiseRows(lane.bars, scale);
  return (
    <div
      ref={setNodeRef}
      className={clsx('border-hair relative border-t', isOver && 'bg-sheet')}
      style={{ height: LANE_PX }}
    >
      {lane.bars.map((bar) => (
        <Bar key={bar.number} bar={bar} scale={scale} nowWall={nowWall} movable={movable} />
      ))}
      <svg
        width={scale.width + 24}
        height={LANE_PX}
        className="pointer-events-none absolute inset-0"
        aria-hidden
      >
        {lane.bars.map(({ number, promised, lateMin }, i) => {
          const y = 62 + 13 * (rows[i] ?? 0);
          const x = Math.max(5, scale.x(promised));
          const beyond = x >= scale.width;
          return (
            <g
              key={number}
              className={lateMin > 0 ? 'fill-warn stroke-warn' : 'fill-soft stroke-soft'}
            >
              {!beyond && <path d={`M${x} ${y - 8}v10l-4-4h8l-4 4`} strokeWidth={1} />}
              {!beyond && (
                <text x={x + 6} y={y + 3} className="text-xs" stroke="none">
                  {number}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}

/** In which row below the bars each promise stands, so that no two numbers touch. */
function promiseRows(bars: readonly RulerBar[], scale: RulerScale): readonly number[] {
  const ends: number[] = [];
  const rows = new Map<number, number>();
  for (const { number, promised } of bars.toSorted((a, b) => a.promised - b.promised)) {
    const x = scale.x(promised);
    const free = ends.findIndex((end) => end < x - 4);
    const row = free >= 0 ? free : Math.min(ends.length, 2);
    ends[row] = x + 34;
    rows.set(number, row);
  }
  return bars.map(({ number }) => rows.get(number) ?? 0);
}

function Bar({
  bar,
  scale,
  nowWall,
  movable,
}: {
  readonly bar: RulerBar;
  readonly scale: RulerScale;
  readonly nowWall: WallTime;
  readonly movable: boolean;
}) {
  const { number, client, racket, start, finish, promised, lateMin, sure, fixed, begun, by } = bar;
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: String(number),
    disabled: !movable || begun,
  });
  const left = scale.x(start);
  const time = (minute: number) => formatWall(wallOf(minute), nowWall);
  const words = [
    `Ticket ${number}, ${client}, ${racket}`,
    `${begun ? `begun${by ? ` by ${by}` : ''}, done` : `from ${time(start)}, done`} ${time(finish)}`,
    `promised ${time(promised)}`,
    lateMin > 0 ? `${minutesWords(lateMin)} late` : `kept on ${sure} in 100 days`,
    fixed && 'as somebody arranged it',
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...attributes}
      {...listeners}
      aria-label={words}
      title={words}
      className={clsx(
        'absolute top-2 flex h-11 flex-col justify-center overflow-hidden px-1.5 text-left leading-tight',
        lateMin > 0
          ? 'border-warn bg-warn-wash text-warn border-2 border-dashed'
          : 'border-ink bg-sheet border',
        begun && 'border-l-8',
        fixed && 'border-b-4',
        movable && !begun && 'cursor-grab touch-none',
        isDragging && 'z-20 opacity-80',
      )}
      style={{
        left,
        width: Math.max(26, scale.x(finish) - left - 2),
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <span className="figure text-lg leading-none">{number}</span>
      <span className="truncate text-xs">
        {lateMin > 0 ? `late ${minutesWords(lateMin)}` : begun && by ? `at it: ${by}` : client}
      </span>
    </button>
  );
}
