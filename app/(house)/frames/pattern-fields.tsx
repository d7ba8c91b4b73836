import { Controller } from 'react-hook-form';
import { OUTLINE_FAMILIES } from '@/core/frame/outline';
import type { TensionUnit } from '@/core/measure/units';
import type { End } from '@/core/terms/ends';
import { SPORTS, type Sport } from '@/core/terms/sport';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import { emptyFrameEntry, OUTLINES, rangeHint } from './frame-entry';
import type { FrameForm } from './use-frame-form';

const OUTLINE_CHOICES = OUTLINES.map((value) => ({
  value,
  text: OUTLINE_FAMILIES.includes(value as never) ? value : 'by widths',
}));

interface PatternFieldsProps {
  readonly frame: FrameForm;
  readonly houseUnit: TensionUnit;
}

/** The frame's name, the size and shape of its head, and its holes as they are counted. */
export function PatternFields({
  frame: { form, entry, bed, beyondLimits },
  houseUnit,
}: PatternFieldsProps) {
  const { control, getValues, reset } = form;
  const proposed = bed?.proposedSkips;
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
      {(beyondLimits || entry.ownerInsists) && (
        <TickField
          control={control}
          name="ownerInsists"
          label="The owner knows that it is not legal for play and wants it strung"
          className="col-span-6"
        />
      )}
      <ChoiceField
        control={control}
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
  );
}
