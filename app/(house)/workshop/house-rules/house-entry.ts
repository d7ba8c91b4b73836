import { type z } from 'zod';
import {
  HOUSE_FIGURE_LIMITS,
  houseRulesSchema,
  USUAL_HOUSE,
  type HouseRules,
} from '@/core/house-rules';
import { optionalReading, reading } from '@/core/reading';
import { failure, success, type Result } from '@/core/result';
import { inTensionUnit, newtons, roundTo, type TensionUnit } from '@/core/units';

const signedNumber = (text: string, unit: string): number | undefined => {
  const typed = /^([+−-]?\d{1,2}(?:[.,]\d{1,2})?)\s*(\S*)$/.exec(text.trim());
  if (!typed?.[1] || (typed[2] !== '' && typed[2] !== unit)) return undefined;
  return Number(typed[1].replace(',', '.').replace('−', '-'));
};

const percentOf = (field: 'monofilamentShare' | 'hybridShare' | 'lockOutShare') =>
  reading((text): Result<number> => {
    const percent = signedNumber(text, '%');
    const share = houseRulesSchema.shape[field].safeParse((percent ?? NaN) / 100);
    return share.success ? success(share.data) : failure(HOUSE_FIGURE_LIMITS[field]);
  });

/** House rules as they are typed: schools by choice, figures as text. */
export const houseEntrySchema = (unit: TensionUnit) =>
  houseRulesSchema.extend({
    monofilamentShare: percentOf('monofilamentShare'),
    hybridShare: percentOf('hybridShare'),
    lockOutShare: percentOf('lockOutShare'),
    crossesByN: optionalReading((text): Result<number> => {
      const by = signedNumber(text, unit);
      const n = houseRulesSchema.shape.crossesByN.safeParse(newtons(by ?? NaN, unit));
      return by !== undefined && n.success && n.data !== null
        ? success(n.data)
        : failure(HOUSE_FIGURE_LIMITS.crossesByN);
    }),
  });

export type HouseEntry = z.input<ReturnType<typeof houseEntrySchema>>;

const percent = (share: number): string => String(roundTo(share * 100, 0.1));

export const houseEntryOf = (house: HouseRules, unit: TensionUnit): HouseEntry => ({
  ...USUAL_HOUSE,
  ...house,
  monofilamentShare: percent(house.monofilamentShare),
  hybridShare: percent(house.hybridShare),
  lockOutShare: percent(house.lockOutShare),
  crossesByN: house.crossesByN === null ? '' : String(inTensionUnit(house.crossesByN, unit)),
});
