import { expect, it } from 'vitest';
import { isGuessable } from './guessable';

// From lists of common passwords as they are published, twelve signs or more; from memory.
const COMMON = [
  'password1234',
  'passwordpassword',
  'qwertyuiop123',
  '123456789012',
  '1q2w3e4r5t6y',
  'iloveyou1234',
  'aaaaaaaaaaaa',
  'abcdefghijkl',
  'P@ssw0rd2024',
  'letmeinletmein',
  'trustno1trustno1',
  '111111111111',
];

it('refuses what is tried first, however long it is', () => {
  for (const password of COMMON)
    expect([password, isGuessable(password)]).toEqual([password, true]);
});

it('refuses what others know of its owner', () => {
  const own = ['Ada Marsh', 'ada.marsh', 'ada@shop.example', 'The Loft'];
  for (const password of ['adamarsh2024', 'ada.marsh.ada', 'ada@shop.example'])
    expect([password, isGuessable(password, own)]).toEqual([password, true]);
});

it('takes words that do not belong together, and what a manager makes', () => {
  for (const password of [
    'four walls a ladder',
    'xK7#q9Lm2!vR',
    'raven gate thimble',
    'молоток и чайник',
  ])
    expect([password, isGuessable(password)]).toEqual([password, false]);
});
