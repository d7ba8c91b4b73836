/**
 * Money in minor units (cents), formatted for the workshop's currency.
 *
 * @example
 * formatMoney(1850, 'EUR') // '€18.50'
 */
export const formatMoney = (minor: number, currency: string): string =>
  new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);

export interface StringPrice {
  readonly setMinor: number;
  readonly suppliedByClient: boolean;
}

/**
 * What the string of a job costs: one set when both pieces come from it, half of each set in a
 * hybrid, nothing for what the client brought. Halves are rounded up to a whole minor unit.
 *
 * @example
 * stringPrice({ setMinor: 1500, suppliedByClient: false }, { setMinor: 1500, suppliedByClient: true }) // 750
 */
export function stringPrice(mains: StringPrice, crosses: StringPrice): number {
  const half = ({ setMinor, suppliedByClient }: StringPrice) =>
    suppliedByClient ? 0 : setMinor / 2;
  return Math.ceil(half(mains) + half(crosses));
}
