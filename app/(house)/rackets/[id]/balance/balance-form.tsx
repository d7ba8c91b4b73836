'use client';

import { TickField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { balanceSchema, type BalanceEntry } from './balance-entry';

interface BalanceFormProps {
  readonly name: string;
  readonly version: number;
  readonly initial: BalanceEntry;
  readonly save: (entry: BalanceEntry) => Promise<FormAnswer>;
}

/** A racket on the scale, on the edge and on the pendulum, and what was put on since. */
export function BalanceForm({ name, version, initial, save }: BalanceFormProps) {
  const form = useKeptForm<BalanceEntry>({
    name,
    version,
    schema: balanceSchema,
    initial,
    save,
    saved: () => say('The racket is weighed.'),
  });
  return (
    <KeptForm form={form} className="grid grid-cols-3 gap-4">
      <TextField figure label="Mass (g)" {...form.field('mass')} />
      <TextField figure label="Balance (mm from the butt)" {...form.field('balance')} />
      <TextField figure label="Swing weight (kg·cm²)" {...form.field('swing')} />
      <TextField
        label="or a swing there and back (s)"
        hint="Ten swings by ten."
        {...form.field('period')}
      />
      <TextField label="Hung at (mm from the butt)" {...form.field('pivot')} />
      <TextField label="Grip" hint="L3, two sleeves" {...form.field('grip')} />
      <TickField
        control={form.control}
        name="strung"
        label="With its strings in"
        className="col-span-3"
      />
      <NoteField
        label="Put on since, one a line"
        className="col-span-3"
        rows={4}
        hint="5 g at 680 tip; 8 g 60-180 leather grip; -4 g at 20 is taken off. In mm from the butt."
        {...form.field('parts')}
      />
      <div className="col-span-3">
        <FormFoot form={form} action="Save these figures" onlySaves />
      </div>
    </KeptForm>
  );
}
