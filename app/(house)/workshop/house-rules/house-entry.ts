import type { z } from 'zod';
import { decimal, plainFigures, TENSION_UNIT, tensionUnitNamed } from '@/core/measure/figures';
import { houseRulesSchema, USUAL_HOUSE, type HouseRules } from '@/core/house/house-rules';
import { optionalTyped, typed } from '@/core/measure/typed';
import { failure, success, type Result } from '@/core/terms/result';
import { inTensionUnit, newtons, roundTo, type TensionUnit } from '@/core/measure/units';

const signedNumber = (text: string, unit: RegExp): number | undefined => {
  const typed = /^([+-]?\d{1,2}(?:[.,]\d{1,2})?) ?(\S*)$/.exec(plainFigures(text));
  return typed?.[1] && unit.test(typed[2] ?? '') ? decimal(typed[1]) : undefined;
};

const PERCENT = /^%?$/;
const TENSION = new RegExp(`^${TENSION_UNIT}?$`, 'i');

const percentOf = (field: 'monofilamentShare' | 'hybridShare' | 'lockOutShare') =>
  typed((text): Result<number> => {
    const percent = signedNumber(text, PERCENT);
    const share = houseRulesSchema.shape[field].safeParse((percent ?? NaN) / 100);
    return share.success ? success(share.data) : failure(`house.${field}.beyond`);
  });

/** House rules as they are typed: schools by choice, figures as text. */
export const houseEntrySchema = (unit: TensionUnit) =>
  houseRulesSchema.extend({
    monofilamentShare: percentOf('monofilamentShare'),
    hybridShare: percentOf('hybridShare'),
    lockOutShare: percentOf('lockOutShare'),
    mostOutOfShapeMm: typed((text): Result<number> => {
      const mm = signedNumber(text, /^(mm)?$/);
      const most = houseRulesSchema.shape.mostOutOfShapeMm.safeParse(mm ?? NaN);
      return most.success ? success(most.data) : failure('house.mostOutOfShapeMm.beyond');
    }),
    crossesByN: optionalTyped((text): Result<number> => {
      const by = signedNumber(text, TENSION);
      const typed = tensionUnitNamed(/[a-z#]+$/i.exec(plainFigures(text))?.[0]) ?? unit;
      const n = houseRulesSchema.shape.crossesByN.safeParse(newtons(by ?? NaN, typed));
      return by !== undefined && n.success && n.data !== null
        ? success(n.data)
        : failure('house.crossesByN.beyond');
    }),
  });

export type HouseEntry = z.input<ReturnType<typeof houseEntrySchema>>;

/** As finely as it can be typed. */
const STEP = 0.01;
const percent = (share: number): string => String(roundTo(share * 100, STEP));

export const houseEntryOf = (house: HouseRules, unit: TensionUnit): HouseEntry => ({
  ...USUAL_HOUSE,
  ...house,
  monofilamentShare: percent(house.monofilamentShare),
  hybridShare: percent(house.hybridShare),
  lockOutShare: percent(house.lockOutShare),
  mostOutOfShapeMm: String(roundTo(house.mostOutOfShapeMm, STEP)),
  crossesByN: house.crossesByN === null ? '' : String(inTensionUnit(house.crossesByN, unit)),
});
