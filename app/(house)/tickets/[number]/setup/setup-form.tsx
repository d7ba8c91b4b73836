'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import type { Family } from '@/core/family';
import type { FrameSpec } from '@/core/frame';
import { formatGauge, parseGauge } from '@/core/gauge';
import { parseTicketTension } from '@/core/notation';
import { knotPull, startingPoint, tensionCautions } from '@/core/tension';
import { formatTension, formatTicket, formatTicketConverted, type TensionUnit } from '@/core/units';
import { Cautions } from '@/ui/cautions';
import { TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { ListPicker } from '@/ui/form/list-picker';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { setupSchema, type SetupEntry } from './setup-entry';
import { StartingSteps } from './starting-steps';

export interface OfferedString {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  readonly gaugesMm: readonly number[];
}

interface SetupFormProps {
  readonly name: string;
  readonly number: number;
  readonly initial: SetupEntry;
  readonly strings: readonly OfferedString[];
  readonly spec: FrameSpec;
  readonly unit: TensionUnit;
  readonly save: (entry: SetupEntry) => Promise<FormAnswer>;
}

function gaugeHint(
  text: string,
  string: OfferedString | undefined,
  sport: FrameSpec['sport'],
): string {
  const gauge = parseGauge(text, sport);
  const sold = string ? `sold in ${string.gaugesMm.map((mm) => mm.toFixed(2)).join(', ')} mm` : '';
  if (!gauge.ok) return sold;
  const stocked = string?.gaugesMm.some((mm) => Math.abs(mm - gauge.value) < 0.005) ?? true;
  return `${formatGauge(gauge.value)}${stocked ? '' : ` · ${sold}`}`;
}

export function SetupForm({ name, number, initial, strings, spec, unit, save }: SetupFormProps) {
  const { sport } = spec;
  const schema = useMemo(() => setupSchema(sport, unit), [sport, unit]);
  const form = useKeptForm<SetupEntry>({ name, schema, initial, save });
  const { register, control, setValue, formState } = form;
  const entry = useWatch({ control }) as SetupEntry;
  const problem = (field: keyof SetupEntry) => formState.errors[field]?.message;

  const mains = strings.find(({ id }) => id === entry.mainStringId);
  const crosses = entry.hybrid ? strings.find(({ id }) => id === entry.crossStringId) : mains;
  // Before a string is chosen the start is that of a soft one, and says so.
  const mainFamily = mains?.family ?? 'multifilament';
  const start = startingPoint(spec, mainFamily, crosses?.family ?? mainFamily, unit);
  const typed = parseTicketTension(entry.tension, sport, unit);
  const cautions =
    typed.ok && mains
      ? tensionCautions(spec, typed.value, mains.family, crosses?.family ?? mains.family)
      : [];
  const options = strings.map(({ id, name: text, family }) => ({ id, text, detail: family }));
  const choose =
    (field: 'mainStringId' | 'crossStringId', gauge: 'mainGauge' | 'crossGauge') =>
    (id: string) => {
      setValue(field, id, { shouldDirty: true, shouldValidate: formState.isSubmitted });
      const string = strings.find((each) => each.id === id);
      const known = string?.gaugesMm.map((mm) => mm.toFixed(2)) ?? [];
      if (string && !known.includes(entry[gauge]))
        setValue(gauge, known[Math.floor((known.length - 1) / 2)] ?? '');
    };

  return (
    <KeptForm form={form} className="grid gap-10 lg:grid-cols-[1.2fr_1fr]">
      <div className="grid content-start gap-5 sm:grid-cols-[1fr_9rem]">
        <ListPicker
          label="String for the mains"
          autoFocus={!initial.mainStringId}
          options={options}
          value={entry.mainStringId}
          onChange={choose('mainStringId', 'mainGauge')}
          problem={problem('mainStringId')}
          hint={
            <>
              {mains?.family ?? 'A few letters of its name or family.'}{' '}
              <Link href={`/strings/new?ticket=${number}`} className="underline">
                Not in the library?
              </Link>
            </>
          }
        />
        <TextField
          figure
          label="Thickness"
          hint={gaugeHint(entry.mainGauge, mains, sport)}
          {...form.field('mainGauge')}
        />
        <div className="flex flex-wrap gap-x-8 gap-y-2 sm:col-span-2">
          <TickField control={form.control} name="mainSupplied" label="The client brought it" />
          <TickField control={form.control} name="hybrid" label="Another string in the crosses" />
        </div>
        {entry.hybrid && (
          <>
            <ListPicker
              label="String for the crosses"
              options={options}
              value={entry.crossStringId}
              onChange={choose('crossStringId', 'crossGauge')}
              problem={problem('crossStringId')}
              hint={crosses?.family ?? 'A few letters of its name or family.'}
            />
            <TextField
              figure
              label="Thickness"
              hint={gaugeHint(entry.crossGauge, crosses, sport)}
              {...form.field('crossGauge')}
            />
            <TickField
              control={form.control}
              name="crossSupplied"
              className="sm:col-span-2"
              label="The client brought the cross string"
            />
          </>
        )}
        <div className="sm:col-span-2">
          <label className="label block" htmlFor="tension">
            Tension, mains/crosses
          </label>
          <input
            id="tension"
            autoComplete="off"
            placeholder={formatTicket(start.ticket)}
            aria-invalid={problem('tension') !== undefined}
            aria-describedby="tension-understood"
            className="figure border-edge bg-sheet placeholder:text-soft/60 aria-invalid:border-warn w-full border-0 border-b-2 px-2 text-6xl leading-tight"
            {...register('tension')}
          />
          <p
            id="tension-understood"
            className="mt-1 min-h-6"
            role={problem('tension') ? 'alert' : undefined}
          >
            {typed.ok ? (
              <span>
                {formatTicket(typed.value)}{' '}
                <span className="text-soft">· {formatTicketConverted(typed.value)}</span>
              </span>
            ) : (
              <span className="text-warn text-sm font-medium">{problem('tension')}</span>
            )}
          </p>
          {typed.ok && (
            <p className="label">
              Knot pulls, 10 % up: mains{' '}
              {formatTension(knotPull(typed.value.mainN, typed.value.unit), typed.value.unit)},
              crosses{' '}
              {formatTension(knotPull(typed.value.crossN, typed.value.unit), typed.value.unit)}.
            </p>
          )}
        </div>
        <div className="sm:col-span-2">
          <Cautions cautions={cautions} />
          <FormFoot form={form} action="Save and go to the cut" />
        </div>
      </div>
      <section aria-labelledby="start">
        <h2 id="start" className="figure text-2xl">
          Where to start
        </h2>
        <StartingSteps start={start} unit={unit} />
        <p className="mt-4 flex flex-wrap items-baseline gap-x-4">
          <span className="figure text-5xl">{formatTicket(start.ticket)}</span>
          <span className="label">{formatTicketConverted(start.ticket)}</span>
          <button
            type="button"
            className="underline"
            onClick={() =>
              setValue('tension', formatTicket(start.ticket), {
                shouldDirty: true,
                shouldValidate: true,
              })
            }
          >
            Take it
          </button>
        </p>
        {!mains && (
          <p className="mt-2">For a soft string; choose the string, and its family counts.</p>
        )}
        <p className="label mt-2 max-w-prose">
          A start, not a rule: move by {unit === 'kg' ? '1 to 2 kg' : '2 to 4 lb'} at a time and
          judge over several sessions. Half a kilogram, or a pound, is hardly felt.
        </p>
      </section>
    </KeptForm>
  );
}
