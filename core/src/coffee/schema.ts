import { z } from 'zod';
import { CONSTANTS } from '../constants.ts';
import { documentFields, nameSchema } from '../document/schema.ts';
import { ROASTS } from './roasts.ts';

/** What the model needs to know of a coffee. */
export const coffeeTraitsSchema = z.strictObject({
  /** Soluble share at equilibrium: the extraction yield of a very thin slurry. */
  solubleFrac: z.number().min(0.05).max(0.35).default(CONSTANTS.solubleFrac.value),
  robustaFrac: z.number().min(0).max(1).default(0),
  decafFrac: z.number().min(0).max(1).default(0),
});

/** A coffee on the shelf. */
export const coffeeSchema = z.object({
  ...documentFields,
  name: nameSchema,
  ...coffeeTraitsSchema.shape,
  roast: z.enum(ROASTS),
  /** Null where it is not known. */
  roastedOn: z.iso.date().nullable(),
  /** Null where it is not known. */
  pricePerKg: z.number().min(0).max(10_000).nullable(),
  /** Weighed once by the shop, g/mL of loose grounds; null for the table's. */
  looseDensityGPerMl: z.number().min(0.15).max(0.7).nullable(),
});

export type CoffeeTraits = z.infer<typeof coffeeTraitsSchema>;
export type Coffee = z.infer<typeof coffeeSchema>;
