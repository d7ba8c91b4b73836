/** Time as it runs to the right: open hours to scale, what lies between them folded to a tear. */
import { scaleLinear } from 'd3-scale';
import { joined, type Span } from '@/core/queue/clock';

export interface RulerScale {
  /** From minutes of the clock to px. */
  readonly x: (minute: number) => number;
  readonly minuteAt: (px: number) => number;
  readonly width: number;
  /** Where a span ends and a later one begins. */
  readonly tears: readonly number[];
  /** Whole hours within the spans, without those at which a tear begins. */
  readonly hours: readonly number[];
  /** Where a day begins on it. */
  readonly days: readonly { readonly at: number; readonly minute: number }[];
}

const PX_AN_HOUR = 132;
const TEAR_PX = 26;
const DAY_NAME_PX = 84;
const HOUR_MIN = 60;
const DAY_MIN = 1440;

/** `spans` are the times in which anything is open or planned; at least one of them. */
export function rulerScale(spans: readonly Span[]): RulerScale {
  const open = joined(spans);
  const domain: number[] = [];
  const range: number[] = [];
  const tears: number[] = [];
  let px = 0;
  open.forEach(([from, to], i) => {
    if (i > 0) {
      tears.push(px + TEAR_PX / 2);
      px += TEAR_PX;
    }
    domain.push(from, to);
    range.push(px, (px += ((to - from) / HOUR_MIN) * PX_AN_HOUR));
  });
  const scale = scaleLinear().domain(domain).range(range).clamp(true);
  const hours = open.flatMap(([from, to], i) => {
    const first = Math.ceil(from / HOUR_MIN);
    const all = Array.from(
      { length: Math.max(0, Math.floor(to / HOUR_MIN) - first + 1) },
      (_, n) => (first + n) * HOUR_MIN,
    );
    // The hour at which a break begins would stand on the one at which it ends.
    return i === open.length - 1 ? all : all.filter((hour) => hour < to);
  });
  const begins = open.flatMap(([from], i) => {
    const before = open[i - 1];
    return before && Math.floor(before[0] / DAY_MIN) === Math.floor(from / DAY_MIN)
      ? []
      : [{ at: scale(from), minute: from }];
  });
  // Of two that would touch, the one that more follows on is named.
  const days = begins.filter(({ at }, i) => (begins[i + 1]?.at ?? Infinity) - at > DAY_NAME_PX);
  return {
    x: (minute) => scale(minute),
    minuteAt: (at) => scale.invert(at),
    width: px,
    tears,
    hours,
    days,
  };
}
