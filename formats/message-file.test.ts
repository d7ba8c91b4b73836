import { describe, expect, it } from 'vitest';
import { messageFile } from './message-file';

const AT = new Date('2026-11-26T09:05:03Z');
const message = (changes = {}) =>
  messageFile({ to: 'ada@shop.example', subject: 'Ready', text: 'It is ready.', ...changes }, AT);

/** Fields and body of a message, read by the rules of RFC 5322 (2.1) and RFC 2045 (6.8). */
function readBack(file: string) {
  const [head = '', body = ''] = file.split('\r\n\r\n');
  const fields = new Map(
    head.split('\r\n').map((line): [string, string] => {
      const at = line.indexOf(': ');
      return [line.slice(0, at), line.slice(at + 2)];
    }),
  );
  return { fields, body, text: Buffer.from(body, 'base64').toString('utf8') };
}

describe('a message as a file (RFC 5322)', () => {
  it('has its fields, its date in the form of the standard and its text', () => {
    const { fields, text } = readBack(message());
    expect(fields.get('Date')).toBe('Thu, 26 Nov 2026 09:05:03 +0000');
    expect(fields.get('To')).toBe('ada@shop.example');
    expect(fields.get('Subject')).toBe('Ready');
    expect(text).toBe('It is ready.');
  });

  it('keeps lines short (RFC 5322, 2.1.1: 78 signs) and line breaks as they were', () => {
    const long = `${'a word '.repeat(200)}\nand a second line`;
    const file = message({ text: long });
    expect(Math.max(...file.split('\r\n').map((line) => line.length))).toBeLessThanOrEqual(78);
    expect(readBack(file).text).toBe(long.replace('\n', '\r\n'));
  });

  it('writes other letters as encoded words (RFC 2047)', () => {
    const subject = readBack(message({ subject: 'Schläger ❤' })).fields.get('Subject') ?? '';
    const word = /^=\?utf-8\?B\?(.+)\?=$/.exec(subject)?.[1] ?? '';
    expect(Buffer.from(word, 'base64').toString('utf8')).toBe('Schläger ❤');
  });

  it('lets nobody write fields of their own into it', () => {
    const file = message({
      subject: 'x\r\nBcc: evil@example',
      to: 'a@b.example\r\nBcc: c@d.example',
    });
    expect(file).not.toMatch(/^Bcc/m);
  });
});
