import { z } from 'zod';
import { formatParts, parseParts, type KeptBalance } from '@/core/balance/parts';
import { swingFromPendulum, withParts, type Figures } from '@/core/balance/racket';
import { bareFigure } from '@/core/measure/figures';
import { lineText, textIn } from '@/core/measure/typed';
import { roundTo } from '@/core/measure/units';

const numberIn = (text: string): number => bareFigure(text, 3);

/** Mass, balance and swing weight of any racket lie within these. From memory. */
const LIMITS = {
  massG: [60, 450, 'A racket weighs 60 to 450 g.'],
  balanceMm: [150, 450, 'It balances 150 to 450 mm from the butt.'],
  swingKgCm2: [20, 450, 'A swing weight is 20 to 450 kg·cm².'],
} as const;

type Limited = keyof typeof LIMITS;

/** A figure within its limits, or its sentence. */
function within(name: Limited, text: string): number | string {
  const value = numberIn(text);
  const [least, most, sentence] = LIMITS[name];
  return value >= least && value <= most ? value : sentence;
}

export const balanceSchema = z
  .object({
    mass: textIn,
    balance: textIn,
    swing: textIn,
    /** From which the swing weight follows where nobody measured it. */
    period: textIn,
    pivot: textIn,
    strung: z.boolean(),
    grip: lineText('the grip'),
    parts: textIn,
  })
  .transform((entry, context): KeptBalance => {
    const add = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    const figure = (path: 'mass' | 'balance' | 'swing', name: Limited): number => {
      const read = within(name, entry[path]);
      if (typeof read === 'number') return read;
      add(path, read);
      return NaN;
    };
    const massG = figure('mass', 'massG');
    const balanceMm = figure('balance', 'balanceMm');
    const byPendulum = entry.swing.trim() === '' && entry.period.trim() !== '';
    let swingKgCm2 = NaN;
    if (byPendulum) {
      const swing = swingFromPendulum({
        massG,
        balanceMm,
        pivotMm: numberIn(entry.pivot),
        periodS: numberIn(entry.period),
      });
      if (!(numberIn(entry.pivot) >= 0)) add('pivot', 'Where does it hang, in mm from the butt?');
      else if (!swing.ok) add('period', swing.problem);
      else {
        // No pendulum is read more finely.
        const read = within('swingKgCm2', swing.value.toFixed(1));
        if (typeof read === 'number') swingKgCm2 = read;
        else add('period', read);
      }
    } else swingKgCm2 = figure('swing', 'swingKgCm2');
    const { strung, grip } = entry;
    const kept = { massG, balanceMm, swingKgCm2 };
    const read = parseParts(entry.parts);
    if (!read.ok) add('parts', read.problem);
    const parts = read.ok ? read.value : [];
    if (Object.values(kept).every(Number.isFinite)) {
      const whole = withParts(kept, parts);
      if (!whole.ok) add('parts', whole.problem);
    }
    return { ...kept, parts, strung, grip };
  });

export type BalanceEntry = z.input<typeof balanceSchema>;

export const NOT_WEIGHED: BalanceEntry = {
  mass: '',
  balance: '',
  swing: '',
  period: '',
  pivot: '',
  strung: true,
  grip: '',
  parts: '',
};

export const balanceEntryOf = (kept: KeptBalance | null): BalanceEntry =>
  kept
    ? {
        ...NOT_WEIGHED,
        mass: String(kept.massG),
        balance: String(kept.balanceMm),
        swing: String(roundTo(kept.swingKgCm2, 0.001)),
        strung: kept.strung,
        grip: kept.grip,
        parts: formatParts(kept.parts),
      }
    : NOT_WEIGHED;

/** Three figures that are wanted, as they are typed; a sentence where they are none. */
export function wantedIn(mass: string, balance: string, swing: string): Figures | string {
  const read = {
    massG: within('massG', mass),
    balanceMm: within('balanceMm', balance),
    swingKgCm2: within('swingKgCm2', swing),
  };
  const wrong = Object.values(read).find((each) => typeof each === 'string');
  return typeof wrong === 'string' ? wrong : (read as Figures);
}
