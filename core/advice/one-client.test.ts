import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  mergedClient,
  mergeQuestions,
  NOTHING_KNOWN,
  USUAL_MERGE,
  type KnownClient,
  type MergeChoices,
} from './one-client';
import { SILENT, type Talk } from './talk';

const client = (facts: Partial<KnownClient> = {}): KnownClient => ({
  ...NOTHING_KNOWN,
  name: 'Wenna Marlow',
  ...facts,
});
const says = (talk: Partial<Talk>): Talk => ({ ...SILENT, ...talk });

describe('two clients who are one', () => {
  it('the sore arm of either stays, whatever is chosen', () => {
    const arms = [null, 'well', 'before', 'now'] as const;
    for (const a of arms)
      for (const b of arms)
        for (const talk of ['kept', 'other'] as const) {
          const { talk: both } = mergedClient(
            client({ talk: says({ arm: a, level: 'club' }) }),
            client({ talk: says({ arm: b, armPart: b && b !== 'well' ? 'elbow' : null }) }),
            { ...USUAL_MERGE, talk },
          );
          expect(arms.indexOf(both?.arm ?? null)).toBe(Math.max(arms.indexOf(a), arms.indexOf(b)));
          if (b === 'now') expect(both?.armPart).toBe('elbow');
        }
  });

  it('notes of both stay, and a second sore part of the arm is noted', () => {
    const kept = client({ notes: 'left-handed', talk: says({ arm: 'now', armPart: 'wrist' }) });
    const other = client({
      name: 'W. Marlow',
      notes: 'Sore arm left: never above 23.',
      talk: says({ arm: 'before', armPart: 'elbow' }),
    });
    const merged = mergedClient(kept, other, USUAL_MERGE);
    expect(merged.notes).toBe(
      'left-handed\nSore arm left: never above 23.\nW. Marlow: elbow was sore.',
    );
    expect(merged.talk).toMatchObject({ arm: 'now', armPart: 'wrist' });
    expect(mergedClient(kept, { ...other, notes: 'left-handed' }, USUAL_MERGE).notes).toBe(
      'left-handed\nW. Marlow: elbow was sore.',
    );
  });

  it('asks only where both say something and it differs', () => {
    const kept = client({ contact: '555 01', tensionUnit: 'kg', talk: says({ level: 'club' }) });
    expect(
      mergeQuestions(kept, client({ address: 'Quay 1', talk: says({ age: 'older' }) })),
    ).toEqual([]);
    const other = client({
      contact: 'wenna@post.example',
      tensionUnit: 'lb',
      talk: says({ level: 'advanced', arm: 'now' }),
    });
    expect(mergeQuestions(kept, other).map(({ field }) => field)).toEqual([
      'contact',
      'tensionUnit',
      'talk',
    ]);
    expect(mergedClient(kept, other, USUAL_MERGE)).toMatchObject({
      contact: '555 01, wenna@post.example',
      tensionUnit: 'kg',
    });
    expect(
      mergedClient(kept, other, {
        contact: 'other',
        address: 'kept',
        tensionUnit: 'other',
        talk: 'other',
      }),
    ).toMatchObject({
      contact: 'wenna@post.example',
      tensionUnit: 'lb',
      talk: { level: 'advanced', arm: 'now' },
    });
  });

  it('whoever wants no messages gets none', () => {
    const of = (a: KnownClient['mayWrite'], b: KnownClient['mayWrite']) =>
      mergedClient(client({ mayWrite: a }), client({ mayWrite: b }), USUAL_MERGE).mayWrite;
    expect([
      of('yes', 'no'),
      of('no', 'yes'),
      of('unasked', 'yes'),
      of('unasked', 'unasked'),
    ]).toEqual(['no', 'no', 'yes', 'unasked']);
  });

  it('nothing that one of them says is lost where the other is silent', () => {
    const text = fc.constantFrom('', 'one', 'two');
    const any = fc.record({
      contact: text,
      address: text,
      notes: text,
      tensionUnit: fc.constantFrom(null, 'kg' as const, 'lb' as const),
      talk: fc.constantFrom(
        null,
        says({ level: 'club' }),
        says({ playsAWeek: 3, wants: ['spin'] }),
      ),
    });
    fc.assert(
      fc.property(any, any, (a, b) => {
        const merged = mergedClient(client(a), client(b), USUAL_MERGE);
        for (const field of ['contact', 'address', 'notes'] as const) {
          if (a[field]) expect(merged[field]).toContain(a[field]);
          if (b[field] && (field !== 'address' || !a[field]))
            expect(merged[field]).toContain(b[field]);
        }
        if (a.tensionUnit ?? b.tensionUnit) expect(merged.tensionUnit).not.toBeNull();
        for (const talk of [a.talk, b.talk])
          if (talk?.playsAWeek) expect(merged.talk?.playsAWeek).toBe(3);
      }),
    );
  });

  it('a contact that is too long for two keeps the second among the notes', () => {
    const [long, other] = ['a'.repeat(150), 'b'.repeat(150)];
    const choices: MergeChoices = USUAL_MERGE;
    const merged = mergedClient(client({ contact: long }), client({ contact: other }), choices);
    expect(merged.contact).toBe(long);
    expect(merged.notes).toBe(other);
  });
});
