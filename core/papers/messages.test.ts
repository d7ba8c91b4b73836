import { describe, expect, it } from 'vitest';
import {
  checkTemplate,
  fillTemplate,
  mailAddressIn,
  MESSAGE_KINDS,
  PLACES,
  USUAL_TEMPLATES,
  whereTo,
  type Standing,
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

describe('a message that waited while its server was away', () => {
  const then: Standing = {
    name: 'Ada',
    contact: '555 01; ada@court.example',
    mayWrite: 'yes',
    isCollected: false,
    hasIt: true,
    cameAgain: false,
  };
  const now = (kind: (typeof MESSAGE_KINDS)[number], changes: Partial<Standing> = {}) =>
    Object.values(whereTo(kind, { ...then, ...changes })).join();

  it('goes to the address that its client has now', () => {
    for (const kind of MESSAGE_KINDS) expect(now(kind)).toBe('ada@court.example');
    expect(now('receipt', { contact: 'ada@new.example' })).toBe('ada@new.example');
    expect(now('ready', { contact: '555 01' })).toBe('There is no mail address of Ada any more.');
  });

  // Source: consent is as easily taken back as given, and holds from then on (GDPR, article 7(3)), from memory.
  it('goes to nobody who does not want any, whatever it says', () => {
    for (const kind of MESSAGE_KINDS) {
      expect(now(kind, { mayWrite: 'no' })).toBe('They do not want messages.');
      expect(now(kind, { mayWrite: 'unasked' })).toContain('have not said');
      expect(now(kind, { hasIt: false })).toBe('The racket is somebody else’s now.');
    }
  });

  it('says nothing that is not so any more', () => {
    expect(now('ready', { isCollected: true })).toBe('It was collected meanwhile.');
    expect(now('due', { cameAgain: true })).toBe('They came meanwhile.');
    expect(now('receipt', { isCollected: true, cameAgain: true })).toBe('ada@court.example');
    expect(now('due', { isCollected: true })).toBe('ada@court.example');
  });
});
