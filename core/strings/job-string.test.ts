import { expect, it } from 'vitest';
import { isHybrid } from './job-string';

const string = { name: 'Keel', family: 'monofilament', gaugeMm: 1.25 };

it.each([
  ['one string of one thickness', {}, false],
  ['two thicknesses of one', { gaugeMm: 1.3 }, true],
  ['two strings', { name: 'Lull' }, true],
  // Two strings of a library may have one name.
  ['two of one name, of two families', { family: 'multifilament' }, true],
])('a bed of %s', (_, other, hybrid) => {
  expect(isHybrid({ mains: string, crosses: { ...string, ...other } })).toBe(hybrid);
});
