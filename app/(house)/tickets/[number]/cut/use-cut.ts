'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { assumedOn, type CutAssumptions } from '@/core/cut/lengths';
import { compareMethods, type MethodPreference } from '@/core/cut/methods';
import { planCut, type Learnt, type PlannedString } from '@/core/cut/plan';
import type { Bed } from '@/core/frame/bed';
import type { HouseRules } from '@/core/house/house-rules';
import { parseRemnants } from '@/core/measure/parsing';
import type { LengthSystem, TicketTension } from '@/core/measure/units';
import { coveredHoles } from '@/core/path/covered-holes';
import type { OrderCustom } from '@/core/path/pull-order';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { sourcesFor, type KnownMachine } from './cut-choices';
import { cutSchema, type CutEntry } from './cut-entry';
import { onTape } from './on-tape';

interface StockedString extends PlannedString {
  readonly setMm: number;
}

export interface CutOf {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly number: number;
  readonly initial: CutEntry;
  readonly bed: Bed;
  /** What is not sure of the frame. */
  readonly doubts: readonly string[];
  readonly mains: StockedString;
  readonly crosses: StockedString;
  readonly tension: TicketTension;
  /** Two strings, which make two pieces. */
  readonly hybrid: boolean;
  readonly assumptions: CutAssumptions;
  readonly machines: readonly KnownMachine[];
  readonly preference: MethodPreference;
  readonly learnt: Learnt;
  /** In which order this job pulls its strings. */
  readonly custom: OrderCustom & Pick<HouseRules, 'bridge'>;
  /** What of the shelf serves it, in words; left out where no shelf is kept or it is cut. */
  readonly onShelf:
    { readonly cut: readonly string[]; readonly missing: readonly string[] } | undefined;
  readonly lengthSystem: LengthSystem;
  /** Left out when the job is closed and nothing can be chosen any more. */
  readonly save?: (entry: CutEntry) => Promise<FormAnswer>;
}

const KEEP: (entry: CutEntry) => Promise<FormAnswer> = async () => ({ ok: true });

/** A cut while it is chosen: its form, and the plan, the methods and the tape that follow from it. */
export function useCut({
  name,
  version,
  initial,
  bed,
  mains,
  crosses,
  hybrid,
  assumptions: house,
  machines,
  preference,
  learnt,
  custom,
  lengthSystem,
  save,
}: CutOf) {
  const schema = useMemo(() => cutSchema(bed, hybrid), [bed, hybrid]);
  const form = useKeptForm<CutEntry>({ name, version, schema, initial, save: save ?? KEEP });
  const { method, shortSide, crossStart, cutFrom, remnants, machineId } = useWatch({
    control: form.control,
  }) as CutEntry;
  // A house with one machine strings on that.
  const only = machines.length === 1 ? machines[0] : undefined;
  const machine = machines.find(({ id }) => id === machineId) ?? only;
  const assumptions = useMemo(() => assumedOn(house, machine), [house, machine]);
  const plan = useMemo(
    () =>
      planCut(
        bed,
        { mains, crosses },
        { method, shortSide, crossStart },
        assumptions,
        learnt,
        custom,
      ),
    [bed, mains, crosses, method, shortSide, crossStart, assumptions, learnt, custom],
  );
  const rows = useMemo(
    () =>
      compareMethods(
        bed,
        { mains, crosses },
        hybrid,
        { shortSide, crossStart },
        assumptions,
        preference,
      ),
    [bed, mains, crosses, hybrid, shortSide, crossStart, assumptions, preference],
  );
  const { path } = plan;
  const covered = useMemo(() => coveredHoles(bed, path), [bed, path]);
  const read = parseRemnants(remnants);
  const { tape, advice } = onTape(
    plan,
    {
      from: cutFrom,
      mainSetMm: mains.setMm,
      crossSetMm: crosses.setMm,
      remnantsMm: read.ok ? read.value : [],
    },
    custom,
    lengthSystem,
  );
  const choose = (next: CutEntry['method']) => {
    form.setValue('method', next, { shouldValidate: true });
    const possible = sourcesFor(next === 'two-piece' ? 2 : 1, hybrid);
    if (!possible.includes(cutFrom))
      form.setValue('cutFrom', possible[0] ?? 'reel', { shouldValidate: true });
  };
  return { form, method, assumptions, plan, rows, covered, tape, advice, choose };
}
