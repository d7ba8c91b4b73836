import { describe, expect, it } from 'vitest';
import {
  firstStartSchema,
  invitationSchema,
  newCode,
  newPassword,
  shortCode,
} from './identity-entry';

const FIRST = {
  name: ' Ada Marsh ',
  username: 'Ada.Marsh',
  address: ' Ada@Shop.Example ',
  password: 'four walls a ladder',
  workshop: 'The Loft',
  tensionUnit: 'kg',
  currency: 'nzd',
  timeZone: 'Pacific/Auckland',
};
const problemsOf = (entry: object) =>
  Object.fromEntries(
    (firstStartSchema.safeParse({ ...FIRST, ...entry }).error?.issues ?? []).map(
      ({ path, message }) => [path.join('.'), message],
    ),
  );

describe('what is typed at the doors', () => {
  it('is taken as it is meant', () => {
    expect(firstStartSchema.parse(FIRST)).toMatchObject({
      name: 'Ada Marsh',
      username: 'ada.marsh',
      address: 'ada@shop.example',
      currency: 'NZD',
    });
  });

  it.each([
    [{ username: 'a b' }, 'username', /Letters, digits/],
    [{ username: 'ab' }, 'username', /three letters or more/],
    [{ address: 'ada' }, 'address', /looks like/],
    [{ password: 'short' }, 'password', /12 signs or more/],
    [{ currency: 'florins' }, 'currency', /three letters/],
    [{ timeZone: 'Mars/Olympus' }, 'timeZone', /Europe\/Lisbon/],
    [{ workshop: ' ' }, 'workshop', /what the workshop is called/],
    [{ tensionUnit: 'stone' }, 'tensionUnit', /./],
  ])('says at its field what would be right: %j', (entry, field, sentence) => {
    expect(problemsOf(entry)[field]).toMatch(sentence);
  });

  it('takes any sign in a password, and 12 to 128 of them (NIST SP 800-63B, 5.1.1.2; ASVS 4.0.3, 2.1)', () => {
    for (const good of ['x'.repeat(12), 'x'.repeat(128), 'ключ от двери 鍵', ' spaces inside it '])
      expect(newPassword.safeParse(good).success).toBe(true);
    for (const bad of ['x'.repeat(11), 'x'.repeat(129)])
      expect(newPassword.safeParse(bad).success).toBe(false);
  });

  it('takes four to eight digits as a code, and nothing else', () => {
    for (const good of ['4071', '00000000']) expect(shortCode.safeParse(good).success).toBe(true);
    for (const bad of ['407', '123456789', '12a4', ' 4071', '٤٠٧١'])
      expect(shortCode.safeParse(bad).success).toBe(false);
    // What is tried first is chosen by nobody.
    for (const guessed of ['0000', '1111', '1234', '4321', '98765', '7890'])
      expect([guessed, newCode.safeParse(guessed).success]).toEqual([guessed, false]);
    for (const good of ['4071', '1235', '1357', '2468'])
      expect([good, newCode.safeParse(good).success]).toEqual([good, true]);
  });

  it('knows no other role', () => {
    const person = { name: 'A', address: 'a@b.example' };
    expect(invitationSchema.safeParse({ ...person, role: 'counter' }).success).toBe(true);
    expect(invitationSchema.safeParse({ ...person, role: 'admin' }).success).toBe(false);
  });
});
