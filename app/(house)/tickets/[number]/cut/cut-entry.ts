import { z } from 'zod';
import { cutSourceSchema, sideSchema } from '@/core/record';

export const cutSchema = z.object({ crossStart: sideSchema, cutFrom: cutSourceSchema });

export type CutEntry = z.infer<typeof cutSchema>;
