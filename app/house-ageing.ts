import type { KnownOfBed } from '@/core/ageing/bed-today';
import { rulesOf } from '@/core/house/house-rules';
import type { Workshop } from '@/db/workshop';

/** What a workshop’s rules say of how its beds age, and when they come back. */
export const houseAgeing = (
  workshop: Pick<Workshop, 'houseRules'>,
): Pick<KnownOfBed, 'school' | 'pull'> => {
  const { comeBack, benchPull } = rulesOf(workshop);
  return { school: comeBack, pull: benchPull };
};
