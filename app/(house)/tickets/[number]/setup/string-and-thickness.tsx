'use client';

import type { ReactNode } from 'react';
import { formatGauge, parseGauge } from '@/core/measure/gauge';
import { liesThere, type ShelfString } from '@/core/advice/shelf';
import { formatStringLength, type LengthSystem } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { TextField } from '@/ui/form/field';
import { ListPicker } from '@/ui/form/list-picker';
import type { StringsEntry } from './strings-entry';

interface StringAndThicknessProps {
  readonly label: string;
  /** Those of the library, and of this ticket. */
  readonly strings: readonly ShelfString[];
  /** Which of them are not in the library any more. */
  readonly gone: readonly ShelfString[];
  readonly sport: Sport;
  readonly lengthSystem: LengthSystem;
  readonly id: string;
  /** As it is typed. */
  readonly gauge: string;
  readonly supplied: boolean;
  readonly onString: (id: string) => void;
  readonly onGauge: (gauge: string) => void;
  readonly problem: string | undefined;
  readonly gaugeField: Omit<Parameters<typeof TextField>[0], 'label'>;
  readonly children?: ReactNode;
}

/** Of a form that chooses the strings of a bed. */
interface StringsForm {
  readonly set: (values: Partial<StringsEntry>) => void;
  readonly problem: (name: 'mainStringId' | 'crossStringId') => string | undefined;
  readonly field: (
    name: 'mainGauge' | 'crossGauge',
  ) => Omit<Parameters<typeof TextField>[0], 'label'>;
}

const PLACES = {
  mains: { id: 'mainStringId', gauge: 'mainGauge', supplied: 'mainSupplied' },
  crosses: { id: 'crossStringId', gauge: 'crossGauge', supplied: 'crossSupplied' },
} as const;

/** What the fields of the mains, or of the crosses, take of a form. */
export function stringOf(
  { set, problem, field }: StringsForm,
  entry: StringsEntry,
  place: keyof typeof PLACES,
) {
  const { id, gauge, supplied } = PLACES[place];
  return {
    id: entry[id],
    gauge: entry[gauge],
    supplied: entry[supplied],
    onString: (next: string) => set({ [id]: next }),
    onGauge: (next: string) => set({ [gauge]: next }),
    problem: problem(id),
    gaugeField: field(gauge),
  };
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

/** A string of the library and how thick it is; a string that is not sold so thick is taken in its middle thickness. */
export function StringAndThickness({
  label,
  strings,
  gone,
  sport,
  lengthSystem,
  id,
  gauge,
  supplied,
  onString,
  onGauge,
  problem,
  gaugeField,
  children,
}: StringAndThicknessProps) {
  const chosen = strings.find((string) => string.id === id);
  const aboutIt = !chosen
    ? 'A few letters of its name or family.'
    : gone.includes(chosen)
      ? `${chosen.family}, not in the library any more.`
      : chosen.family;
  return (
    <>
      <ListPicker
        label={label}
        options={strings.map((string) => ({
          id: string.id,
          text: string.name,
          detail: gone.includes(string) ? `${string.family}, removed` : string.family,
        }))}
        value={id}
        onChange={(next) => {
          onString(next);
          const known =
            strings.find((string) => string.id === next)?.gaugesMm.map((mm) => mm.toFixed(2)) ?? [];
          if (known.length > 0 && !known.includes(gauge))
            onGauge(known[Math.floor((known.length - 1) / 2)] ?? '');
        }}
        problem={problem}
        hint={
          <>
            {aboutIt} {children}
          </>
        }
      />
      <TextField
        figure
        label="Thickness"
        hint={gaugeHint(gauge, chosen, sport, supplied, lengthSystem)}
        {...gaugeField}
      />
    </>
  );
}
