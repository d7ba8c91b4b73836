'use client';

import { say } from '@/ui/say';
import { ChoiceField } from '@/ui/form/bound';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { papersSchema, type PapersEntry } from './papers-entry';

interface PapersFormProps {
  readonly name: string;
  readonly version: number;
  readonly initial: PapersEntry;
  readonly save: (entry: PapersEntry) => Promise<FormAnswer>;
}

/** What stands on every paper, and how prices are stated. */
export function PapersForm({ name, version, initial, save }: PapersFormProps) {
  const form = useKeptForm<PapersEntry>({
    name,
    version,
    schema: papersSchema,
    initial,
    save,
    saved: () => say('The papers are saved.'),
  });
  return (
    <KeptForm form={form} className="grid grid-cols-2 gap-x-5 gap-y-4">
      <NoteField
        label="Address, line by line"
        rows={3}
        className="col-span-2"
        {...form.field('address')}
      />
      <TextField label="Country, two letters" {...form.field('country')} />
      <TextField label="Tax number" {...form.field('taxNumber')} />
      <ChoiceField
        control={form.control}
        name="prices"
        label="Prices are stated"
        className="col-span-2"
        options={[
          { value: 'with', text: 'with their tax' },
          { value: 'without', text: 'without, and tax comes on top' },
        ]}
      />
      <TextField figure label="Tax on labour (%)" {...form.field('labourTax')} />
      <TextField figure label="Tax on string (%)" {...form.field('stringTax')} />
      <TextField
        label="Figures are written as in"
        hint="A language and a place: en-GB, de-AT, ja-JP."
        {...form.field('locale')}
      />
      <div className="col-span-2">
        <FormFoot form={form} action="Save the papers" onlySaves />
      </div>
    </KeptForm>
  );
}
