import { z } from 'zod';

/** A page of the guide: `html` is without its title. */
export const guidePageSchema = z.object({ title: z.string(), html: z.string() });
export type GuidePage = z.infer<typeof guidePageSchema>;
