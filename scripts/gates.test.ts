import { expect, it } from 'vitest';
import { ALL_DEEDS } from '@/core/house/policy';
import { actionGates, pageGates } from './gates';

/** What is there for whoever is signed in, before anybody is, or for whoever has a client’s address. */
const AT_THE_DOORS = [
  'bringAgain',
  'firstStart',
  'noMoreMessages',
  'openAnother',
  'sayHowItPlayed',
  'sayPlays',
  'workIn',
];
/** The page of one's own ways in belongs to every role. */
const OF_EVERYBODY = ['(house)/me/page.tsx'];

it('every page and route behind the doors asks whether it may be seen', () => {
  const gates = pageGates();
  expect(gates.length).toBeGreaterThan(40);
  expect(gates.filter(({ deed }) => !deed).map(({ name }) => name)).toEqual(OF_EVERYBODY);
});

it('every action asks whether it may be done', () => {
  const gates = actionGates();
  expect(gates.length).toBeGreaterThan(40);
  expect(
    gates
      .filter(({ deed }) => !deed)
      .map(({ name }) => name)
      .toSorted((a, b) => a.localeCompare(b)),
  ).toEqual(AT_THE_DOORS);
});

it('every deed of the policy stands at some gate', () => {
  const asked = new Set([...pageGates(), ...actionGates()].map(({ deed }) => deed));
  // Who watches a learner is asked by the doors, and of whom by the events of the bench.
  const elsewhere = ['watch a learner'];
  expect(ALL_DEEDS.filter((deed) => !asked.has(deed) && !elsewhere.includes(deed))).toEqual([]);
});
