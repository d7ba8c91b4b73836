'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { studyFrame, type Bed } from '@/core/frame/bed';
import { coveredHoles } from '@/core/path/covers';
import type { FrameSpec } from '@/core/frame/frame';
import type { CutAssumptions } from '@/core/cut/lengths';
import { measureWords } from '@/core/cut/measuring';
import { compareMethods, pathCautions, type MethodPreference } from '@/core/cut/methods';
import { parseRemnants } from '@/core/measure/parsing';
import {
  checkSource,
  cutSource,
  planCut,
  stretchOf,
  type Learnt,
  type PlannedString,
} from '@/core/cut/plan';
import type { Sport } from '@/core/terms/sport';
import type { HouseRules } from '@/core/house/house-rules';
import type { OrderCustom } from '@/core/path/pull-order';
import { pullLimits } from '@/core/measure/pull-limits';
import { steppedPulls } from '@/core/advice/tension';
import {
  formatHeadDimension,
  formatStringLength,
  formatTension,
  newtons,
  roundTo,
  roundToTicketStep,
  type LengthSystem,
  type TicketTension,
} from '@/core/measure/units';
import {
  coverWords,
  cutAdvice,
  knotCount,
  knotWords,
  lengthWords,
  mainsWay,
  crossWay,
} from '@/core/cut/wording';
import { BedKey } from '@/ui/bed/bed-key';
import { StrungBed } from '@/ui/bed/strung-bed';
import { Cautions } from '@/ui/cautions';
import { Fact, Facts } from '@/ui/facts';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { SkipFacts } from '@/ui/frame/skip-facts';
import { PartTable } from '@/ui/tape/part-table';
import { Tape, type TapePiece } from '@/ui/tape/tape';
import { CutChoices, sourcesFor, type KnownMachine } from './cut-choices';
import { cutSchema, type CutEntry } from './cut-entry';
import { MethodTable } from './method-table';

interface StockedString extends PlannedString {
  readonly setMm: number;
}

interface CutFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly number: number;
  readonly initial: CutEntry;
  readonly spec: FrameSpec;
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
  readonly lengthSystem: LengthSystem;
  /** Left out when the job is closed and nothing can be chosen any more. */
  readonly save?: (entry: CutEntry) => Promise<FormAnswer>;
}

function stretchWords(string: PlannedString, sport: Sport): string {
  const percent = `${roundTo(stretchOf(string, sport) * 100, 0.1)} %`;
  return string.stretch === null
    ? `${percent}, ${string.family} of this thickness at this pull (from memory)`
    : `${percent}, as noted for this string`;
}

const KEEP: (entry: CutEntry) => Promise<FormAnswer> = async () => ({ ok: true });

/** The pieces of a job: on the drawing, on the tape and in figures, and the methods side by side. */
export function CutForm(props: CutFormProps) {
  const study = useMemo(() => studyFrame(props.spec), [props.spec]);
  return study.bed ? (
    <Cut {...props} bed={study.bed} doubts={[...study.cautions, ...study.assumed]} />
  ) : null;
}

function Cut({
  name,
  version,
  number,
  initial,
  bed,
  doubts,
  mains,
  crosses,
  tension,
  hybrid,
  assumptions: house,
  machines,
  preference,
  learnt,
  custom,
  lengthSystem,
  save,
}: CutFormProps & { readonly bed: Bed; readonly doubts: readonly string[] }) {
  const schema = useMemo(() => cutSchema(bed, hybrid), [bed, hybrid]);
  const form = useKeptForm<CutEntry>({ name, version, schema, initial, save: save ?? KEEP });
  const { method, shortSide, crossStart, cutFrom, remnants, machineId } = useWatch({
    control: form.control,
  }) as CutEntry;
  const machine = machines.find(({ id }) => id === machineId);
  const assumptions = useMemo(
    () => (machine ? { ...house, gripperMm: machine.gripperMm } : house),
    [house, machine],
  );
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
  const { path, pieces } = plan;
  const covered = useMemo(() => coveredHoles(bed, path), [bed, path]);
  const read = parseRemnants(remnants);
  const source = cutSource(cutFrom, {
    mainSetMm: mains.setMm,
    crossSetMm: crosses.setMm,
    remnantsMm: read.ok ? read.value : [],
  });
  const check = checkSource(source, pieces, custom);
  const advice = cutAdvice(check, lengthSystem);
  const length = (mm: number) => formatStringLength(mm, lengthSystem);
  const words = (mm: number) => lengthWords(mm, lengthSystem);
  const size = (mm: number) => formatHeadDimension(mm, lengthSystem);
  const stockText = (i: number): string => {
    if (source.kind === 'two half sets')
      return `half of ${length(i === 0 ? mains.setMm : crosses.setMm)}`;
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
  const choose = (next: CutEntry['method']) => {
    form.setValue('method', next, { shouldValidate: true });
    const possible = sourcesFor(next === 'two-piece' ? 2 : 1, hybrid);
    if (!possible.includes(cutFrom))
      form.setValue('cutFrom', possible[0] ?? 'reel', { shouldValidate: true });
  };
  const { stepDown } = bed.spec.stringing;

  return (
    <KeptForm form={form} className="grid gap-8 lg:grid-cols-[minmax(24rem,0.8fr)_1fr]">
      <div className="flex min-w-0 flex-col gap-3">
        <StrungBed bed={bed} path={path} lengthSystem={lengthSystem} className="h-[36rem]" />
        <BedKey withPath />
        <Facts>
          <SkipFacts skips={bed.skips} />
        </Facts>
        <section aria-label="Covered holes">
          <h2 className="figure text-xl">Prepare before it is covered</h2>
          <p className="label">Pre-thread what needs the hole, or leave a scrap strand in it.</p>
          <ol className="mt-1 text-sm">
            {covered.length === 0 && <li>Nothing is covered that is still needed.</li>}
            {covered.map((each) => (
              <li key={coverWords(each)} className="border-hair border-t py-1">
                {coverWords(each)}
              </li>
            ))}
          </ol>
        </section>
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <div className="overflow-x-auto">
          <Tape pieces={tape} lengthSystem={lengthSystem} />
        </div>
        <p className="text-lg font-medium">{advice.word}</p>
        <Cautions
          cautions={[
            ...(advice.caution ? [advice.caution] : []),
            ...pathCautions(bed, path),
            ...doubts,
          ]}
        />
        {save && (
          <CutChoices
            form={form}
            bed={bed}
            path={path}
            hybrid={hybrid}
            machines={machines}
            choose={choose}
          />
        )}
        {save && (
          <FormFoot form={form} action="Save and go to the bench">
            <Link href={`/sheets/${number}`} className="underline">
              Work sheet
            </Link>
          </FormFoot>
        )}
        <Facts>
          <Fact name="Mains">{mainsWay(bed)}</Fact>
          <Fact name={`Crosses, from the ${path.crossesFrom}`}>
            {crossWay(path.crossStart, path.crossFinish, path.crossCount)}
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
          <Fact name="Stretch of the mains">{stretchWords(mains, bed.spec.sport)}</Fact>
          <Fact name="Stretch of the crosses">{stretchWords(crosses, bed.spec.sport)}</Fact>
          {stepDown && (
            <Fact
              name="Outer strings, stepped down"
              note={`crosses ${stepped(tension.crossN, tension, stepDown, bed.spec.sport)}`}
            >
              mains {stepped(tension.mainN, tension, stepDown, bed.spec.sport)}
            </Fact>
          )}
        </Facts>
        <section aria-label="Without a tape">
          <h2 className="figure text-xl">Without a tape</h2>
          {pieces.map((piece) => (
            <p key={piece.name} className="text-sm">
              {measureWords(bed, piece, assumptions, words)}
            </p>
          ))}
        </section>
        <PartTable
          pieces={pieces}
          learnt={learnt}
          armSpanMm={assumptions.armSpanMm}
          lengthSystem={lengthSystem}
        />
        <MethodTable
          rows={rows}
          chosen={method}
          choose={save && choose}
          preference={preference}
          lengthSystem={lengthSystem}
        />
      </div>
    </KeptForm>
  );
}

/** `58, then 53 48 43 lb`. */
function stepped(
  n: number,
  { unit }: TicketTension,
  step: NonNullable<FrameSpec['stringing']['stepDown']>,
  sport: Sport,
): string {
  const { leastN } = pullLimits(sport);
  const pulls = steppedPulls(n, step.strings, newtons(step.by, step.unit), leastN);
  return [n, ...pulls].map((each) => formatTension(roundToTicketStep(each, unit), unit)).join(', ');
}
