/** A job of before this record, as far as anybody wrote it down. */
import { formatTicket } from '@/core/measure/units';
import type { BroughtJob } from '@/db/brought';

/** `24/23 kg`; empty where nobody wrote it down. */
export const earlierTension = ({ mainN, crossN, tensionUnit: unit }: BroughtJob): string =>
  mainN !== null && crossN !== null && unit ? formatTicket({ mainN, crossN, unit }) : '';

/** One string, or mains and crosses. */
export const earlierStrings = ({ mains, crosses }: BroughtJob): string =>
  mains === crosses ? mains : `${mains} / ${crosses}`;
