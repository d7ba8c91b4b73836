import { expect, it } from 'vitest';
import { handsWords } from './hands';

const words = (hands: Parameters<typeof handsWords>[0]) =>
  handsWords(hands).map(({ deed, who }) => `${deed} ${who}`);

it('says whose hands a job went through, in the order of the work', () => {
  expect(
    words({
      takenInBy: 'Maud',
      setUpBy: 'Tobin',
      strungBy: [
        { name: 'Tobin', watcher: null },
        { name: 'Wick', watcher: 'Tobin' },
      ],
      handedOverBy: 'Maud',
    }),
  ).toEqual([
    'taken in by Maud',
    'set up by Tobin',
    'strung by Tobin, Wick (Tobin watched)',
    'handed over by Maud',
  ]);
});

it('leaves out what nobody has done yet', () => {
  expect(words({ takenInBy: null, setUpBy: null, strungBy: [], handedOverBy: null })).toEqual([]);
});
