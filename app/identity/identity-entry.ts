/** What people type at the doors, as the server and the page read it alike. */
import { z } from 'zod';
import { currency, timeZone } from '@/app/(house)/workshop/workshop-entry';
import { ROLES } from '@/core/house/role-rights';

/** Long enough that guessing is hopeless; no rule about signs, which makes passwords worse (NIST SP 800-63B). */
export const SHORTEST_PASSWORD = 12;
export const LONGEST_PASSWORD = 128;

export const personName = z
  .string()
  .trim()
  .min(1, 'Write a name, as it stands on papers: Ada Marsh.')
  .max(80, 'A name has up to 80 letters.');
const signInName = z
  .string()
  .trim()
  .toLowerCase()
  .min(3, 'A name to sign in with has three letters or more: ada.')
  .max(30, 'A name to sign in with has up to 30 letters.')
  .regex(/^[\p{L}\p{N}._-]+$/u, 'Letters, digits, full stop, dash: ada.marsh');
export const address = z
  .string()
  .trim()
  .toLowerCase()
  .max(200, 'This address is too long.')
  .pipe(z.email('An address for messages looks like ada@shop.example.'));
export const newPassword = z
  .string()
  .min(
    SHORTEST_PASSWORD,
    `A password has ${SHORTEST_PASSWORD} signs or more: three or four words that do not belong together do well.`,
  )
  .max(LONGEST_PASSWORD, `A password has up to ${LONGEST_PASSWORD} signs.`);
export const shortCode = z.string().regex(/^\d{4,8}$/, 'A code is four to eight digits: 4071.');

/** What an app shows, as it is typed. */
export const appCode = z
  .string()
  .trim()
  .regex(/^\d{6}$/, 'The code is six digits.');
export const spareCode = z
  .string()
  .trim()
  .regex(/^[A-Za-z0-9]{5}-[A-Za-z0-9]{5}$/, 'A spare code is two times five signs: aB3xY-9kLm2.');

/** 0000, 1234, 8765: what is tried first. */
function isGuessed(code: string): boolean {
  const steps = [...code].slice(1).map((digit, i) => (Number(digit) - Number(code[i]) + 10) % 10);
  return steps.every((step) => step === steps[0] && (step <= 1 || step === 9));
}

/** A code as somebody may choose it. */
export const newCode = shortCode.refine(
  (code) => !isGuessed(code),
  'Not one that is tried first, like 0000 or 1234: take 4071, say.',
);

/** What a new workshop has to say of itself; the rest is as is usual, and changed later. */
export const workshopStartSchema = z.object({
  workshop: z
    .string()
    .trim()
    .min(1, 'Write what the workshop is called.')
    .max(80, 'A name of a workshop has up to 80 letters.'),
  tensionUnit: z.enum(['kg', 'lb']),
  currency,
  timeZone,
});

/** What is typed of it; the clock is the browser's. */
export const typedWorkshopSchema = workshopStartSchema.omit({ timeZone: true });
export type TypedWorkshop = z.input<typeof typedWorkshopSchema>;

export const firstStartSchema = workshopStartSchema.extend({
  name: personName,
  username: signInName,
  address,
  password: newPassword,
});
export const typedFirstStartSchema = firstStartSchema.omit({ timeZone: true });
export type TypedFirstStart = z.input<typeof typedFirstStartSchema>;

/** Whom a workshop asks in. */
export const invitationSchema = z.object({ name: personName, address, role: z.enum(ROLES) });
export type InvitationEntry = z.input<typeof invitationSchema>;

/** What somebody chooses who was asked in and is new to this house. */
export const newcomerSchema = z.object({ username: signInName, password: newPassword });
