import { describe, expect, it } from 'vitest';
import { failure, success } from '../terms/result';
import { lineText, nameText, noteText, optionalTyped, typed } from './typed';

const even = (text: string) =>
  /^\d*[02468]$/.test(text) ? success(Number(text)) : failure('count.unread');

describe('reading what is typed', () => {
  it('gives the value, or the parser’s own sentence', () => {
    expect(typed(even).parse('12')).toBe(12);
    expect(typed(even).safeParse('13').error?.issues[0]?.message).toBe(
      'Write a whole number, as counted: 16.',
    );
  });
  it('takes an empty text as nothing said only where that is allowed', () => {
    expect(optionalTyped(even).parse('  ')).toBeNull();
    expect(optionalTyped(even).parse('8')).toBe(8);
    expect(typed(even).safeParse('').success).toBe(false);
    expect(optionalTyped(even).safeParse('x').success).toBe(false);
  });
});

describe('words', () => {
  it('keep every script, and lose only what is no letter', () => {
    expect(nameText('a name').parse("  Niamh O'Skerry 🎾 ليلى ")).toBe("Niamh O'Skerry 🎾 ليلى");
    expect(noteText.parse('two\nlines\tand a tab')).toBe('two\nlines\tand a tab');
    expect(lineText('the mark').parse('A\u0000B\u0007')).toBe('AB');
  });
  it('have a sentence for nothing and for too much', () => {
    expect(nameText('a name').safeParse(' \u0000 ').error?.issues[0]?.message).toBe('Give a name.');
    expect(nameText('a name').safeParse('x'.repeat(121)).error?.issues[0]?.message).toContain(
      '120',
    );
    expect(lineText('the mark').safeParse('x'.repeat(201)).error?.issues[0]?.message).toContain(
      '200',
    );
    expect(noteText.safeParse('x'.repeat(10_000)).error?.issues[0]?.message).toContain('4000');
    expect(noteText.parse('x'.repeat(4000))).toHaveLength(4000);
  });
});
