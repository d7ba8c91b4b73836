import { Controller } from 'react-hook-form';
import { METHOD_WORDS, METHODS } from '@/core/terms/method';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { Tick } from '@/ui/form/choice';
import { NoteField, TextField } from '@/ui/form/field';
import type { FrameEntry } from './frame-entry';
import { toggled, type FrameForm } from './use-frame-form';

interface MakerFieldsProps {
  readonly form: FrameForm['form'];
  readonly initial: FrameEntry;
}

/** What the maker says of this frame, and what the bench is to be told. */
export function MakerFields({ form, initial }: MakerFieldsProps) {
  const { control } = form;
  return (
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
        <TextField figure label="Open ports or bars" placeholder="none" {...form.field('ports')} />
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
  );
}
