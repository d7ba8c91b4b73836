import type { KnownOfBed } from '@/core/ageing/bed-today';
import { USUAL_HOUSE, type HouseRules } from '@/core/house/house-rules';

/** What a workshop’s rules say of how its beds age, and when they come back. */
export const houseAgeing = ({
  houseRules,
}: {
  readonly houseRules: HouseRules | null;
}): Pick<KnownOfBed, 'school' | 'pull'> => {
  const { comeBack, benchPull } = houseRules ?? USUAL_HOUSE;
  return { school: comeBack, pull: benchPull };
};
