'use client';

import { useMemo, useState } from 'react';
import { Controller, useWatch } from 'react-hook-form';
import { studyFrame } from '@/core/frame/bed';
import type { FrameSpec } from '@/core/frame/frame';
import { AMOUNTS, NOTHING_SEEN } from '@/core/reading/seen';
import { bedFacts } from '@/core/reading/signs';
import { ReadingDrawing } from '@/ui/bed/reading-drawing';
import { READING_MODES, type ReadingMode } from '@/ui/bed/reading-places';
import { Ask, AskMany } from '@/ui/form/ask';
import { Choice } from '@/ui/form/choice';
import { NoteField, TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { say } from '@/ui/say';
import { PhotoBow } from './photo-bow';
import { ReadingPanel } from './reading-panel';
import { NOTHING_TYPED, pressed, asFarAsRead, seenSchema, type SeenEntry } from './seen-entry';

interface ReadingDeskProps {
  readonly name: string;
  readonly spec: FrameSpec;
  /** What the bed should ring at, where it is known; as it is typed. */
  readonly setHz: string;
  readonly save: (entry: SeenEntry) => Promise<FormAnswer>;
}

const MODES: Readonly<Record<ReadingMode, { readonly text: string; readonly how: string }>> = {
  knots: {
    text: 'knots',
    how: 'Press each hole with a knot; again for a knot of the mains, of the crosses, none.',
  },
  mains: { text: 'mains', how: 'Press each main that is of the crosses’ string.' },
  gaps: { text: 'gaps', how: 'Press a gap that is too wide; again for too narrow, even.' },
  weave: { text: 'weave', how: 'Press each crossing that does not alternate.' },
};

const answers = <T extends string>(...texts: readonly (readonly [T, string])[]) =>
  texts.map(([value, text]) => ({ value, text }));
const amounts = AMOUNTS.map((value) => ({ value, text: value as string }));

/** A finished bed, gone over with a ruler and an eye; what it tells stands beside it at once. */
export function ReadingDesk({ name, spec, setHz, save }: ReadingDeskProps) {
  const form = useKeptForm<SeenEntry>({
    name,
    schema: seenSchema,
    initial: { ...NOTHING_TYPED, setHz },
    save,
    saved: () => say('The reading is kept.'),
  });
  const [mode, setMode] = useState<ReadingMode>('knots');
  const bed = useMemo(() => studyFrame(spec).bed, [spec]);
  const entry = useWatch({ control: form.control }) as SeenEntry;
  if (!bed) return null;
  const seen = asFarAsRead(entry) ?? NOTHING_SEEN;
  const press = (key: string) => {
    const now = form.getValues();
    form.set(pressed(now, mode, key));
    if (!now.looked.includes(mode)) form.set({ looked: [...now.looked, mode] });
  };
  const ask = <T extends string>(
    field: 'crossTowards' | 'mainTowards' | 'looseCrosses' | 'marks' | 'notches' | 'runs',
    label: string,
    options: readonly { readonly value: T; readonly text: string }[],
  ) => (
    <Controller
      control={form.control}
      name={field}
      render={({ field: { value, onChange } }) => (
        <Ask<T> label={label} options={options} value={value as T | ''} onChange={onChange} />
      )}
    />
  );
  return (
    <div className="grid gap-10 lg:grid-cols-[1.25fr_1fr]">
      <KeptForm form={form} className="flex flex-col gap-3">
        <div className="grid gap-6 sm:grid-cols-2">
          <div>
            <Choice
              label="A press marks"
              options={READING_MODES.map((each) => ({ value: each, text: MODES[each].text }))}
              value={mode}
              onChange={setMode}
            />
            <p className="label mt-1">{MODES[mode].how}</p>
            <ReadingDrawing
              bed={bed}
              mode={mode}
              seen={{
                crossBow: seen.crossBow,
                mainBow: seen.mainBow,
                knots: entry.knots,
                otherMains: entry.otherMains,
                gaps: entry.gaps,
                weaveFaults: entry.weaveFaults,
              }}
              onPress={press}
            />
          </div>
          <div className="flex flex-col gap-3">
            <Controller
              control={form.control}
              name="looked"
              render={({ field }) => (
                <AskMany
                  label="Gone over"
                  options={READING_MODES.map((each) => ({ value: each, text: MODES[each].text }))}
                  value={field.value}
                  onChange={field.onChange}
                />
              )}
            />
            <p className="label">
              What was not gone over proves nothing; what was, has only what is marked.
            </p>
            {ask(
              'crossTowards',
              'Crosses bow',
              answers(
                ['head', 'to the head'],
                ['throat', 'to the throat'],
                ['neither', 'not at all'],
              ),
            )}
            {(entry.crossTowards === 'head' || entry.crossTowards === 'throat') && (
              <TextField figure label="By (mm, at the middle)" {...form.field('crossMm')} />
            )}
            <PhotoBow
              bed={bed}
              onBow={({ towards, mm }) => form.set({ crossTowards: towards, crossMm: String(mm) })}
            />
            {ask(
              'mainTowards',
              'Mains bow',
              answers(
                ['left', 'to the left'],
                ['right', 'to the right'],
                ['neither', 'not at all'],
              ),
            )}
            {(entry.mainTowards === 'left' || entry.mainTowards === 'right') && (
              <TextField figure label="By (mm, at their middle)" {...form.field('mainMm')} />
            )}
            {ask('looseCrosses', 'Loose crosses', amounts)}
            {ask('marks', 'Tooth marks', amounts)}
            {ask('notches', 'Notches', amounts)}
            {ask(
              'runs',
              'Runs outside',
              answers(
                ['flat', 'flat'],
                ['crossing', 'crossing'],
                ['leaping', 'over the open throat'],
              ),
            )}
            <div className="grid grid-cols-3 gap-3">
              <TextField figure label="Mains there" {...form.field('mains')} />
              <TextField figure label="Rings at (Hz)" {...form.field('hz')} />
              <TextField figure label="Was set to (Hz)" {...form.field('setHz')} />
            </div>
            <NoteField
              label="Mains, left and right (Hz)"
              rows={3}
              hint="From the centre outwards, a pair a line: 612 598. Three pairs and more count."
              {...form.field('pairs')}
            />
          </div>
        </div>
        <FormFoot form={form} action="Keep this reading" />
      </KeptForm>
      <div>
        <ReadingPanel seen={seen} facts={bedFacts(bed)} />
      </div>
    </div>
  );
}
