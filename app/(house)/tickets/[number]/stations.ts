import type { OpenTicket } from './ticket';

export interface Station {
  readonly path: 'take-in' | 'frame' | 'setup' | 'cut' | 'pull' | 'hand-over';
  readonly name: string;
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
  const frame = study?.bed ? undefined : 'the frame';
  const strings = frame ?? (setup ? undefined : 'the setup');
  const cut = strings ?? (choice ? undefined : 'the cut');
  return [
    { path: 'take-in', name: 'Take-in', done: true, waitsFor: undefined },
    { path: 'frame', name: 'Frame', done: !frame, waitsFor: undefined },
    { path: 'setup', name: 'Setup', done: setup !== undefined, waitsFor: frame },
    { path: 'cut', name: 'Cut', done: choice !== undefined, waitsFor: strings },
    { path: 'pull', name: 'Pull', done: strungWhole, waitsFor: cut },
    { path: 'hand-over', name: 'Hand over', done: ticket.closedAt !== null, waitsFor: cut },
  ];
}
