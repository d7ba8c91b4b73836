'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import { familyHours } from '@/core/advice/character';
import { notForSchema } from '@/core/strings/not-for';
import { FAMILIES, SHAPES } from '@/core/terms/family';
import { formatGauge, parseGauge } from '@/core/measure/gauge';
import { parseLength } from '@/core/measure/parsing';
import { SPORTS, type Sport } from '@/core/terms/sport';
import { formatFeet, formatMetres } from '@/core/measure/units';
import { ChoiceField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { stringEntrySchema, type StringEntry } from '@/core/strings/string-facts';

interface StringFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: StringEntry;
  readonly save: (entry: StringEntry) => Promise<FormAnswer>;
  readonly action: string;
  readonly currency: string;
}

const words = (values: readonly string[]) => values.map((value) => ({ value, text: value }));

const gaugeHint = (text: string, sport: Sport): string =>
  text
    .split(/[\s;/]+/)
    .map((word) => parseGauge(word, sport))
    .flatMap((gauge) => (gauge.ok ? [formatGauge(gauge.value)] : []))
    .join(', ') || 'Millimetres or gauge numbers, in a row: 1.25 1.30 or 16L 16.';

function setHint(text: string): string {
  const length = parseLength(text, 'm');
  return length.ok
    ? `${formatMetres(length.value)} · ${formatFeet(length.value)}`
    : '12.2, 40ft or 10 m.';
}

export function StringForm({ name, version, initial, save, action, currency }: StringFormProps) {
  const schema = useMemo(() => stringEntrySchema(currency), [currency]);
  const form = useKeptForm<StringEntry>({
    name,
    version,
    schema,
    initial,
    save,
  });
  const { control } = form;
  const [gauges, typedSport, set, typedFamily] = useWatch({
    control,
    name: ['gauges', 'sport', 'set', 'family'],
  });
  const sport = SPORTS.find((each) => each === typedSport) ?? 'tennis';
  const family = FAMILIES.find((each) => each === typedFamily) ?? 'synthetic gut';
  const [least, most] = familyHours(family, sport);
  return (
    <KeptForm form={form} className="grid max-w-2xl grid-cols-2 gap-4">
      <TextField className="col-span-2" label="String" {...form.field('name')} />
      <ChoiceField
        control={form.control}
        name="sport"
        label="Sport"
        className="col-span-2"
        options={words(SPORTS)}
      />
      <ChoiceField
        control={form.control}
        name="family"
        label="Family"
        className="col-span-2"
        options={words(FAMILIES)}
      />
      <TextField
        label="Kind"
        hint="Within its family: polyester, wound nylon, serosa …"
        {...form.field('subKind')}
      />
      <TextField label="Colour" {...form.field('colour')} />
      <ChoiceField
        control={form.control}
        name="shape"
        label="Shape"
        className="col-span-2"
        options={words(SHAPES)}
      />
      <TextField
        figure
        className="col-span-2"
        label="Thicknesses"
        hint={gaugeHint(gauges, sport)}
        {...form.field('gauges')}
      />
      <TextField figure label="Length of a set" hint={setHint(set)} {...form.field('set')} />
      <TextField figure label={`Price of a set (${currency})`} {...form.field('price')} />
      <TextField figure label="Length of a reel" placeholder="200 m" {...form.field('reel')} />
      <TextField figure label={`Price of a reel (${currency})`} {...form.field('reelPrice')} />
      <TextField
        figure
        label="A metre weighs (g)"
        hint="Where the maker says so, or ten metres on a scale."
        {...form.field('mass')}
      />
      <TextField
        figure
        label="Good for (hours of play)"
        placeholder={`${least} to ${most}`}
        hint={`Empty: ${least} to ${most} h, usual for ${family}.`}
        {...form.field('life')}
      />
      <TextField
        figure
        label="Tension left after ten hours (%)"
        hint="Measured on your own beds; empty when nobody has."
        {...form.field('holding')}
      />
      <TextField
        figure
        label="Stretch under pull (%)"
        hint="Empty goes by the family, the thickness and the pull (from memory); as measured, if you have."
        {...form.field('stretch')}
      />
      <TextField
        className="col-span-2"
        label="Who may not want it"
        hint={`Divided by commas: ${notForSchema.options.join(', ')}.`}
        {...form.field('notFor')}
      />
      <NoteField className="col-span-2" label="Notes" {...form.field('notes')} />
      <div className="col-span-2">
        <FormFoot form={form} action={action} onlySaves />
      </div>
    </KeptForm>
  );
}
