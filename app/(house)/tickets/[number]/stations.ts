import { stopsTicket, wasLookedAt } from '@/core/counter/inspection';
import { may, type Deed, type Role } from '@/core/house/policy';
import type { OpenTicket } from './ticket';

export interface Station {
  readonly path: 'take-in' | 'inspect' | 'frame' | 'setup' | 'cut' | 'pull' | 'hand-over';
  readonly name: string;
  /** What somebody does there. */
  readonly deed: Deed;
  readonly done: boolean;
  /** What this station waits for, when it cannot be worked yet. */
  readonly waitsFor: string | undefined;
}

/** The stations of a ticket in the order of the work. */
export function stationsOf({
  ticket,
  study,
  setup,
  choice,
  strungWhole,
}: OpenTicket): readonly Station[] {
  const stopped = stopsTicket(ticket.inspection) ? 'its owner’s word on the crack' : undefined;
  const frame = stopped ?? (study?.bed ? undefined : 'the frame');
  const strings = frame ?? (setup ? undefined : 'the setup');
  const cut = strings ?? (choice ? undefined : 'the cut');
  return [
    { path: 'take-in', name: 'Take-in', deed: 'take in', done: true, waitsFor: undefined },
    {
      path: 'inspect',
      name: 'Inspect',
      deed: 'take in',
      done: wasLookedAt(ticket.inspection) && !stopped,
      waitsFor: undefined,
    },
    {
      path: 'frame',
      name: 'Frame',
      deed: 'set up',
      done: study?.bed !== undefined,
      waitsFor: stopped,
    },
    { path: 'setup', name: 'Setup', deed: 'set up', done: setup !== undefined, waitsFor: frame },
    {
      path: 'cut',
      name: 'Cut',
      deed: 'plan the cut',
      done: choice !== undefined,
      waitsFor: strings,
    },
    { path: 'pull', name: 'Pull', deed: 'string', done: strungWhole, waitsFor: cut },
    {
      path: 'hand-over',
      name: 'Hand over',
      deed: 'hand over',
      done: ticket.closedAt !== null,
      waitsFor: cut,
    },
  ];
}

/** The stations that are somebody's work here. */
export const stationsFor = (open: OpenTicket, role: Role): readonly Station[] =>
  stationsOf(open).filter(({ deed }) => may(role, deed));
