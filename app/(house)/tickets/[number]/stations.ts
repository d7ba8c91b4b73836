import { stopsTicket, wasLookedAt } from '@/core/counter/inspection';
import { may, type Right, type Role } from '@/core/house/role-rights';
import type { OpenTicket } from './ticket';

export interface Station {
  readonly path: 'take-in' | 'inspect' | 'frame' | 'setup' | 'cut' | 'pull' | 'hand-over';
  readonly name: string;
  readonly done: boolean;
  /** What this station waits for, when it cannot be worked yet. */
  readonly waitsFor: string | undefined;
}

/** What somebody does at each. */
export const RIGHT_AT: Readonly<Record<Station['path'], Right>> = {
  'take-in': 'take in',
  inspect: 'take in',
  frame: 'set up',
  setup: 'set up',
  cut: 'plan the cut',
  pull: 'string',
  'hand-over': 'hand over',
};

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
    { path: 'take-in', name: 'Take-in', done: true, waitsFor: undefined },
    {
      path: 'inspect',
      name: 'Inspect',
      done: wasLookedAt(ticket.inspection) && !stopped,
      waitsFor: undefined,
    },
    {
      path: 'frame',
      name: 'Frame',
      done: study?.bed !== undefined,
      waitsFor: stopped,
    },
    { path: 'setup', name: 'Setup', done: setup !== undefined, waitsFor: frame },
    {
      path: 'cut',
      name: 'Cut',
      done: choice !== undefined,
      waitsFor: strings,
    },
    { path: 'pull', name: 'Pull', done: strungWhole, waitsFor: cut },
    {
      path: 'hand-over',
      name: 'Hand over',
      done: ticket.closedAt !== null,
      waitsFor: cut,
    },
  ];
}

/** The stations that are somebody's work here. */
export const stationsFor = (open: OpenTicket, role: Role): readonly Station[] =>
  stationsOf(open).filter(({ path }) => may(role, RIGHT_AT[path]));
