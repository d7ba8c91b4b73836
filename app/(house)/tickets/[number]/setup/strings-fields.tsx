'use client';

import { Link } from '@/ui/link';
import { formatGauge, parseGauge } from '@/core/measure/gauge';
import { liesThere, type ShelfString } from '@/core/advice/shelf';
import { formatStringLength, type LengthSystem } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { ListPicker } from '@/ui/form/list-picker';
import type { KeptForm } from '@/ui/form/use-kept-form';
import type { SetupEntry } from './setup-entry';

interface StringsFieldsProps {
  readonly form: KeptForm<SetupEntry>;
  readonly entry: SetupEntry;
  readonly number: number;
  /** Those of the library, and of this ticket. */
  readonly strings: readonly ShelfString[];
  /** Which of them are not in the library any more. */
  readonly gone: readonly ShelfString[];
  readonly sport: Sport;
  readonly lengthSystem: LengthSystem;
}

/** What lies there of it; nothing where no shelf is kept or the client brought it. */
function thereWords(
  string: ShelfString | undefined,
  gaugeMm: number,
  supplied: boolean,
  system: LengthSystem,
): string {
  const isThere = string && liesThere(string, gaugeMm);
  if (supplied || isThere === undefined) return '';
  return isThere
    ? ` · ${formatStringLength(string?.thereMm?.[gaugeMm.toFixed(2)] ?? 0, system)} on the shelf`
    : ' · not on the shelf';
}

function gaugeHint(
  text: string,
  string: ShelfString | undefined,
  sport: Sport,
  supplied: boolean,
  system: LengthSystem,
): string {
  const gauge = parseGauge(text, sport);
  const sold = string ? `sold in ${string.gaugesMm.map((mm) => mm.toFixed(2)).join(', ')} mm` : '';
  if (!gauge.ok) return sold;
  const stocked = string?.gaugesMm.some((mm) => Math.abs(mm - gauge.value) < 0.005) ?? true;
  return `${formatGauge(gauge.value)}${stocked ? '' : ` · ${sold}`}${thereWords(string, gauge.value, supplied, system)}`;
}

/** The strings of the job, taken from a setup or by hand. */
export function StringsFields({
  form,
  entry,
  number,
  strings,
  gone,
  sport,
  lengthSystem,
}: StringsFieldsProps) {
  const { setValue, formState } = form;
  const byId = (id: string) => strings.find((string) => string.id === id);
  const mains = byId(entry.mainStringId);
  const crosses = byId(entry.crossStringId);
  const aboutIt = (string: ShelfString | undefined) => {
    if (!string) return 'A few letters of its name or family.';
    return gone.includes(string) ? `${string.family}, not in the library any more.` : string.family;
  };
  const options = strings.map((string) => ({
    id: string.id,
    text: string.name,
    detail: gone.includes(string) ? `${string.family}, removed` : string.family,
  }));
  const choose =
    (field: 'mainStringId' | 'crossStringId', gauge: 'mainGauge' | 'crossGauge') =>
    (id: string) => {
      setValue(field, id, { shouldDirty: true, shouldValidate: formState.isSubmitted });
      const known = byId(id)?.gaugesMm.map((mm) => mm.toFixed(2)) ?? [];
      if (known.length > 0 && !known.includes(entry[gauge]))
        setValue(gauge, known[Math.floor((known.length - 1) / 2)] ?? '');
    };
  return (
    <div className="grid content-start gap-x-5 gap-y-3 sm:grid-cols-[1fr_9rem]">
      <ListPicker
        label="String for the mains"
        options={options}
        value={entry.mainStringId}
        onChange={choose('mainStringId', 'mainGauge')}
        problem={form.field('mainStringId').problem}
        hint={
          <>
            {aboutIt(mains)}{' '}
            <Link href={`/strings/new?ticket=${number}`} className="underline">
              Not in the library?
            </Link>
          </>
        }
      />
      <TextField
        figure
        label="Thickness"
        hint={gaugeHint(entry.mainGauge, mains, sport, entry.mainSupplied, lengthSystem)}
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
            problem={form.field('crossStringId').problem}
            hint={aboutIt(crosses)}
          />
          <TextField
            figure
            label="Thickness"
            hint={gaugeHint(entry.crossGauge, crosses, sport, entry.crossSupplied, lengthSystem)}
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
    </div>
  );
}
