import { z } from 'zod';
import { idSchema } from '../document/schema.ts';

/** How a shop says a step of the work in its own words; what it leaves out is said as usual. */
export const shopStepSchema = z.strictObject({
  /** A usual step, or one of the shop's own. */
  key: idSchema,
  /** Empty for the usual words. */
  title: z.string().trim().max(80),
  /** What to watch for; empty for the usual words. */
  watch: z.string().trim().max(200),
  /** How long to wait before the next step, min; null as usual. */
  waitMinutes: z
    .number()
    .positive()
    .max(24 * 60)
    .nullable(),
  /** The shop's own photograph of how it is done; null for none. */
  photoId: idSchema.nullable().default(null),
  /** Whether this shop leaves it out. */
  leftOut: z.boolean(),
});

export type ShopStep = z.infer<typeof shopStepSchema>;
