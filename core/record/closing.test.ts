import { describe, expect, it } from 'vitest';
import { NOT_LOOKED_AT } from '../counter/inspection';
import {
  askedBeforeClosing,
  closingOf,
  unanswered,
  workDone,
  type ClosingAnswers,
} from './closing';

const grip = { kind: 'grip', name: 'Grip', quantity: 1, unitMinor: 650, taxBp: 0 } as const;
const lead = { ...grip, kind: 'lead', name: 'Lead' } as const;
const SILENT: ClosingAnswers = {
  strungUnseen: false,
  look: false,
  noLook: false,
  notFromShelf: false,
  grommets: '',
  extra: [],
};
const whole = {
  stepsKept: 56,
  stepsInAll: 56,
  looked: true,
  inspection: null,
  extra: null,
  notOnShelf: [],
};
const untouched = {
  stepsKept: 0,
  stepsInAll: undefined,
  looked: false,
  inspection: { ...NOT_LOOKED_AT, grommets: [{ hole: '7H left', state: 'split' as const }] },
  extra: { lines: [grip, lead], agreed: { how: 'at the counter', day: '2026-02-03', by: 'Nell' } },
  notOnShelf: ['crosses'],
};

describe('before a job is closed', () => {
  it('nothing is asked of one that was strung step by step and looked at', () => {
    expect(askedBeforeClosing(whole)).toEqual([]);
  });

  it('each thing undone is asked, and each answer settles its own question and no other', () => {
    const questions = askedBeforeClosing(untouched);
    expect(questions.map(({ is }) => is)).toEqual([
      'steps',
      'stock',
      'look',
      'grommets',
      'extra',
      'extra',
    ]);
    expect(unanswered(questions, SILENT)).toEqual(questions);
    const answers: readonly [Partial<ClosingAnswers>, string][] = [
      [{ strungUnseen: true }, 'steps'],
      [{ notFromShelf: true }, 'stock'],
      [{ noLook: true }, 'look'],
      [{ look: true }, 'look'],
      [{ grommets: 'left' }, 'grommets'],
    ];
    for (const [answer, settled] of answers)
      expect(unanswered(questions, { ...SILENT, ...answer }).map(({ is }) => is)).toEqual(
        questions.map(({ is }) => is).filter((is) => is !== settled),
      );
    const ticked = unanswered(questions, { ...SILENT, extra: ['done', ''] });
    expect(ticked.at(-1)).toEqual({ is: 'extra', line: 1, name: 'Lead' });
  });

  it('steps are asked for while a single one is not kept', () => {
    const asked = (stepsKept: number) => askedBeforeClosing({ ...whole, stepsKept });
    expect(asked(55)).toEqual([{ is: 'steps', kept: 55, of: 56 }]);
    expect(asked(57)).toEqual([]);
  });

  it('what is not done is not billed, and stands on record', () => {
    const { extra } = untouched;
    const answers = { ...SILENT, strungUnseen: true, extra: ['done', 'not done'] as const };
    expect(workDone(extra, answers.extra)?.lines).toEqual([grip]);
    expect(workDone(null, [])).toBeNull();
    expect(closingOf(askedBeforeClosing(untouched), answers, extra)).toEqual({
      strungUnseen: true,
      grommets: null,
      notDone: ['Lead'],
      notFromShelf: [],
    });
    expect(closingOf([], answers, null).strungUnseen).toBe(false);
    const bought = { ...answers, notFromShelf: true };
    expect(closingOf(askedBeforeClosing(untouched), bought, extra).notFromShelf).toEqual([
      'crosses',
    ]);
    expect(closingOf([], bought, extra).notFromShelf).toEqual([]);
  });
});
