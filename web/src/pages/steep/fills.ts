import { z } from 'zod';

/** A jug that is none of the shop’s vessels. */
export const OTHER_JUG = 'other';

export const fillSchema = z.object({
  jugId: z.string(),
  vesselId: z.string(),
  /** As it was seen, in g or mL; null before anybody has said it. */
  amount: z.number().positive().nullable(),
  seenAs: z.enum(['mass', 'volume']),
});
/** One jug that a strain fills. */
export type Fill = z.infer<typeof fillSchema>;
