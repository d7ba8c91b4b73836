import { expect, it } from 'vitest';
import { ALL_RIGHTS } from '@/core/house/role-rights';
import { actionGates, pageGates } from './gates';

/** What is there for whoever is signed in, before anybody is, or for whoever has a client’s address. */
const AT_THE_DOORS = [
  'bringAgain',
  'comeInAsNew',
  'firstStart',
  'noMoreMessages',
  'openAnother',
  'sayHowItPlayed',
  'sayPlays',
  'takeInvitation',
  'workIn',
];
/** The page of one's own ways in belongs to every role. */
const OF_EVERYBODY = ['(house)/me/page.tsx'];

it('every page and route behind the doors asks whether it may be seen', () => {
  const gates = pageGates();
  expect(gates.length).toBeGreaterThan(40);
  expect(gates.filter(({ right }) => !right).map(({ name }) => name)).toEqual(OF_EVERYBODY);
});

it('every action asks whether it may be done', () => {
  const gates = actionGates();
  expect(gates.length).toBeGreaterThan(40);
  expect(
    gates
      .filter(({ right }) => !right)
      .map(({ name }) => name)
      .toSorted((a, b) => a.localeCompare(b)),
  ).toEqual(AT_THE_DOORS);
});

it('every right of the policy stands at some gate', () => {
  const asked = new Set([...pageGates(), ...actionGates()].map(({ right }) => right));
  // Who watches a learner is asked by the doors, and of whom by the deeds of the bench.
  const elsewhere = ['watch a learner'];
  expect(ALL_RIGHTS.filter((right) => !asked.has(right) && !elsewhere.includes(right))).toEqual([]);
});
