import { describe, expect, it } from 'vitest';
import { studyFrame, type Bed } from '@/core/frame/bed';
import { ticketOf } from '@/core/testing/advice-case';
import { METHODS, type Method } from '@/core/terms/method';
import { frameSpec, type SpecChanges } from '@/core/testing/frame-spec';
import { planData, planText, studyData, studyText, type PlanQuestion } from './plan-report';

const READ = { head: [7, 9], throat: [7, 9], tieOff: ['6H', '8H', '6T'] };
function question(changes: SpecChanges, method: Method): PlanQuestion {
  const study = studyFrame(frameSpec(changes));
  return {
    bed: study.bed as Bed,
    study,
    choice: { method, shortSide: 'left', crossStart: 'left' },
    string: { family: 'monofilament', gaugeMm: 1.25 },
    tension: ticketOf(52, 50, 'lb'),
  };
}

describe('a plan for programs', () => {
  it('is plain data that survives being written down', () => {
    for (const method of METHODS) {
      const planned = planData(question(READ, method));
      if (!planned.ok) continue;
      const { data } = planned.value;
      expect(JSON.parse(JSON.stringify(data))).toEqual(data);
      expect(data.order).toHaveLength(16 + 19);
      expect(data.knots).toHaveLength(method === 'two-piece' ? 4 : 2);
    }
  });

  it('names what is covered, by what, and before which pull', () => {
    const planned = planData(question(READ, 'two-piece'));
    const covered = planned.ok ? planned.value.data.covered : [];
    expect(covered).toContainEqual({
      hole: '9H',
      side: 'right',
      by: '10H–8H right',
      before: 'knot of M8R',
      needs: 'C2',
    });
  });

  it('is refused with the reason when the frame does not take the method', () => {
    expect(planData(question(READ, 'bottom-up'))).toMatchObject({ ok: false });
    expect(planText('X', question(READ, 'around-the-frame'))).toMatchObject({ ok: false });
  });
});

describe('for people', () => {
  it('the plan says lengths in metres and feet, knots, and what to prepare', () => {
    const said = planText('A frame', question(READ, 'one-piece-top-cross'));
    const text = said.ok ? said.value : '';
    expect(text).toContain('A frame, one piece, top cross on the short side');
    // The top cross belongs to the short side: eighteen are left for the long one.
    expect(text).toContain('(18 crosses)');
    expect(text).toMatch(/Cut one piece: 10\.\d\d m, 3\d ft \d+ in/);
    expect(text).toContain('Covered: 7H');
  });

  it('the study says what was read, what spacing would have, and the methods', () => {
    const study = studyFrame(frameSpec({ ...READ, bridgeHoles: 6 }));
    const frame = { name: 'A frame', spec: frameSpec({ ...READ, bridgeHoles: 6 }) };
    const text = studyText(frame, study, study.bed as Bed);
    expect(text).toContain('Mains start at the throat, finish at the throat.');
    expect(text).toContain('The usual spacing would skip: head 7H 9H, throat 7T 9T.');
    expect(text).toContain('Methods: two pieces, one piece around the frame.');
    const data = studyData(frame, study, study.bed as Bed);
    expect(data.holes.filter(({ skipped }) => skipped).map(({ hole }) => hole)).toEqual([
      '7H',
      '9H',
      '9T',
      '7T',
    ]);
    expect(JSON.parse(JSON.stringify(data))).toEqual(data);
  });
});
