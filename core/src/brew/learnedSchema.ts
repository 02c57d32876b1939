import { z } from 'zod';
import { FILTRATION_METHODS } from './filtration.ts';

/** A value that was learned, and one standard deviation of it. */
const estimateSchema = z.strictObject({ value: z.number(), sigma: z.number().min(0) });

/** Yield and rate of a coffee, as logarithms of what they are over the handbook's. */
const coffeeSchema = z.strictObject({
  yieldLog: estimateSchema,
  rateLog: estimateSchema,
  /** Correlation of the two, −1 to 1: a late reading alone cannot tell one from the other. */
  correlationFrac: z.number().min(-1).max(1),
});

/** What a shop's own log says of its coffees and of its bench. */
export const learnedSchema = z.strictObject({
  /** A coffee that nobody has read yet. */
  anyCoffee: coffeeSchema,
  /** By the coffee's identity. */
  coffees: z.record(z.string(), coffeeSchema),
  /** More than the handbook's, g per g of coffee, by filtration. */
  retainedGPerG: z.partialRecord(z.enum(FILTRATION_METHODS), estimateSchema),
  /** Water that goes without coffee, over the water poured; left out before it was learned. */
  lossFrac: estimateSchema.optional(),
  /** Loose density as this bench scoops it, as a logarithm over the table's; left out before it was learned. */
  looseLog: estimateSchema.optional(),
});

export type Estimate = z.infer<typeof estimateSchema>;
export type LearnedCoffee = z.infer<typeof coffeeSchema>;
export type Learned = z.infer<typeof learnedSchema>;
