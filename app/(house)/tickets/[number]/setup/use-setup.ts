'use client';

import { useMemo, useRef, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { advise, reasonsFor, spokenAgainst, type Proposal } from '@/core/advice/advise';
import { caseOf } from '@/core/advice/case';
import { strungFrom } from '@/core/advice/record';
import type { CrossesEnd, LastJob } from '@/core/advice/rule';
import type { LengthSystem } from '@/core/measure/units';
import type { ShelfString } from '@/core/advice/shelf';
import { climb } from '@/core/advice/staircase';
import { SILENT, talkWords } from '@/core/advice/talk';
import type { FrameSpec } from '@/core/frame/frame';
import { sameHouse, type HouseRules } from '@/core/house/house-rules';
import { parseTicketTension } from '@/core/measure/parsing';
import type { TensionUnit, TicketTension } from '@/core/measure/units';
import type { FormAnswer } from '@/ui/form/result';
import { useKeptForm } from '@/ui/form/use-kept-form';
import type { StrungBefore } from '@/ui/history-chart';
import { chosenStrings } from './chosen-strings';
import { setupSchema, type SetupEntry } from './setup-entry';
import { talkEntrySchema } from './talk-entry';

export interface SetupOf {
  readonly name: string;
  /** Of what it edits; left out where nothing is there yet. */
  readonly version?: number | undefined;
  readonly number: number;
  /** There is a setup to tell the client of. */
  readonly saved: boolean;
  /** What it is to be pulled at, as the ticket says. */
  readonly kept: TicketTension | undefined;
  readonly initial: SetupEntry;
  readonly strings: readonly ShelfString[];
  readonly lengthSystem: LengthSystem;
  /** Strings of this ticket that were removed since: they are not offered, and may stay. */
  readonly gone: readonly ShelfString[];
  readonly bed: { readonly spec: FrameSpec; readonly areaMm2: number };
  readonly unit: TensionUnit;
  readonly wish: string;
  readonly record: LastJob | undefined;
  /** What crosses end at on this frame, by what its hoop does. */
  readonly crossesEnd: CrossesEnd | undefined;
  readonly history: readonly StrungBefore[];
  readonly house: { readonly kept: HouseRules; readonly todays: HouseRules };
  readonly labourMinor: number;
  readonly currency: string;
  readonly save: (entry: SetupEntry) => Promise<FormAnswer>;
}

/** A setup while it is chosen: its form, the advice on what was said so far, and what taking an offer writes. */
export function useSetup({
  name,
  version,
  initial,
  strings,
  gone,
  bed,
  unit,
  record,
  crossesEnd,
  house,
  labourMinor,
  save,
}: SetupOf) {
  const { sport } = bed.spec;
  const schema = useMemo(() => setupSchema(sport, unit), [sport, unit]);
  const talkSchema = useMemo(() => talkEntrySchema(sport, unit), [sport, unit]);
  const form = useKeptForm<SetupEntry>({ name, version, schema, initial, save });
  const { control } = form;
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
  const about = caseOf({ bed, talk, house: rules, record, crossesEnd });
  const { switched } = entry;
  const { proposals, notAdvised, conflicts, tells } = advise(about, {
    shelf: strings,
    labourMinor,
    unit,
    switched,
  });

  const known = [...strings, ...gone];
  const chosen = chosenStrings(entry, known, sport);
  const ofChosen = chosen && strungFrom(chosen);
  const strung = ofChosen ?? proposals[0]?.strung;
  const staircase = strung && climb(about, strung, unit, switched);
  const against = ofChosen ? spokenAgainst(reasonsFor(ofChosen, about)) : [];
  const typed =
    entry.tension.trim() === '' ? undefined : parseTicketTension(entry.tension, sport, unit);
  const pulled = typed === undefined ? staircase?.ticket : typed.ok ? typed.value : undefined;

  const take = ({ kind, offers }: Proposal) => {
    const [forMains, forCrosses] = [offers.mains[0], offers.crosses[0]];
    if (!forMains || !forCrosses) return;
    const hybrid =
      forMains.string.id !== forCrosses.string.id || forMains.gaugeMm !== forCrosses.gaugeMm;
    form.set({
      mainStringId: forMains.string.id,
      mainGauge: forMains.gaugeMm.toFixed(2),
      hybrid,
      crossStringId: hybrid ? forCrosses.string.id : '',
      crossGauge: hybrid ? forCrosses.gaugeMm.toFixed(2) : '',
      tension: '',
    });
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
  return {
    form,
    entry,
    known,
    talk,
    words,
    asking,
    answered,
    foot,
    setups,
    taken,
    take,
    rules,
    rulesDiffer,
    about,
    last: about.last,
    advice: { proposals, notAdvised, conflicts, tells },
    against,
    staircase,
    strung,
    stringsChosen: chosen !== undefined,
    typed,
    pulled,
  };
}

export type SetupState = ReturnType<typeof useSetup>;
