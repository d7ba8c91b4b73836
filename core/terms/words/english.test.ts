import { IntlMessageFormat } from 'intl-messageformat';
import { describe, expect, expectTypeOf, it } from 'vitest';
import { ENGLISH, english, message, sentence } from './english';
import type { NamesIn } from './message';

describe('the sentences', () => {
  it('can all be read, and none says nothing', () => {
    for (const [key, text] of Object.entries(ENGLISH)) {
      expect(() => new IntlMessageFormat(text, 'en'), key).not.toThrow();
      expect(text.trim(), key).not.toBe('');
    }
  });

  it('ask for their values by name', () => {
    expectTypeOf<NamesIn<'Pull {string}'>>().toEqualTypeOf<'string'>();
    expectTypeOf<NamesIn<'Look'>>().toEqualTypeOf<never>();
    expectTypeOf<
      NamesIn<'{who} has {count, plural, one {# knot} other {# knots}}'>
    >().toEqualTypeOf<'who' | 'count'>();
    // @ts-expect-error A value that is missing does not compile.
    message('step.pull', {});
    // @ts-expect-error Nor does a sentence that is not there.
    message('step.fly');
  });

  it('go on from clause to clause', () => {
    const words = [message('step.pull', { string: 'C9' }), message('clause.straighten')];
    expect(english(words)).toBe('Pull C9; straighten it while it is under pull');
    expect(english([])).toBe('');
  });

  it('list what is several, and choose by what they are about', () => {
    expect(english(message('step.pull.weave', { woven: ['C3', 'C4'], string: 'C3' }))).toBe(
      'Weave C3 and C4; pull C3',
    );
    expect(english(message('way.begin again', { piece: 'whole' }))).toBe(
      'Begin the whole bed again with a new length',
    );
    expect(english(message('way.begin again', { piece: 'crosses' }))).toBe(
      'Begin the crosses again with a new length',
    );
  });

  it('begin with a capital and end with a stop where clauses make one', () => {
    const draw = message('undo.draw out', { strings: ['M2L'] });
    expect(sentence([message('undo.let down'), draw])).toBe(
      'Let the head down slowly, draw M2L out.',
    );
  });
});
