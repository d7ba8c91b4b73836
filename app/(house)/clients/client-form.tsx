'use client';

import { ChoiceField } from '@/ui/form/bound';
import { Link } from '@/ui/link';
import { useWatch } from 'react-hook-form';
import { say } from '@/ui/say';
import type { Pick } from '@/ui/form/picker';
import { useFound } from '@/ui/form/use-found';
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
  /** For a new client: who is here already under a near name. */
  readonly near?: (typed: string) => Promise<readonly Pick[]>;
}

const NOBODY = async (): Promise<readonly Pick[]> => [];

const UNITS = [
  { value: 'house', text: 'as the workshop' },
  { value: 'kg', text: 'kg' },
  { value: 'lb', text: 'lb' },
] as const;

export function ClientForm({
  name,
  version,
  initial,
  save,
  action,
  near = NOBODY,
}: ClientFormProps) {
  const form = useKeptForm<ClientEntry>({
    name,
    version,
    schema: clientEntrySchema,
    initial,
    save,
    saved: () => say('The client is saved.'),
  });
  const typed = useWatch({ control: form.control, name: 'name' }).trim();
  const known = useFound(() => near(typed), typed, 150);
  return (
    <KeptForm form={form} className="grid max-w-xl gap-4">
      <div>
        <TextField label="Name" {...form.field('name')} />
        {known.length > 0 && (
          <p role="status" className="label mt-1">
            Here already:{' '}
            {known.map(({ id, text, detail }, i) => (
              <span key={id}>
                {i > 0 && ', '}
                <Link href={`/clients/${id}`} className="underline">
                  {text}
                </Link>
                {detail && ` (${detail})`}
              </span>
            ))}
          </p>
        )}
      </div>
      <TextField
        label="How to reach them"
        hint="Telephone or mail, as they gave it."
        {...form.field('contact')}
      />
      <NoteField label="Address, for an invoice" {...form.field('address')} />
      <ChoiceField
        control={form.control}
        name="mayWrite"
        label="Messages: ready, due, receipt"
        options={[
          { value: 'unasked', text: 'not asked' },
          { value: 'yes', text: 'they may be written to' },
          { value: 'no', text: 'they do not want any' },
        ]}
      />
      <ChoiceField
        control={form.control}
        name="unit"
        label="Tension on their papers"
        options={UNITS}
      />
      <NoteField label="Notes" {...form.field('notes')} />
      <FormFoot form={form} action={action} onlySaves />
    </KeptForm>
  );
}
