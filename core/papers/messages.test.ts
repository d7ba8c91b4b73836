import { describe, expect, it } from 'vitest';
import {
  checkTemplate,
  fillTemplate,
  mailAddressIn,
  MESSAGE_KINDS,
  PLACES,
  USUAL_TEMPLATES,
} from './messages';

describe('a message to a client', () => {
  it('has usual words that ask for nothing it lacks', () => {
    for (const kind of MESSAGE_KINDS) {
      const { subject, text } = USUAL_TEMPLATES[kind];
      expect(checkTemplate(kind, subject).ok && checkTemplate(kind, text).ok).toBe(true);
      const values = Object.fromEntries(PLACES[kind].map((place) => [place, `<${place}>`]));
      expect(fillTemplate(text, values)).not.toMatch(/[{}]/);
    }
  });

  it('says which place it does not have, and which it has', () => {
    expect(checkTemplate('receipt', 'until {due}')).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/due in braces.*\{paid\}/) as string,
    });
  });

  it('puts in a value as it is, also one that looks like a place', () => {
    expect(fillTemplate('{client}, {racket}', { client: '{racket}', racket: '$& 100' })).toBe(
      '{racket}, $& 100',
    );
  });

  // RFC 5321 allows more; these are the addresses that browsers take.
  it('finds the address in what a client gave', () => {
    expect(mailAddressIn('Tel. 555 01; ada.brill+court@mail.court.example!')).toBe(
      'ada.brill+court@mail.court.example',
    );
    for (const none of ['', '555 0100', 'ada@', '@court.example', 'ada@court'])
      expect(mailAddressIn(none)).toBeUndefined();
  });
});
