'use client';

import { useMemo } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { say } from '@/ui/say';
import {
  HOUSE_QUESTION_NAMES,
  questionWords,
  schoolsOn,
  type HouseRules,
} from '@/core/house/house-rules';
import type { TensionUnit } from '@/core/measure/units';
import { ChoiceField, TickField } from '@/ui/form/bound';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { Pick } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { houseEntrySchema, type HouseEntry } from './house-entry';
import { CostLine, CostPicker, useSchoolCosts, type CostFrame } from './school-costs';

interface HouseFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly initial: HouseEntry;
  readonly unit: TensionUnit;
  /** As it is kept now. */
  readonly house: HouseRules;
  readonly frames: readonly Pick[];
  /** The frame on which the answers are compared. */
  readonly frame: CostFrame | undefined;
  readonly save: (entry: HouseEntry) => Promise<FormAnswer>;
}

/** Every question on which schools differ, with the reasons of each side. */
export function HouseForm({
  name,
  version,
  initial,
  unit,
  house,
  frames,
  frame,
  save,
}: HouseFormProps) {
  const schema = useMemo(() => houseEntrySchema(unit), [unit]);
  const form = useKeptForm<HouseEntry>({
    name,
    version,
    schema,
    initial,
    save,
    saved: () => say('The house rules are saved. Open jobs keep those they were begun with.'),
  });
  const { control } = form;
  const entry = useWatch({ control }) as HouseEntry;
  const costs = useSchoolCosts(frame, house);
  return (
    <KeptForm form={form} className="max-w-4xl">
      <CostPicker frames={frames} frame={frame} costs={costs} />
      {HOUSE_QUESTION_NAMES.map((question) => {
        const title = questionWords(question);
        const schools = schoolsOn(question);
        return (
          <section key={question} aria-label={title} className="border-hair border-t py-3">
            <Controller
              control={control}
              name={question}
              render={({ field }) => (
                <Choice
                  label={title}
                  options={schools.map(({ school, text }) => ({ value: school, text }))}
                  value={field.value as string}
                  onChange={field.onChange}
                />
              )}
            />
            <ul className="label mt-1">
              {schools.map(({ school, text, why }) => (
                <li key={school} className={school === entry[question] ? 'text-ink' : undefined}>
                  <span className="font-medium">{text}:</span> {why}
                  <CostLine
                    unit={unit}
                    cost={costs.costs.find(
                      (cost) => cost.question === question && cost.school === school,
                    )}
                  />
                </li>
              ))}
            </ul>
            {question === 'monofilament' && entry.monofilament === 'by a share' && (
              <TextField
                figure
                className="mt-2 max-w-48"
                label="Monofilament lower by (%)"
                {...form.field('monofilamentShare')}
              />
            )}
            {question === 'hybrid' && entry.hybrid === 'soft string higher' && (
              <TextField
                figure
                className="mt-2 max-w-48"
                label="Soft string above it by (%)"
                {...form.field('hybridShare')}
              />
            )}
          </section>
        );
      })}
      <section
        aria-label="Figures of your own"
        className="border-hair grid grid-cols-1 gap-5 border-t py-3 sm:grid-cols-2"
      >
        <TextField
          figure
          label={`Crosses against mains, a figure of your own (${unit})`}
          hint="Empty goes by the schools above; −1 pulls crosses one lower in every sport."
          {...form.field('crossesByN')}
        />
        <ChoiceField
          control={control}
          name="benchPull"
          label="The machine that most jobs are strung on"
          options={[
            { value: 'constant pull', text: 'constant pull' },
            { value: 'lock-out', text: 'lock-out' },
          ]}
        />
        <TextField
          figure
          label="A lock-out settles lower by (%)"
          hint="From memory 5 to 10. String the same frame on both, and measure."
          {...form.field('lockOutShare')}
        />
        <TextField
          figure
          label="A hoop goes out of shape by at most (mm)"
          hint="While it is strung; 4 from memory. More is said before the bench."
          {...form.field('mostOutOfShapeMm')}
        />
        <TickField
          control={control}
          name="lockOutMeasured"
          label="Measured on our own machines"
          className="self-center"
        />
      </section>
      <FormFoot form={form} action="Save the house rules" onlySaves />
    </KeptForm>
  );
}
