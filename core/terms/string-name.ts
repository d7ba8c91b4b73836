/** The names of the strings of a bed: mains from the centre line outwards by side, crosses from the head down. */
import { z } from 'zod';
import type { Side } from './ends';

export type MainName = `M${number}${'L' | 'R'}`;
export type CrossName = `C${number}`;
export type StringName = MainName | CrossName;

/** A name as it is kept in a record, in an event, or in a file. */
export const stringNameSchema = z
  .string()
  .regex(/^(M\d{1,2}[LR]|C\d{1,2})$/)
  .transform((name) => name as StringName);

/**
 * @example
 * mainName(3, 'left') // 'M3L'
 */
export const mainName = (main: number, side: Side): MainName =>
  `M${main}${side === 'left' ? 'L' : 'R'}`;

/**
 * @example
 * crossName(12) // 'C12'
 */
export const crossName = (cross: number): CrossName => `C${cross}`;

/**
 * @example
 * isMain('M3L') // true
 */
export const isMain = (string: StringName): string is MainName => string.startsWith('M');
