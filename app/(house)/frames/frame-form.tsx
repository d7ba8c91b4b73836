'use client';

import { toast } from 'sonner';
import { useDeferredValue, useMemo, useState } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import type { FrameSpec } from '@/core/frame/frame';
import type { Hole, Skips } from '@/core/frame/holes';
import { METHOD_WORDS, METHODS } from '@/core/terms/method';
import { parseHoleLabels, parseHoleNumbers, parseTieOffs } from '@/core/measure/parsing';
import { OUTLINE_FAMILIES } from '@/core/frame/outline';
import type { End } from '@/core/terms/ends';
import { SPORTS, type Sport } from '@/core/terms/sport';
import type { LengthSystem, TensionUnit } from '@/core/measure/units';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { BedKey } from '@/ui/bed/bed-key';
import { Assumed, Cautions } from '@/ui/cautions';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { Choice, Tick } from '@/ui/form/choice';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { Contradictions } from '@/ui/frame/contradictions';
import { FrameFacts } from '@/ui/frame/frame-facts';
import { LookChart } from '@/ui/frame/look-chart';
import { Proposals } from '@/ui/frame/proposals';
import { useStudy } from '@/ui/frame/use-study';
import {
  emptyFrameEntry,
  frameEntryOf,
  frameEntryReading,
  frameEntrySchema,
  OUTLINES,
  rangeHint,
  type FrameEntry,
} from './frame-entry';

interface FrameFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: FrameEntry;
  readonly save: (entry: FrameEntry) => Promise<FormAnswer>;
  readonly action: string;
  readonly houseUnit: TensionUnit;
  readonly lengthSystem: LengthSystem;
}

const OUTLINE_CHOICES = OUTLINES.map((value) => ({
  value,
  text: OUTLINE_FAMILIES.includes(value as never) ? value : 'by widths',
}));

/** What a tap on a hole of the drawing marks it as. */
const MARKS = ['skip', 'tie-off', 'shared'] as const;
type Mark = (typeof MARKS)[number];

/** The spec of what is typed, as far as it can be read; whether its facts agree is for the study. */
function useSpec(entry: FrameEntry, houseUnit: TensionUnit): FrameSpec | undefined {
  const text = JSON.stringify(entry);
  return useMemo(() => {
    const typed = JSON.parse(text) as FrameEntry;
    const read = frameEntryReading(houseUnit).safeParse({ ...typed, name: typed.name || '-' });
    return read.success ? read.data.spec : undefined;
  }, [text, houseUnit]);
}

const toggled = <T,>(list: readonly T[], item: T): T[] =>
  list.includes(item) ? list.filter((each) => each !== item) : [...list, item];

/** A frame entered from the frame itself: counted, tapped on the drawing, and ruled with a ruler. */
export function FrameForm({
  name,
  version,
  initial,
  save,
  action,
  houseUnit,
  lengthSystem,
}: FrameFormProps) {
  const schema = useMemo(() => frameEntrySchema(houseUnit), [houseUnit]);
  const form = useKeptForm<FrameEntry>({
    name,
    version,
    schema,
    initial,
    save,
    saved: () => toast('The frame is saved.'),
  });
  const { control, formState, getValues, setValue, reset } = form;
  const entry = useWatch({ control }) as FrameEntry;
  const live = useStudy(useSpec(useDeferredValue(entry), houseUnit));
  const [mark, setMark] = useState<Mark>('skip');
  const problem = (field: keyof FrameEntry) => formState.errors[field]?.message;
  const { drawn } = live;
  const bed = drawn?.bed;
  const proposed = bed?.proposedSkips;
  const beyond = problem('lengthMm')?.includes('at most');

  const write = (
    field: 'headSkip' | 'throatSkip' | 'tieOff' | 'shared',
    list: readonly unknown[],
  ) =>
    setValue(field, list.length > 0 ? list.join(' ') : field.endsWith('Skip') ? 'none' : '', {
      shouldValidate: true,
      shouldTouch: true,
    });
  const tap = ({ label, end, number }: Hole) => {
    if (mark === 'skip') {
      const field = end === 'head' ? 'headSkip' : 'throatSkip';
      const typed = getValues(field).trim();
      const read = parseHoleNumbers(typed);
      const now = typed === '' || !read.ok ? (bed?.skips[end] ?? []) : read.value;
      write(
        field,
        toggled(now, number).sort((a, b) => a - b),
      );
    } else {
      const field = mark === 'tie-off' ? 'tieOff' : 'shared';
      const read = (mark === 'tie-off' ? parseTieOffs : parseHoleLabels)(getValues(field));
      if (read.ok) write(field, toggled(read.value, label));
    }
  };
  const take = (skips: Skips) => {
    write('headSkip', skips.head);
    write('throatSkip', skips.throat);
  };
  const apply = (spec: FrameSpec) => {
    reset(
      { ...frameEntryOf(getValues('name'), spec), range: getValues('range') },
      { keepDefaultValues: true },
    );
  };
  const skipField = (end: End) => (
    <TextField
      figure
      className="col-span-3"
      label={`Skips at the ${end}`}
      placeholder={proposed ? proposed[end].join(' ') || 'none' : '7 9'}
      hint={end === 'head' ? 'Empty: proposed. Or write none.' : 'From the centre line outwards.'}
      {...form.field(end === 'head' ? 'headSkip' : 'throatSkip')}
    />
  );

  return (
    <KeptForm
      form={form}
      className="grid gap-x-7 gap-y-6 lg:grid-cols-[minmax(19rem,22rem)_minmax(20rem,1fr)_minmax(18rem,21rem)]"
    >
      <div className="min-w-0">
        <div className="grid grid-cols-6 gap-x-3 gap-y-3">
          <TextField className="col-span-6" label="Frame" {...form.field('name')} />
          <Controller
            control={control}
            name="sport"
            render={({ field }) => (
              <Choice
                label="Sport"
                className="col-span-6"
                options={SPORTS.map((value) => ({ value, text: value }))}
                value={field.value}
                onChange={(sport: Sport) =>
                  reset(
                    { ...getValues(), ...emptyFrameEntry(sport), name: getValues('name') },
                    { keepDefaultValues: true },
                  )
                }
              />
            )}
          />
          <TextField
            figure
            className="col-span-3"
            label="Inside length, tip to throat (mm)"
            {...form.field('lengthMm')}
          />
          <TextField
            figure
            className="col-span-3 self-end"
            label="Inside width (mm)"
            {...form.field('widthMm')}
          />
          {(beyond || entry.ownerInsists) && (
            <TickField
              control={form.control}
              name="ownerInsists"
              label="The owner knows that it is not legal for play and wants it strung"
              className="col-span-6"
            />
          )}
          <ChoiceField
            control={form.control}
            name="outline"
            label="Shape of the head"
            className="col-span-6"
            options={OUTLINE_CHOICES}
          />
          {entry.outline === 'measured' && (
            <TextField
              className="col-span-6"
              label="Inside widths, as distance below the tip:width (mm)"
              placeholder="40:160 100:226 168:248 240:223 300:150"
              {...form.field('widths')}
            />
          )}
          <TextField figure className="col-span-2" label="Mains" {...form.field('mains')} />
          <TextField figure className="col-span-2" label="Crosses" {...form.field('crosses')} />
          <TextField
            figure
            className="col-span-2"
            label="Holes in the bridge"
            {...form.field('bridgeHoles')}
          />
          {skipField('head')}
          {skipField('throat')}
          <TextField
            figure
            className="col-span-3"
            label="Tie-off holes"
            placeholder="8T 6H"
            hint="The larger ones."
            {...form.field('tieOff')}
          />
          <TextField
            figure
            className="col-span-3"
            label="Shared holes"
            placeholder="none"
            hint="A main and a cross."
            {...form.field('shared')}
          />
          <TextField
            figure
            className="col-span-6"
            label="Range printed in the throat"
            placeholder="22-26 kg"
            hint={rangeHint(entry.range, entry.sport, houseUnit) ?? 'Empty when there is none.'}
            {...form.field('range')}
          />
        </div>
        <details
          className="mt-4"
          open={Boolean(initial.headOutermost || initial.throatOutermost) || undefined}
        >
          <summary className="label cursor-pointer underline">Checked by counting</summary>
          <div className="mt-3 grid grid-cols-2 gap-3">
            <TextField
              figure
              label="Outermost main at the head"
              placeholder="10"
              hint="The hole it goes through."
              {...form.field('headOutermost')}
            />
            <TextField
              figure
              label="Outermost main at the throat"
              placeholder="10"
              {...form.field('throatOutermost')}
            />
          </div>
        </details>
        <details
          className="mt-3"
          open={Boolean(initial.headMm || initial.sideMm || initial.throatMm) || undefined}
        >
          <summary className="label cursor-pointer underline">
            Ruled distances, when you have a ruler
          </summary>
          <div className="mt-3 grid gap-3">
            <TextField
              label="Holes at the head, from the centre line (mm)"
              placeholder="6 17.5 29 41 54 67 75 81 89 95"
              hint="One half, from the centre outwards; skips with them."
              {...form.field('headMm')}
            />
            <TextField
              label="Holes along the side, below the inside of the tip (mm)"
              placeholder="67 82 96.5 …"
              {...form.field('sideMm')}
            />
            <TextField
              label="Holes at the throat, from the centre line (mm)"
              {...form.field('throatMm')}
            />
          </div>
        </details>
        <details
          className="mt-3"
          open={
            Boolean(
              initial.double ||
              initial.ports ||
              initial.stepDown ||
              initial.benchNotes ||
              initial.reversedOuterMains ||
              initial.methods.length > 0 ||
              initial.crossesFrom === 'throat' ||
              initial.mainsStart !== 'by the bridge',
            ) || undefined
          }
        >
          <summary className="label cursor-pointer underline">What the maker says</summary>
          <div className="mt-3 grid grid-cols-2 gap-3">
            <ChoiceField
              control={control}
              name="mainsStart"
              label="Mains start at"
              className="col-span-2"
              options={(['by the bridge', 'head', 'throat'] as const).map((value) => ({
                value,
                text: value === 'by the bridge' ? value : `the ${value}`,
              }))}
            />
            <ChoiceField
              control={control}
              name="crossesFrom"
              label="Crosses start at"
              className="col-span-2"
              options={(['head', 'throat'] as const).map((value) => ({
                value,
                text: `the ${value}`,
              }))}
            />
            <Controller
              control={control}
              name="methods"
              render={({ field }) => (
                <fieldset className="col-span-2 flex flex-col gap-1.5">
                  <legend className="label mb-1">Methods that it names</legend>
                  {METHODS.map((method) => (
                    <Tick
                      key={method}
                      label={METHOD_WORDS[method]}
                      checked={field.value.includes(method)}
                      onChange={() => field.onChange(toggled(field.value, method))}
                    />
                  ))}
                </fieldset>
              )}
            />
            <TickField
              control={control}
              name="reversedOuterMains"
              label="The two outermost mains are strung in reversed order"
              className="col-span-2"
            />
            <TextField
              figure
              label="Two barrels in one grommet"
              placeholder="none"
              {...form.field('double')}
            />
            <TextField
              figure
              label="Open ports or bars"
              placeholder="none"
              {...form.field('ports')}
            />
            <TextField
              figure
              className="col-span-2"
              label="Outer strings stepped down"
              placeholder="3 x 5 lb"
              {...form.field('stepDown')}
            />
            <NoteField
              className="col-span-2"
              label="Notes for the bench"
              hint="They show at their step: mount: adaptor for the sides · knots: label at 6T. Also mains: and crosses:."
              {...form.field('benchNotes')}
            />
          </div>
        </details>
        <FormFoot form={form} action={action} />
      </div>
      <div className="min-w-0">
        {bed && (
          <div className="flex flex-col gap-2 lg:sticky lg:top-4">
            <BedDrawing bed={bed} lengthSystem={lengthSystem} className="h-[36rem]" onTap={tap} />
            <Choice
              label="A tap on a hole marks it as"
              options={MARKS.map((value) => ({ value, text: value }))}
              value={mark}
              onChange={setMark}
            />
            <BedKey />
          </div>
        )}
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <Contradictions problems={live.study?.problems ?? []} mends={live.mends} apply={apply} />
        {bed && (
          <>
            <Proposals bed={bed} take={take} />
            <Cautions cautions={drawn?.cautions ?? []} />
            <LookChart bed={bed} lengthSystem={lengthSystem} />
            <Assumed assumed={drawn?.assumed ?? []} />
            <FrameFacts bed={bed} lengthSystem={lengthSystem} />
          </>
        )}
      </div>
    </KeptForm>
  );
}
