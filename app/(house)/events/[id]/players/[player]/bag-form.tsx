'use client';

import { useMemo } from 'react';
import { useFieldArray, useWatch } from 'react-hook-form';
import { findFrames } from '@/app/(house)/take-in/actions';
import type { WallTime } from '@/core/measure/promised-time';
import type { TensionUnit } from '@/core/measure/units';
import type { Sport } from '@/core/terms/sport';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import { Picker } from '@/ui/form/picker';
import type { FormAnswer } from '@/ui/form/result';
import { isSettled, offered, useAnswer } from '@/ui/form/use-found';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { bagSchema, MOST_IN_BAG, type BagEntry } from '../player-entry';

interface BagFormProps {
  readonly name: string;
  /** Of the player, whose orders the lines are proposed by. */
  readonly version: number;
  readonly workshopId: string;
  readonly sport: Sport;
  readonly unit: TensionUnit;
  readonly now: WallTime;
  readonly initial: BagEntry;
  /** Those of the player that are on no ticket. */
  readonly rackets: readonly { readonly id: string; readonly text: string }[];
  /** What the match says, in words; nothing while nobody knows when it is. */
  readonly due: string | undefined;
  readonly save: (entry: BagEntry) => Promise<FormAnswer>;
}

/** A bag over the counter: a line a racket. */
export function BagForm(props: BagFormProps) {
  const { name, version, workshopId, sport, unit, now, initial, rackets, due, save } = props;
  const schema = useMemo(() => bagSchema(sport, unit, now), [sport, unit, now]);
  const form = useKeptForm<BagEntry>({
    name,
    version,
    schema,
    initial,
    save,
    saved: () => say('The bag is in.'),
  });
  const { control, formState, register } = form;
  const { fields, append, remove } = useFieldArray({ control, name: 'lines' });
  const [lines, frameId, frameLabel] = useWatch({
    control,
    name: ['lines', 'frameId', 'frameLabel'],
  });
  const frames = useAnswer(() => findFrames(workshopId, frameLabel), frameLabel, 120);
  const isNew = lines.some(({ racketId }) => !racketId);
  const chosen = lines.map(({ racketId }) => racketId);
  const last = lines.at(-1)?.tension ?? '';
  const setFrame = (frameId: string, frameLabel: string) => form.set({ frameId, frameLabel });
  return (
    <KeptForm form={form} className="flex flex-col gap-3">
      {fields.map(({ id, racketId }, i) => {
        const errors = formState.errors.lines?.[i];
        return (
          <div key={id} className="grid grid-cols-[1fr_7rem_auto] items-start gap-3">
            <label>
              <span className="label block">Racket {i + 1}</span>
              <select
                {...register(`lines.${i}.racketId`)}
                defaultValue={racketId}
                aria-invalid={errors?.racketId !== undefined}
                className="border-edge bg-sheet w-full border-b-2 px-2 py-1.5"
              >
                <option value="">a new one</option>
                {rackets
                  .filter((racket) => racket.id === chosen[i] || !chosen.includes(racket.id))
                  .map((racket) => (
                    <option key={racket.id} value={racket.id}>
                      {racket.text}
                    </option>
                  ))}
              </select>
              {errors?.racketId?.message && (
                <span role="alert" className="text-warn mt-1 block text-sm font-medium">
                  {errors.racketId.message}
                </span>
              )}
            </label>
            <TextField label={`Tension (${unit})`} figure {...form.field(`lines.${i}.tension`)} />
            <button
              type="button"
              aria-label={`Racket ${i + 1} is not in the bag`}
              disabled={fields.length === 1}
              onClick={() => remove(i)}
              className="mt-7 underline disabled:opacity-40"
            >
              Off
            </button>
          </div>
        );
      })}
      {fields.length < MOST_IN_BAG && (
        <p>
          <button
            type="button"
            className="underline"
            onClick={() =>
              append({
                requestKey: crypto.randomUUID(),
                racketId: rackets.find(({ id }) => !chosen.includes(id))?.id ?? '',
                tension: last,
              })
            }
          >
            One more
          </button>
        </p>
      )}
      {isNew && (
        <Picker
          label="Frame of the new ones"
          options={offered(frames, frameLabel)}
          settled={isSettled(frames, frameLabel)}
          text={frameLabel}
          onText={(text) => setFrame('', text)}
          onPick={({ id, text }) => setFrame(id, text)}
          addText={(typed) => `Not in the library: ${typed}`}
          onAdd={(typed) => setFrame('', typed)}
          problem={formState.errors.frameLabel?.message}
          hint={frameId ? 'From the library.' : 'A few letters of what stands on it.'}
        />
      )}
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Wanted by"
          hint={due ? `Empty: ${due}, before the match.` : 'Nobody knows yet when they play.'}
          {...form.field('promised')}
        />
        <TextField label="They ask for, besides" {...form.field('wish')} />
      </div>
      <FormFoot form={form} action="Take the bag in" />
    </KeptForm>
  );
}
