/** The two ends and the two sides of a frame, head up, seen from the face. */
import { z } from 'zod';

export const endSchema = z.enum(['head', 'throat']);
export type End = z.infer<typeof endSchema>;
export const ENDS: readonly End[] = endSchema.options;
export const sideSchema = z.enum(['left', 'right']);
export type Side = z.infer<typeof sideSchema>;
export const SIDES: readonly Side[] = sideSchema.options;

/**
 * @example
 * opposite('head') // 'throat'
 */
export const opposite = (end: End): End => (end === 'head' ? 'throat' : 'head');
/**
 * @example
 * otherSide('left') // 'right'
 */
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');
