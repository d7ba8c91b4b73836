'use client';

import { say } from '@/ui/say';
import { MESSAGE_KINDS, PLACES, type MessageKind } from '@/core/papers/messages';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { templatesEntrySchema, type TemplatesEntry } from './papers-entry';

interface TemplatesFormProps {
  readonly name: string;
  readonly version: number;
  readonly initial: TemplatesEntry;
  readonly save: (entry: TemplatesEntry) => Promise<FormAnswer>;
}

const NAMES: Readonly<Record<MessageKind, string>> = {
  ready: 'When a racket is ready',
  due: 'When its strings are due',
  receipt: 'When somebody has paid',
};

/** The workshop's own words to its clients. */
export function TemplatesForm({ name, version, initial, save }: TemplatesFormProps) {
  const form = useKeptForm<TemplatesEntry>({
    name,
    version,
    schema: templatesEntrySchema,
    initial,
    save,
    saved: () => say('The words are saved.'),
  });
  return (
    <KeptForm form={form} className="flex flex-col gap-6">
      {MESSAGE_KINDS.map((kind) => (
        <fieldset key={kind} className="flex flex-col gap-3">
          <legend className="figure mb-1 text-xl">{NAMES[kind]}</legend>
          <TextField
            label="Subject"
            {...form.field(`${kind}.subject`)}
            problem={form.formState.errors[kind]?.subject?.message}
          />
          <NoteField
            label="Text"
            rows={7}
            hint={`Put in: ${PLACES[kind].map((place) => `{${place}}`).join(' ')}. A way out stands below each message by itself.`}
            {...form.field(`${kind}.text`)}
            problem={form.formState.errors[kind]?.text?.message}
          />
        </fieldset>
      ))}
      <FormFoot form={form} action="Save the words" onlySaves />
    </KeptForm>
  );
}
