import { usualGaugeMm } from '@/core/advice/strung';
import { FAMILIES, type Family } from '@/core/terms/family';
import type { StretchOf } from '@/core/advice/same-feel';
import { parseGauge } from '@/core/measure/gauge';
import { success, type Result } from '@/core/terms/result';
import type { Sport } from '@/core/terms/sport';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';

export interface StringTyped {
  readonly family: Family;
  /** Empty stands for the usual thickness. */
  readonly gauge: string;
}

export const entryOf = (string: StretchOf | undefined): StringTyped => ({
  family: string?.family ?? 'multifilament',
  gauge: string ? string.gaugeMm.toFixed(2) : '',
});

export function readString({ family, gauge }: StringTyped, sport: Sport): Result<StretchOf> {
  if (gauge.trim() === '') return success({ family, gaugeMm: usualGaugeMm(family, sport) });
  const read = parseGauge(gauge, sport);
  return read.ok ? success({ family, gaugeMm: read.value }) : read;
}

/** A family and a thickness: what a string's stretch goes by. */
export function StringEntry({
  label,
  entry,
  sport,
  onChange,
}: {
  readonly label: string;
  readonly entry: StringTyped;
  readonly sport: Sport;
  readonly onChange: (entry: StringTyped) => void;
}) {
  const read = readString(entry, sport);
  return (
    <div className="mt-2 flex flex-col gap-2">
      <Choice
        label={label}
        options={FAMILIES.map((value) => ({ value, text: value }))}
        value={entry.family}
        onChange={(family) => onChange({ ...entry, family })}
      />
      <TextField
        figure
        label={`Thickness of the ${label.toLowerCase()}`}
        value={entry.gauge}
        onChange={(event) => onChange({ ...entry, gauge: event.target.value })}
        problem={read.ok ? undefined : read.problem}
        hint={read.ok ? `${read.value.gaugeMm.toFixed(2)} mm` : undefined}
      />
    </div>
  );
}
