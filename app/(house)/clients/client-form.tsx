'use client';

import { ChoiceField } from '@/ui/form/bound';
import { toast } from 'sonner';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { clientEntrySchema, type ClientEntry } from './client-entry';

interface ClientFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: ClientEntry;
  readonly save: (entry: ClientEntry) => Promise<FormAnswer>;
  readonly action: string;
}

const UNITS = [
  { value: 'house', text: 'as the workshop' },
  { value: 'kg', text: 'kg' },
  { value: 'lb', text: 'lb' },
] as const;

export function ClientForm({ name, version, initial, save, action }: ClientFormProps) {
  const form = useKeptForm<ClientEntry>({
    name,
    version,
    schema: clientEntrySchema,
    initial,
    save,
    saved: () => toast('The client is saved.'),
  });
  return (
    <KeptForm form={form} className="grid max-w-xl gap-4">
      <TextField label="Name" {...form.field('name')} />
      <TextField
        label="How to reach them"
        hint="Telephone or mail, as they gave it."
        {...form.field('contact')}
      />
      <ChoiceField
        control={form.control}
        name="unit"
        label="Tension on their papers"
        options={UNITS}
      />
      <NoteField label="Notes" {...form.field('notes')} />
      <FormFoot form={form} action={action} />
    </KeptForm>
  );
}
