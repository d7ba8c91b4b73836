'use client';

import clsx from 'clsx';
import Link from 'next/link';
import { useMemo, useRef, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { advise, reasonsFor, spokenAgainst, type Proposal } from '@/core/advice/advise';
import { caseOf } from '@/core/advice/case';
import { strungFrom } from '@/core/advice/record';
import type { LastJob } from '@/core/advice/rule';
import type { ShelfString } from '@/core/advice/shelf';
import { climb } from '@/core/advice/staircase';
import type { FrameSpec } from '@/core/frame/frame';
import { parseGauge } from '@/core/measure/gauge';
import { sameHouse, type HouseRules } from '@/core/house/house-rules';
import { parseTicketTension } from '@/core/measure/parsing';
import { SILENT, talkWords } from '@/core/advice/talk';
import { tensionCautions } from '@/core/advice/tension';
import type { TensionUnit } from '@/core/measure/units';
import { Cautions } from '@/ui/cautions';
import { HistoryChart, type StrungBefore } from '@/ui/history-chart';
import { TickField } from '@/ui/form/bound';
import { TextField } from '@/ui/form/field';
import { FormFoot } from '@/ui/form/form-foot';
import { KeptForm } from '@/ui/form/kept-form';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { Figures } from './figures';
import { SetupChoices } from './setup-choices';
import { setupSchema, type SetupEntry } from './setup-entry';
import { StaircaseView } from './staircase-view';
import { StringsFields } from './strings-fields';
import { talkEntrySchema } from './talk-entry';
import { TalkPanel } from './talk-panel';

interface SetupFormProps {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly number: number;
  /** There is a setup to tell the client of. */
  readonly saved: boolean;
  readonly initial: SetupEntry;
  readonly strings: readonly ShelfString[];
  readonly bed: { readonly spec: FrameSpec; readonly areaMm2: number };
  readonly unit: TensionUnit;
  readonly wish: string;
  readonly record: LastJob | undefined;
  readonly history: readonly StrungBefore[];
  readonly house: { readonly kept: HouseRules; readonly todays: HouseRules };
  readonly labourMinor: number;
  readonly currency: string;
  readonly save: (entry: SetupEntry) => Promise<FormAnswer>;
}

/** The judgement that clients pay for: the talk, why the figures are what they are, and what to choose from. */
export function SetupForm({
  name,
  version,
  number,
  saved,
  initial,
  strings,
  bed,
  unit,
  wish,
  record,
  history,
  house,
  labourMinor,
  currency,
  save,
}: SetupFormProps) {
  const { spec } = bed;
  const { sport } = spec;
  const schema = useMemo(() => setupSchema(sport, unit), [sport, unit]);
  const talkSchema = useMemo(() => talkEntrySchema(sport, unit), [sport, unit]);
  const form = useKeptForm<SetupEntry>({ name, version, schema, initial, save });
  const { control, setValue } = form;
  const entry = useWatch({ control }) as SetupEntry;
  const [taken, setTaken] = useState<string>();
  const foot = useRef<HTMLDivElement>(null);
  const setups = useRef<HTMLDivElement>(null);

  // A figure that cannot be read yet leaves the talk as it was a moment ago.
  const readTalk = talkSchema.safeParse(entry.talk);
  const [lastTalk, setLastTalk] = useState(readTalk.data ?? SILENT);
  const talk = readTalk.data ?? lastTalk;
  if (readTalk.success && JSON.stringify(readTalk.data) !== JSON.stringify(lastTalk))
    setLastTalk(readTalk.data);
  const words = talkWords(talk, sport);
  const [asking, setAsking] = useState(words === '');

  const rules = entry.todaysRules ? house.todays : house.kept;
  const about = caseOf({ bed, talk, house: rules, record });
  const { switched } = entry;
  const { proposals, notAdvised, conflicts, tells } = advise(about, {
    shelf: strings,
    labourMinor,
    unit,
    switched,
  });

  const chosen = (id: string, gauge: string) => {
    const string = strings.find((each) => each.id === id);
    const thickness = parseGauge(gauge, sport);
    return string && thickness.ok ? { string, gaugeMm: thickness.value } : undefined;
  };
  const mains = chosen(entry.mainStringId, entry.mainGauge);
  const crosses = entry.hybrid ? chosen(entry.crossStringId, entry.crossGauge) : mains;
  const strung = mains && crosses ? strungFrom({ mains, crosses }) : proposals[0]?.strung;
  const staircase = strung && climb(about, strung, unit, switched);
  const against =
    mains && crosses ? spokenAgainst(reasonsFor(strungFrom({ mains, crosses }), about)) : [];
  const typed =
    entry.tension.trim() === '' ? undefined : parseTicketTension(entry.tension, sport, unit);
  const pulled = typed === undefined ? staircase?.ticket : typed.ok ? typed.value : undefined;

  const take = ({ kind, offers }: Proposal) => {
    const [forMains, forCrosses] = [offers.mains[0], offers.crosses[0]];
    if (!forMains || !forCrosses) return;
    const hybrid =
      forMains.string.id !== forCrosses.string.id || forMains.gaugeMm !== forCrosses.gaugeMm;
    const facts = {
      mainStringId: forMains.string.id,
      mainGauge: forMains.gaugeMm.toFixed(2),
      hybrid,
      crossStringId: hybrid ? forCrosses.string.id : '',
      crossGauge: hybrid ? forCrosses.gaugeMm.toFixed(2) : '',
      tension: '',
    } as const;
    for (const field of Object.keys(facts) as (keyof typeof facts)[])
      setValue(field, facts[field], { shouldDirty: true });
    setTaken(kind.name);
    setAsking(false);
    // What is not advised asks for a word first.
    if (!notAdvised.some((each) => each.kind.name === kind.name))
      foot.current?.querySelector<HTMLButtonElement>('button[type=submit]')?.focus();
  };
  // After the last question the keyboard stands on the first setup.
  const answered = (open: boolean) => {
    setAsking(open);
    if (!open) setups.current?.querySelector<HTMLButtonElement>('button[aria-pressed]')?.focus();
  };
  const rulesDiffer = !sameHouse(house.kept, house.todays);

  return (
    <KeptForm form={form} className="flex flex-col gap-6">
      {staircase && (
        <Figures
          form={form}
          advised={staircase.ticket}
          typed={typed}
          last={about.last}
          house={rules}
        >
          <div ref={foot}>
            <FormFoot inRow form={form} action="Save and go to the cut" />
          </div>
        </Figures>
      )}
      {against.length > 0 && (
        <div className="bg-warn-wash px-3 py-2">
          {against.map(({ id, title, why }) => (
            <p key={id} className="font-medium">
              Not advised. {title}: {why}
            </p>
          ))}
          <TextField
            className="mt-1 max-w-2xl"
            label="Your own word for it"
            hint="Why it is strung so all the same; it goes on record."
            {...form.field('ownWord')}
          />
        </div>
      )}
      <div
        className={clsx(
          'grid items-start gap-x-8 gap-y-6',
          asking || form.formState.errors.talk
            ? 'lg:grid-cols-[21rem_1fr] xl:grid-cols-[21rem_1fr_19rem]'
            : 'lg:grid-cols-[14rem_1fr] xl:grid-cols-[14rem_1fr_22rem]',
        )}
      >
        <TalkPanel
          form={form}
          sport={sport}
          words={words}
          // A sentence about an answer must be in sight.
          open={asking || form.formState.errors.talk !== undefined}
          onOpen={answered}
          autoFocus={!saved && taken === undefined}
          lastIsKnown={record !== undefined}
          wish={wish}
          armSaid={talk.arm === 'now' || talk.arm === 'before'}
        />
        <section aria-label="Why these figures" className="min-w-0">
          <h2 className="figure text-2xl">Why these figures</h2>
          {conflicts.length > 0 && (
            <ul aria-label="Conflicts" className="mb-2 flex flex-col gap-1">
              {conflicts.map(({ id, sentence, decidedBy }) => (
                <li key={id} className="border-ink border-l-2 pl-3 text-sm">
                  {sentence} <span className="label">Decided by: {decidedBy}.</span>
                </li>
              ))}
            </ul>
          )}
          {staircase && (
            <StaircaseView
              staircase={staircase}
              unit={unit}
              onSwitch={(id, on) =>
                setValue('switched', { ...switched, [id]: on }, { shouldDirty: true })
              }
            />
          )}
          {!mains && strung && (
            <p className="label">For the first setup, until strings are chosen.</p>
          )}
          {tells.length > 0 && (
            <ul aria-label="Worth knowing" className="mt-2 text-sm">
              {tells.map(({ id, title, why }) => (
                <li key={id}>
                  <span className="font-medium">{title}.</span> {why}
                </li>
              ))}
            </ul>
          )}
          {rulesDiffer && (
            <div className="mt-2">
              <p className="label">
                This job keeps the house rules it was begun with; they were changed since.
              </p>
              <TickField
                control={control}
                name="todaysRules"
                label="Use the house rules of today"
              />
            </div>
          )}
          {history.length > 0 && <HistoryChart jobs={history} unit={unit} className="mt-4" />}
          <p className="mt-2 flex flex-wrap gap-x-5 text-sm">
            <Link href={`/same-feel?ticket=${number}`} className="underline">
              Same feel on another racket
            </Link>
            <Link href="/workshop/house-rules" className="underline">
              House rules
            </Link>
            {saved && (
              <Link href={`/why/${number}`} className="underline">
                Words for the client
              </Link>
            )}
          </p>
        </section>
        <div ref={setups}>
          <SetupChoices
            proposals={proposals}
            notAdvised={notAdvised}
            taken={taken}
            currency={currency}
            knownBefore={Boolean(about.last?.strung)}
            onTake={take}
          />
        </div>
      </div>
      <div className="max-w-3xl">
        <h2 className="figure mb-2 text-2xl">What it will be strung with</h2>
        <StringsFields form={form} entry={entry} number={number} strings={strings} sport={sport} />
        <div className="mt-4">
          <Cautions
            cautions={
              pulled && strung
                ? tensionCautions(spec, pulled, strung.mains.family, strung.crosses.family)
                : []
            }
          />
        </div>
      </div>
    </KeptForm>
  );
}
