'use client';

import { Controller, useWatch } from 'react-hook-form';
import type { Bed } from '@/core/frame/bed';
import { listed } from '@/core/terms/listed';
import { METHOD_WORDS, type Method } from '@/core/terms/method';
import { possibleMethods } from '@/core/cut/methods';
import { parseRemnants } from '@/core/measure/parsing';
import { SIDES, otherSide } from '@/core/terms/ends';
import type { Path } from '@/core/path/path';
import { crossFinish } from '@/core/frame/pattern';
import type { CutSourceKind } from '@/core/cut/plan';
import { formatMetres } from '@/core/measure/units';
import { ChoiceField } from '@/ui/form/bound';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import type { KeptForm } from '@/ui/form/use-kept-form';
import type { CutEntry } from './cut-entry';

export interface KnownMachine {
  readonly id: string;
  readonly name: string;
  readonly gripperMm: number;
}

interface CutChoicesProps {
  readonly form: KeptForm<CutEntry>;
  readonly bed: Bed;
  readonly path: Path;
  readonly hybrid: boolean;
  readonly machines: readonly KnownMachine[];
  readonly choose: (method: Method) => void;
}

const SOURCE_WORDS: Record<CutSourceKind, string> = {
  'one set': 'one set',
  'two half sets': 'half a set each',
  reel: 'a reel',
  remnant: 'a remnant',
};

/** What can be cut from at all, by the number of pieces and strings. */
export const sourcesFor = (pieces: number, hybrid: boolean): readonly CutSourceKind[] => [
  ...(hybrid ? [] : ['one set' as const]),
  ...(pieces === 2 ? ['two half sets' as const] : []),
  'reel',
  'remnant',
];

/** What is chosen of a cut: method, sides, what it is cut from, and on which machine. */
export function CutChoices({ form, bed, path, hybrid, machines, choose }: CutChoicesProps) {
  const { control } = form;
  const [method, cutFrom, remnants] = useWatch({
    control,
    name: ['method', 'cutFrom', 'remnants'],
  });
  const pieces = path.pieces.length;
  const read = parseRemnants(remnants);
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-3">
      <Choice
        label="Method"
        options={possibleMethods(bed, hybrid).map((value) => ({
          value,
          text: METHOD_WORDS[value],
        }))}
        value={method}
        onChange={choose}
      />
      <Controller
        control={control}
        name="cutFrom"
        render={({ field, fieldState }) => (
          <div>
            <Choice<CutSourceKind>
              label="Cut from"
              options={sourcesFor(pieces, hybrid).map((value) => ({
                value,
                text: SOURCE_WORDS[value],
              }))}
              value={field.value}
              onChange={field.onChange}
            />
            {fieldState.error && (
              <p role="alert" className="text-warn text-sm font-medium">
                {fieldState.error.message}
              </p>
            )}
          </div>
        )}
      />
      {cutFrom === 'remnant' && (
        <TextField
          figure
          label={pieces === 2 ? 'Length at hand, or mains/crosses (m)' : 'Length at hand (m)'}
          placeholder={hybrid ? '6.2/5.9' : '11.4'}
          hint={read.ok ? listed(read.value.map(formatMetres)) : undefined}
          className="w-56"
          {...form.field('remnants')}
        />
      )}
      {method === 'two-piece' ? (
        <ChoiceField
          control={control}
          name="crossStart"
          label={path.crossesFrom === 'head' ? 'Top cross starts' : 'Bottom cross starts'}
          options={SIDES.map((value) => ({
            value,
            text: `${value}, finishing ${crossFinish(value, bed.spec.pattern.crosses)}`,
          }))}
        />
      ) : (
        <ChoiceField
          control={control}
          name="shortSide"
          label="Short side"
          options={SIDES.map((value) => ({
            value,
            text: `${value}, long side ${otherSide(value)}`,
          }))}
        />
      )}
      {machines.length > 1 && (
        <ChoiceField
          control={control}
          name="machineId"
          label="On"
          options={[
            ...machines.map(({ id, name }) => ({ value: id, text: name })),
            { value: '', text: 'whichever is free' },
          ]}
        />
      )}
    </div>
  );
}
