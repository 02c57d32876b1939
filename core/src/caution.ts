import { z } from 'zod';

export const cautionSchema = z.object({
  code: z.string(),
  severity: z.enum(['note', 'warn']),
  text: z.string(),
});

/** Something to take care of: what, why, and what to do. Never only a colour. */
export type Caution = Readonly<z.infer<typeof cautionSchema>>;
