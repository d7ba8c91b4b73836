import { describe, expect, it } from 'vitest';
import { NOT_LOOKED_AT, type Inspection } from '@/core/counter/inspection';
import type { Role } from '@/core/house/role-rights';
import { studyFrame } from '@/core/frame/bed';
import { frameSpec } from '@/core/testing/frame-spec';
import { stationsFor, stationsOf } from './stations';
import type { ChosenStrings } from './setup/chosen-strings';
import { usualCutSource, type OpenTicket } from './ticket';

const piece = (name: string, gaugeMm = 1.25) => ({
  string: { name, family: 'monofilament' },
  gaugeMm,
  supplied: false,
});
const setup = (mains = piece('Lull'), crosses = piece('Lull')) =>
  ({ mains, crosses }) as ChosenStrings;

function open(changes: {
  study?: boolean;
  setup?: boolean;
  cut?: boolean;
  strungWhole?: boolean;
  closedAt?: Date | null;
  inspection?: Inspection;
}): OpenTicket {
  return {
    ticket: { closedAt: changes.closedAt ?? null, inspection: changes.inspection ?? null },
    choice: changes.cut && { method: 'two-piece', shortSide: 'left', crossStart: 'left' },
    study: changes.study ? studyFrame(frameSpec()) : undefined,
    setup: changes.setup ? setup() : undefined,
    strungWhole: changes.strungWhole ?? false,
  } as OpenTicket;
}

const done = (ticket: OpenTicket) =>
  stationsOf(ticket)
    .filter((station) => station.done)
    .map(({ name }) => name);
const waits = (ticket: OpenTicket) =>
  Object.fromEntries(
    stationsOf(ticket).flatMap(({ path, waitsFor }) => (waitsFor ? [[path, waitsFor]] : [])),
  );

describe('the stations of a ticket', () => {
  it('wait for one another in the order of the work', () => {
    expect(waits(open({}))).toEqual({
      setup: 'the frame',
      cut: 'the frame',
      pull: 'the frame',
      'hand-over': 'the frame',
    });
    expect(waits(open({ study: true }))).toEqual({
      cut: 'the setup',
      pull: 'the setup',
      'hand-over': 'the setup',
    });
    expect(waits(open({ study: true, setup: true }))).toEqual({
      pull: 'the cut',
      'hand-over': 'the cut',
    });
    expect(waits(open({ study: true, setup: true, cut: true }))).toEqual({});
  });

  it('are done one after the other', () => {
    expect(done(open({}))).toEqual(['Take-in']);
    expect(done(open({ study: true }))).toEqual(['Take-in', 'Frame']);
    const closed = open({ study: true, setup: true, cut: true, closedAt: new Date(0) });
    // The bench view is a help, not a gate: a job may be strung without it.
    expect(done(closed)).toEqual(['Take-in', 'Frame', 'Setup', 'Cut', 'Hand over']);
    expect(done(open({ study: true, setup: true, cut: true, strungWhole: true }))).toContain(
      'Pull',
    );
  });

  it('a frame that no longer makes a bed opens its station again', () => {
    const broken = { ...open({ setup: true }), study: studyFrame(frameSpec({ mains: 17 })) };
    expect(done(broken)).not.toContain('Frame');
    expect(waits(broken).setup).toBe('the frame');
  });
});

describe('a cracked frame', () => {
  const inspection = { ...NOT_LOOKED_AT, frame: [{ what: 'crack' as const, where: 'head' }] };

  // A cracked frame is not strung: common practice, no source.
  it('stops every station after the counter until its owner has written', () => {
    const word = 'its owner’s word on the crack';
    expect(waits(open({ study: true, setup: true, cut: true, inspection }))).toEqual({
      frame: word,
      setup: word,
      cut: word,
      pull: word,
      'hand-over': word,
    });
    const ownersWord = { text: 'I know.', day: '2026-02-03', takenBy: 'Nell' };
    const goesOn = open({ study: true, inspection: { ...inspection, ownersWord } });
    expect(waits(goesOn)).toHaveProperty('cut', 'the setup');
    expect(done(goesOn)).toContain('Inspect');
  });
});

describe('what a job is usually cut from', () => {
  it('one set for one string, two halves for a hybrid of strings or of thicknesses', () => {
    expect(usualCutSource(setup())).toBe('one set');
    expect(usualCutSource(setup(piece('Lull'), piece('Brace')))).toBe('two half sets');
    expect(usualCutSource(setup(piece('Lull', 1.25), piece('Lull', 1.3)))).toBe('two half sets');
  });
});

describe('the stations of a role', () => {
  const paths = (role: Role) => stationsFor(open({}), role).map(({ path }) => path);

  it('are those that are its work (common practice of small workshops, no source)', () => {
    expect(paths('stringer')).toEqual(paths('owner'));
    expect(paths('owner')).toHaveLength(7);
    expect(paths('counter')).toEqual(['take-in', 'inspect', 'hand-over']);
    expect(paths('learner')).toEqual(['pull']);
  });
});
