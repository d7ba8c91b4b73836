'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { studyFrame, type Study } from '@/core/bed';
import { OUTLINE_FAMILIES } from '@/core/outline';
import { SPORTS, type Sport } from '@/core/sport';
import type { LengthSystem, TensionUnit } from '@/core/units';
import { BedDrawing } from '@/ui/bed/bed-drawing';
import { BedKey } from '@/ui/bed/bed-key';
import { Assumed, Cautions } from '@/ui/cautions';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { FrameFacts } from '@/ui/frame-facts';
import {
  emptyFrameEntry,
  frameEntrySchema,
  OUTLINES,
  rangeHint,
  type FrameEntry,
} from './frame-entry';

interface FrameFormProps {
  readonly name: string;
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

/** The last entry that made a bed, so that the drawing stays while a figure is half typed. */
function useStudy(entry: FrameEntry, houseUnit: TensionUnit): Study | undefined {
  const read = useMemo(() => {
    const parsed = frameEntrySchema(houseUnit).safeParse({ ...entry, name: entry.name || '-' });
    return parsed.success ? studyFrame(parsed.data.spec) : undefined;
  }, [entry, houseUnit]);
  const [last, setLast] = useState(read);
  if (read && read !== last) setLast(read);
  return read ?? last;
}

/** A frame entered from the frame itself: counted, and ruled where somebody has a ruler. */
export function FrameForm({
  name,
  initial,
  save,
  action,
  houseUnit,
  lengthSystem,
}: FrameFormProps) {
  const schema = useMemo(() => frameEntrySchema(houseUnit), [houseUnit]);
  const form = useKeptForm<FrameEntry>({ name, schema, initial, save });
  const { control, formState, getValues, reset } = form;
  const entry = useWatch({ control }) as FrameEntry;
  const study = useStudy(useDeferredValue(entry), houseUnit);
  const problem = (field: keyof FrameEntry) => formState.errors[field]?.message;
  const even = study?.bed?.evenSkips;
  const beyond = problem('lengthMm')?.includes('at most');

  return (
    <KeptForm
      form={form}
      className="grid gap-8 lg:grid-cols-[minmax(26rem,1fr)_minmax(30rem,1.1fr)]"
    >
      <div className="min-w-0">
        <div className="grid grid-cols-6 gap-x-4 gap-y-4">
          <TextField
            className="col-span-6"
            label="Frame"
            hint="As its maker names it, with the year or weight when there are several."
            {...form.field('name')}
          />
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
            className="col-span-3"
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
          <TextField
            figure
            className="col-span-3"
            label="Skips at the head"
            placeholder={even ? even.head.join(' ') || 'none' : '7 9'}
            hint="Empty: proposed from spacing. Or write none."
            {...form.field('headSkip')}
          />
          <TextField
            figure
            className="col-span-3"
            label="Skips at the throat"
            placeholder={even ? even.throat.join(' ') || 'none' : '7 9'}
            hint="Counted from the centre line outwards."
            {...form.field('throatSkip')}
          />
          <TextField
            figure
            className="col-span-3"
            label="Tie-off holes"
            placeholder="8T 6H"
            hint="The larger ones. H head, T throat."
            {...form.field('tieOff')}
          />
          <TextField
            figure
            className="col-span-3"
            label="Shared holes"
            placeholder="none"
            hint="Those that take a main and a cross."
            {...form.field('shared')}
          />
          <TextField
            figure
            className="col-span-3"
            label="Range printed in the throat"
            placeholder="22-26 kg"
            hint={rangeHint(entry.range, entry.sport, houseUnit) ?? 'Empty when there is none.'}
            {...form.field('range')}
          />
        </div>
        <details className="mt-4" open={Boolean(initial.mainsMm || initial.crossesMm) || undefined}>
          <summary className="label cursor-pointer underline">
            Ruled distances, when you have a ruler
          </summary>
          <div className="mt-3 grid gap-4">
            <TextField
              label="Mains of one side from the centre line (mm)"
              placeholder="6 17.5 29 41 54 67 81 95"
              {...form.field('mainsMm')}
            />
            <TextField
              label="Crosses from the inside of the tip down (mm)"
              {...form.field('crossesMm')}
            />
          </div>
        </details>
        <FormFoot form={form} action={action} />
      </div>
      <div className="min-w-0">
        {study?.bed && (
          <div className="flex flex-col gap-4 lg:sticky lg:top-4">
            <BedDrawing bed={study.bed} lengthSystem={lengthSystem} className="h-[34rem]" />
            <BedKey />
            <Cautions cautions={study.cautions} />
            <Assumed assumed={study.assumed} />
            <FrameFacts bed={study.bed} lengthSystem={lengthSystem} />
          </div>
        )}
      </div>
    </KeptForm>
  );
}
