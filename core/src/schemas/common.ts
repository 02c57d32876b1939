import { z } from 'zod';
import { STRENGTH_NAMES } from '../brew/strengthName.ts';

/** 5th and 95th percentile of a result. */
export const rangeSchema = z.object({ low: z.number(), high: z.number() });

export const cautionSchema = z.object({
  code: z.string(),
  severity: z.enum(['note', 'warn']),
  text: z.string(),
});

export const strengthNameSchema = z.enum(STRENGTH_NAMES.map(({ name }) => name));

/** RFC 9457 problem document; `issues` names each field of a bad body. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  code: z.string(),
  issues: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});

export type Problem = z.infer<typeof problemSchema>;
