'use client';

import { useState } from 'react';
import type { StretchOf } from '@/core/advice/same-feel';
import { printedRange, type FrameSpec } from '@/core/frame/frame';
import { betweenMachines, type PullKind } from '@/core/house/machine';
import { parseTicketTension } from '@/core/measure/parsing';
import { tensionCautions } from '@/core/advice/tension';
import {
  formatTicket,
  formatTicketConverted,
  inTensionUnit,
  roundTo,
  roundToTicketStep,
  type TensionUnit,
  type TicketTension,
} from '@/core/measure/units';
import { Cautions } from '@/ui/cautions';
import { Choice } from '@/ui/form/choice';
import { TextField } from '@/ui/form/field';
import { OpensAwake } from '@/ui/form/opens-awake';
import { ListPicker } from '@/ui/form/list-picker';
import { entryOf, readString, StringEntry } from './string-entry';
import { useSameFeel } from './use-same-feel';

interface KnownFrame {
  readonly id: string;
  readonly name: string;
  readonly spec: FrameSpec;
}

interface FeelFormProps {
  readonly frames: readonly KnownFrame[];
  readonly from: {
    readonly frameId: string;
    readonly tension: string;
    readonly mains: StretchOf | undefined;
    readonly crosses: StretchOf | undefined;
  };
  readonly unit: TensionUnit;
  readonly lockOut: { readonly share: number; readonly measured: boolean };
}

const rounded = ({ mainN, crossN }: { mainN: number; crossN: number }, unit: TensionUnit) => ({
  mainN: roundToTicketStep(mainN, unit),
  crossN: roundToTicketStep(crossN, unit),
  unit,
});

/** From one frame and its tension to the tension that gives another frame a bed as stiff. */
export function FeelForm({ frames, from, unit, lockOut }: FeelFormProps) {
  const [fromId, setFromId] = useState(from.frameId);
  const [toId, setToId] = useState('');
  const [typed, setTyped] = useState(from.tension);
  const [mains, setMains] = useState(entryOf(from.mains));
  const [crosses, setCrosses] = useState(entryOf(from.crosses));
  const byId = (id: string) => frames.find((frame) => frame.id === id);
  const [before, after] = [byId(fromId), byId(toId)];
  const sport = before?.spec.sport ?? 'tennis';
  const tension = parseTicketTension(typed, sport, unit);
  const known = tension.ok ? tension.value : undefined;
  const strings = { mains: readString(mains, sport), crosses: readString(crosses, sport) };
  const strung =
    strings.mains.ok && strings.crosses.ok
      ? { mains: strings.mains.value, crosses: strings.crosses.value }
      : undefined;
  const alike = before && after && before.spec.sport === after.spec.sport;
  const answer = useSameFeel({
    from: alike ? before.spec : undefined,
    to: alike ? after.spec : undefined,
    tension: known,
    strings: strung,
  });
  const found = answer?.ok ? answer.value : undefined;
  const ticket = found && known && rounded(found, known.unit);
  const options = frames.map(({ id, name, spec }) => ({ id, text: name, detail: spec.sport }));
  return (
    <OpensAwake className="grid max-w-4xl gap-8 lg:grid-cols-2">
      <section aria-label="From and to" className="flex flex-col gap-4">
        <ListPicker
          label="They like this frame"
          options={options}
          value={fromId}
          onChange={setFromId}
        />
        <TextField
          figure
          label="At this tension"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          problem={typed.trim() !== '' && !tension.ok ? tension.problem : undefined}
          hint={
            known
              ? `${formatTicket(known)} · ${formatTicketConverted(known)}`
              : 'Mains/crosses, as on a ticket: 24/23 or 53x51 lb.'
          }
        />
        <ListPicker
          label="And now string this one"
          options={options}
          value={toId}
          onChange={setToId}
          problem={
            before && after && !alike
              ? `${after.name} is for ${after.spec.sport} and ${before.name} for ${before.spec.sport}: choose one of the same sport.`
              : undefined
          }
        />
        <details open={!strung}>
          <summary className="cursor-pointer py-1">
            {strung
              ? `Both strung with ${stringWords(strung.mains, strung.crosses)}`
              : 'Strung with'}
          </summary>
          <StringEntry label="Mains" entry={mains} sport={sport} onChange={setMains} />
          <StringEntry label="Crosses" entry={crosses} sport={sport} onChange={setCrosses} />
        </details>
      </section>
      <section aria-label="The same feel" aria-live="polite">
        <h2 className="figure text-2xl">The same stiffness of the bed</h2>
        {ticket && found && after ? (
          <>
            <p className="figure text-6xl">{formatTicket(ticket)}</p>
            <p>{formatTicketConverted(ticket)}</p>
            <p className="label mt-2">
              {found.stiffness.toFixed(1)} N/mm under a ball in the middle, on both, once the
              strings have settled by a tenth. The other frame needs{' '}
              {Math.abs(100 * (found.ratio - 1)).toFixed(1)} % {found.ratio >= 1 ? 'more' : 'less'}
              {` (${inTensionUnit(found.mainN, ticket.unit, 0.1)}/${inTensionUnit(found.crossN, ticket.unit, 0.1)} ${ticket.unit} before rounding).`}
            </p>
            <div className="mt-2">
              <Cautions
                cautions={tensionCautions(after.spec, ticket, mains.family, crosses.family)}
              />
            </div>
            {!printedRange(after.spec) && (
              <p className="label">Nobody has read the range of this frame: look in its throat.</p>
            )}
          </>
        ) : (
          <p className="label">
            {answer && !answer.ok
              ? answer.problem
              : alike && known && strung
                ? 'Working it out …'
                : 'Choose both frames and a tension.'}
          </p>
        )}
        <p className="label mt-3 max-w-prose">
          The bed as a net of strings that stretch, across each true outline, the same in both,
          under a ball that is leaned on, not hit. Friction between strings and the give of frame
          and ball are left out, so take it as a start and judge over several sessions.
        </p>
      </section>
      <Machines known={known} lockOut={lockOut} />
    </OpensAwake>
  );
}

function stringWords(mains: StretchOf, crosses: StretchOf): string {
  const words = ({ family, gaugeMm }: StretchOf) => `${family} ${gaugeMm.toFixed(2)} mm`;
  return words(mains) === words(crosses)
    ? words(mains)
    : `${words(mains)} in the mains and ${words(crosses)} in the crosses`;
}

/** The same figure on a machine that pulls differently. */
function Machines({
  known,
  lockOut,
}: {
  readonly known: TicketTension | undefined;
  readonly lockOut: FeelFormProps['lockOut'];
}) {
  const [kind, setKind] = useState<PullKind>('lock-out');
  const to: PullKind = kind === 'lock-out' ? 'constant pull' : 'lock-out';
  const move = (n: number) => betweenMachines(n, kind, to, { lockOutShare: lockOut.share });
  const ticket =
    known && rounded({ mainN: move(known.mainN), crossN: move(known.crossN) }, known.unit);
  return (
    <section aria-label="Between machines" className="lg:col-span-2">
      <h2 className="figure text-2xl">The same bed on another machine</h2>
      <div className="mt-1 flex flex-wrap items-end gap-x-8 gap-y-2">
        <Choice
          label="It was pulled on a"
          options={(['constant pull', 'lock-out'] as const).map((value) => ({
            value,
            text: value,
          }))}
          value={kind}
          onChange={setKind}
        />
        {ticket && (
          <p>
            on a {to}: <span className="figure text-3xl">{formatTicket(ticket)}</span>{' '}
            <span className="label">{formatTicketConverted(ticket)}</span>
          </p>
        )}
      </div>
      <p className="label mt-1">
        A lock-out settles {roundTo(lockOut.share * 100, 0.1)} % lower than a constant pull at the
        same figure,{' '}
        {lockOut.measured ? 'as this workshop has measured.' : 'from memory: 5 to 10 %.'}
      </p>
    </section>
  );
}
