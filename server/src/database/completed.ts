import type { z } from 'zod';

/**
 * What is stored, with the usual value of every field that did not exist when it was written. What is
 * no more as it should be stays as it is.
 *
 * @param schema what it is by now; left out where that never changed
 */
export function completed(schema: z.ZodType<object> | undefined, stored: object): object {
  const whole = schema?.safeParse(stored);
  return { ...stored, ...(whole?.success ? whole.data : {}) };
}
