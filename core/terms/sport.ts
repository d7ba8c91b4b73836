import { z } from 'zod';

export const sportSchema = z.enum(['tennis', 'badminton', 'squash']);

export type Sport = z.infer<typeof sportSchema>;

export const SPORTS: readonly Sport[] = sportSchema.options;
