'use client';

import { useEffect, useMemo, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { reasonsFor, spokenAgainst } from '@/core/advice/advise';
import { caseOf } from '@/core/advice/case';
import { strungFrom } from '@/core/advice/record';
import { climb } from '@/core/advice/staircase';
import { jobPrice, toPayMinor, type HousePrices } from '@/core/counter/price';
import { planCut } from '@/core/cut/plan';
import { isHybrid } from '@/core/strings/job-string';
import { stringPrice } from '@/core/measure/money';
import { parseTicketTension } from '@/core/measure/parsing';
import type { WallTime } from '@/core/measure/promised-time';
import type { LengthSystem } from '@/core/measure/units';
import { isSettled, useAnswer } from '@/ui/form/use-found';
import { useKeptForm } from '@/ui/form/use-kept-form';
import { onTape } from '../tickets/[number]/cut/on-tape';
import {
  chosenStrings,
  jobString,
  type ChosenString,
  type ChosenStrings,
} from '../tickets/[number]/setup/chosen-strings';
import {
  NO_STRINGS,
  sameStrings,
  stringsIn,
  type StringsEntry,
} from '../tickets/[number]/setup/strings-entry';
import { bedOf, makeShortTicket, settleShortTicket } from './actions';
import type { BedToString } from './known-bed';
import { shortSchema, type ShortEntry } from './short-entry';
import { usualCut } from './usual-cut';

export interface ShortOf {
  readonly name: string;
  readonly workshopId: string;
  readonly initial: ShortEntry;
  /** The ticket that it is, where there is one already. */
  readonly ticket?:
    | {
        readonly number: number;
        readonly version: number;
        readonly given: WallTime;
        /** What was seen on it; left out where nobody has looked. */
        readonly seen: readonly string[] | undefined;
        /** Whose it is, and which racket. */
        readonly words: string;
      }
    | undefined;
  /** What is known already of the racket that it begins with. */
  readonly bed: BedToString | undefined;
  readonly now: WallTime;
  /** Who sits here, for a racket of their own; without an id they are no client yet. */
  readonly own: { readonly id: string; readonly name: string };
  readonly lengthSystem: LengthSystem;
  readonly prices: HousePrices & { readonly labourMinor: number; readonly locale: string };
}

/** With its price, for what the job costs. */
const pricedString = (chosen: ChosenString) => ({
  ...jobString(chosen),
  setPriceMinor: chosen.string.setPriceMinor,
});

/** What follows from a bed and the strings that are chosen for it: tension, cut, lengths and price. */
function workedOut(
  {
    bed,
    frame,
    unit,
    talk,
    switched,
    house,
    record,
    crossesEnd,
    learnt,
    assumptions,
    cut,
  }: BedToString,
  { mains, crosses }: ChosenStrings,
  typedTension: string,
  { lengthSystem, prices }: Pick<ShortOf, 'lengthSystem' | 'prices'>,
) {
  const about = caseOf({ bed, talk, house, record, crossesEnd });
  const strung = strungFrom({ mains, crosses });
  const advised = climb(about, strung, unit, switched).ticket;
  const typed =
    typedTension.trim() === '' ? undefined : parseTicketTension(typedTension, frame.sport, unit);
  const tension = typed === undefined ? advised : typed.ok ? typed.value : undefined;
  const strings = { mains: pricedString(mains), crosses: pricedString(crosses) };
  const { choice, cutFrom } = usualCut(bed, cut, isHybrid(strings));
  const plan = planCut(
    bed,
    {
      mains: { ...strings.mains, pullN: (tension ?? advised).mainN },
      crosses: { ...strings.crosses, pullN: (tension ?? advised).crossN },
    },
    choice,
    assumptions,
    learnt,
    house,
  );
  const priceOf = ({ string, supplied }: ChosenString) => ({
    setMinor: string.setPriceMinor,
    suppliedByClient: supplied,
  });
  const price = jobPrice({
    house: prices,
    method: choice.method,
    labourMinor: prices.labourMinor,
    stringMinor: stringPrice(priceOf(mains), priceOf(crosses)),
    ...strings,
    extra: null,
  });
  return {
    strung,
    advised,
    tension,
    choice,
    against: spokenAgainst(reasonsFor(strung, about)),
    plan,
    ...onTape(
      plan,
      {
        from: cutFrom,
        mainSetMm: mains.string.setMm,
        crossSetMm: crosses.string.setMm,
        remnantsMm: [],
      },
      house,
      lengthSystem,
    ),
    price,
    toPayMinor: toPayMinor(price),
  };
}

/** A short ticket while it is written: its form, what is known of the racket, and what follows from the choice. */
export function useShort(of: ShortOf) {
  const { name, workshopId, initial, now, ticket } = of;
  const [bed, setBed] = useState(of.bed);
  const schema = useMemo(
    () => shortSchema(now, bed && { sport: bed.frame.sport, unit: bed.unit }, ticket?.given),
    [now, bed, ticket],
  );
  const form = useKeptForm<ShortEntry>({
    name,
    version: ticket?.version,
    schema,
    initial,
    save: (entry) =>
      ticket
        ? settleShortTicket(workshopId, ticket.number, ticket.version, entry)
        : makeShortTicket(workshopId, entry),
  });
  const { control, setValue, getValues } = form;
  const entry = useWatch({ control }) as ShortEntry;
  const { racketId, frameId, clientId, again } = entry;

  const asked = `${racketId} ${frameId} ${clientId}`;
  // What the page came with is known.
  const [first] = useState(asked);
  const answer = useAnswer(
    async () => {
      if (asked === first) return of.bed ? [of.bed] : [];
      if (!racketId && !frameId) return [];
      const found = await bedOf(workshopId, {
        racketId,
        frameId,
        clientId,
        again,
        ticket: ticket ? String(ticket.number) : '',
      });
      return found ? [found] : [];
    },
    asked,
    0,
  );
  const [found] = answer.found;
  if (isSettled(answer, asked) && found !== bed) setBed(found);

  // What it was strung with last time stands there, unless somebody has chosen already.
  const [filled, setFilled] = useState<StringsEntry>(of.bed?.last ?? NO_STRINGS);
  useEffect(() => {
    const next = bed?.last ?? NO_STRINGS;
    const now = stringsIn(getValues());
    if (sameStrings(next, filled) || !sameStrings(now, filled)) return;
    for (const [field, value] of Object.entries(next)) setValue(field as keyof StringsEntry, value);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- The answer of the server has come.
    setFilled(next);
  }, [bed, filled, getValues, setValue]);

  const known = useMemo(() => [...(bed?.strings ?? []), ...(bed?.gone ?? [])], [bed]);
  const { lengthSystem, prices } = of;
  // Typing a name changes nothing of it.
  const strings = JSON.stringify(stringsIn(entry));
  const result = useMemo(() => {
    const typed = JSON.parse(strings) as StringsEntry;
    const chosen = bed && chosenStrings(typed, known, bed.frame.sport);
    return bed && chosen && workedOut(bed, chosen, typed.tension, { lengthSystem, prices });
  }, [bed, known, strings, lengthSystem, prices]);
  return {
    form,
    entry,
    bed,
    known,
    result,
    /** The racket is chosen, and what is known of it is still asked. */
    waits: (racketId !== '' || frameId !== '') && !isSettled(answer, asked),
  };
}

export type ShortState = ReturnType<typeof useShort>;
