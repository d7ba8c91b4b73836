import { describe, expect, it } from 'vitest';
import {
  inspectionSchema,
  inspectionWords,
  isCracked,
  NOT_LOOKED_AT,
  pressGrommet,
  stopsTicket,
  wasLookedAt,
} from './inspection';

const cracked = { ...NOT_LOOKED_AT, frame: [{ what: 'crack' as const, where: '2 o’clock' }] };

describe('an inspection', () => {
  // A cracked frame is not strung: common practice, no source.
  it('stops the ticket at a crack until its owner has written', () => {
    expect(stopsTicket(cracked)).toBe(true);
    const ownersWord = { text: 'String it, I know.', day: '2026-02-03', takenBy: 'Nell' };
    expect(stopsTicket({ ...cracked, ownersWord })).toBe(false);
    expect(isCracked({ ...cracked, ownersWord })).toBe(true);
  });

  it('goes on with a dent, a warp, or when nobody has looked', () => {
    const dented = { ...NOT_LOOKED_AT, frame: [{ what: 'dent' as const, where: '' }] };
    expect(stopsTicket(dented)).toBe(false);
    expect(stopsTicket(null)).toBe(false);
  });

  it('walks a grommet through its states, one press each, and leaves the others', () => {
    const seen: string[] = [];
    let grommets = pressGrommet([], '2T right');
    for (let press = 0; press < 4; press++) {
      grommets = pressGrommet(grommets, '7H left');
      seen.push(grommets.find(({ hole }) => hole === '7H left')?.state ?? 'whole');
    }
    expect(seen).toEqual(['split', 'sunken', 'missing', 'whole']);
    expect(grommets).toEqual([{ hole: '2T right', state: 'split' }]);
  });

  it('says what was seen, and nothing of what is good', () => {
    const words = inspectionWords({
      ...cracked,
      grommets: [
        { hole: '7H left', state: 'split' },
        { hole: '8H left', state: 'split' },
        { hole: '1T right', state: 'missing' },
      ],
      bumper: 'good',
      grip: 'worn',
      oldStrings: { broke: 'at a knot', notches: 'deep', tied: 'double half hitches' },
    });
    expect(words).toEqual([
      'crack: 2 o’clock',
      'grommet split at 7H left and 8H left',
      'grommet missing at 1T right',
      'grip worn',
      'old string broke at a knot',
      'notches in the old string: deep',
      'tied: double half hitches',
    ]);
  });

  it('knows whether anybody has looked', () => {
    expect(wasLookedAt(null)).toBe(false);
    expect(wasLookedAt(NOT_LOOKED_AT)).toBe(false);
    expect(wasLookedAt({ ...NOT_LOOKED_AT, bumper: 'good' })).toBe(true);
  });

  it('takes no state that no grommet has', () => {
    const odd = { ...NOT_LOOKED_AT, grommets: [{ hole: '7H', state: 'melted' }] };
    expect(inspectionSchema.safeParse(odd).success).toBe(false);
  });
});
