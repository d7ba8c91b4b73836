'use client';

import { useMemo } from 'react';
import { useWatch } from 'react-hook-form';
import type { TensionUnit } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { ListPicker } from '@/ui/form/list-picker';
import type { Pick as Choice } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { playerSchema, type PlayerEntry } from '../player-entry';

interface PlayerFormProps {
  readonly name: string;
  readonly version: number;
  readonly sport: Sport;
  readonly unit: TensionUnit;
  readonly initial: PlayerEntry;
  /** With its usual thickness as the detail. */
  readonly strings: readonly Choice[];
  readonly benches: readonly { readonly id: string; readonly name: string }[];
  /** The bench that it was given to while they want none by name. */
  readonly given: string | undefined;
  readonly save: (entry: PlayerEntry) => Promise<FormAnswer>;
}

/** What a player always wants. */
export function PlayerForm(props: PlayerFormProps) {
  const { name, version, sport, unit, initial, strings, benches, given, save } = props;
  const schema = useMemo(() => playerSchema(sport, unit), [sport, unit]);
  const form = useKeptForm<PlayerEntry>({
    name,
    version,
    schema,
    initial,
    save,
    saved: () => say('The player is saved.'),
  });
  const { control, set, formState } = form;
  const [mainStringId, crossStringId] = useWatch({
    control,
    name: ['mainStringId', 'crossStringId'],
  });
  const picked =
    (field: 'mainStringId' | 'crossStringId', gauge: 'mainGauge' | 'crossGauge') =>
    (value: string) => {
      set({ [field]: value });
      const usual = strings.find(({ id }) => id === value)?.detail;
      if (value === '') set({ [gauge]: '' });
      else if (usual && !form.getValues(gauge)) set({ [gauge]: usual.split(' ')[0] ?? '' });
    };
  return (
    <KeptForm form={form} className="grid grid-cols-3 gap-4">
      <NoteField
        label="Standing orders"
        className="col-span-3"
        rows={3}
        hint="One a line: 2 at 24/23, every morning. Or: 1 at 52 lb, every match."
        {...form.field('orders')}
      />
      <ListPicker
        label="String"
        className="col-span-2"
        options={strings}
        value={mainStringId}
        onChange={picked('mainStringId', 'mainGauge')}
        problem={formState.errors.mainStringId?.message}
      />
      <TextField label="Thickness of the mains" {...form.field('mainGauge')} />
      <ListPicker
        label="In the crosses, if another"
        className="col-span-2"
        options={strings}
        value={crossStringId}
        onChange={picked('crossStringId', 'crossGauge')}
        problem={formState.errors.crossStringId?.message}
      />
      <TextField label="Thickness of the crosses" {...form.field('crossGauge')} />
      <TickField
        control={control}
        name="supplied"
        label="They bring the string"
        className="col-span-3"
      />
      {benches.length > 0 && (
        <ChoiceField
          control={control}
          name="benchId"
          label="Strung at"
          className="col-span-3"
          options={[
            { value: '', text: given ? `whichever is free, now ${given}` : 'whichever is free' },
            ...benches.map(({ id, name: text }) => ({ value: id, text })),
          ]}
        />
      )}
      <div className="col-span-3">
        <FormFoot form={form} action="Save what they want" onlySaves />
      </div>
    </KeptForm>
  );
}
