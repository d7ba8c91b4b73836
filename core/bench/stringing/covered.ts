/** The fourth pass: a hole is opened before a pull or a knot tightens a run over it. */
import type { StringName } from '../../terms/string-name';
import { coveredHoles, type Covered } from '../../path/covered-holes';
import { placeName } from '../../path/segments';
import { message, type Message } from '../../terms/words/english';
import type { BenchPlan, BenchStep } from '../plan';

/** A string that is pulled so soon is pre-threaded; for one that comes later a scrap strand keeps the way. */
const SOON = 2;

export function withOpenings(
  steps: readonly BenchStep[],
  { bed, path }: BenchPlan,
): readonly BenchStep[] {
  const covered = coveredHoles(bed, path);
  if (covered.length === 0) return steps;
  const woven = new Set<StringName>();
  const opened = new Set<string>();

  const words = ({ at, before, needs }: Covered): Message => {
    const place = path.order.indexOf(needs.string) - path.order.indexOf(before.string);
    const values = {
      at: placeName(at),
      before: before.string,
      knot: String(before.knot),
      needs: needs.string,
    };
    if (needs.knot) return message('step.open.strand for a knot', values);
    return place > SOON
      ? message('step.open.strand', values)
      : message('step.open.pre-thread', values);
  };

  function openings(string: StringName, knot: boolean): readonly BenchStep[] {
    const needed = covered.filter(
      ({ before, needs }) =>
        before.string === string &&
        before.knot === knot &&
        (needs.knot || !woven.has(needs.string)),
    );
    const byHole = new Map(needed.map((cover) => [placeName(cover.at), cover] as const));
    return [...byHole].flatMap(([name, cover]): readonly BenchStep[] => {
      if (opened.has(name)) return [];
      opened.add(name);
      return [
        {
          kind: 'open a hole',
          words: [words(cover)],
          actions: [{ do: 'open', at: cover.at }],
          at: cover.at,
          caution: message('step.open.caution'),
        },
      ];
    });
  }

  /** The strings whose runs a step tightens: at the start of the mains, both of the centre pair. */
  const tightenedBy = (step: BenchStep, isFirst: boolean): readonly StringName[] =>
    isFirst ? path.order.slice(0, 2) : step.kind === 'pull' && step.string ? [step.string] : [];

  return steps.flatMap((step, i) => {
    const threads = step.actions.flatMap((action) =>
      action.do === 'thread' ? [action.string] : [],
    );
    if (i > 0) for (const string of threads) woven.add(string);
    const before = [
      ...tightenedBy(step, i === 0).flatMap((string) => openings(string, false)),
      ...(step.kind === 'tie' && step.string ? openings(step.string, true) : []),
    ];
    for (const string of threads) woven.add(string);
    return [...before, step];
  });
}
