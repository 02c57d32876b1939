import { z } from 'zod';
import { documentFields, idSchema, nameSchema } from '../document/schema.ts';
import { MOST_OF_AN_AMOUNT } from './limits.ts';

const massAmount = z.strictObject({ massG: z.number().positive().max(MOST_OF_AN_AMOUNT) });
/** By mass, or by volume as it is measured out: powders loose. */
const amountSchema = z.union([
  massAmount,
  z.strictObject({ volumeMl: z.number().positive().max(MOST_OF_AN_AMOUNT) }),
]);

const houseRecipeInputSchema = z.strictObject({
  ingredient: idSchema,
  amount: amountSchema,
});

/** What is done with the inputs. */
export const processSchema = z.discriminatedUnion('method', [
  z.strictObject({ method: z.literal('mix') }),
  z.strictObject({
    method: z.literal('infuse'),
    /** What is infused and strained out, in words. */
    with: z.string().max(120),
    /** What is left after straining, weighed; null before it is. */
    leftG: z.number().positive().max(MOST_OF_AN_AMOUNT).nullable(),
    /** Whether what is lost left as steam, or as liquid that stayed in what was strained out. */
    loses: z.enum(['steam', 'liquid']).default('steam'),
    /** What is matched to it, and how much of that for one of what is left. */
    match: z.strictObject({
      ingredient: idSchema,
      ratio: z.number().min(0).max(5),
      by: z.enum(['mass', 'volume']),
    }),
  }),
  z.strictObject({
    method: z.literal('reduce'),
    /** Share of the volume that is left, 0–1. */
    toFrac: z.number().min(0.1).max(1),
  }),
  z.strictObject({
    method: z.literal('whip'),
    /** Volume of air over volume of liquid. */
    overrunFrac: z.number().min(0).max(6),
  }),
  z.strictObject({
    method: z.literal('freeze'),
    /** What was left in the jug, and what it was. */
    leftoverG: z.number().min(0).max(MOST_OF_AN_AMOUNT),
    strengthFrac: z.number().min(0).max(0.5),
    caffeineMgPerG: z.number().min(0).max(30),
    pricePerKg: z.number().min(0).max(10_000).nullable(),
  }),
]);

/** A house recipe: it makes an ingredient. */
export const houseRecipeSchema = z.object({
  ...documentFields,
  name: nameSchema,
  inputs: z.array(houseRecipeInputSchema).max(20),
  process: processSchema,
  /** The shop's own say on how long it keeps, days; null for the usual. */
  lifeDays: z.number().int().min(1).max(365).nullable(),
  /** How it is done, in the shop's words. */
  note: z.string().max(500),
});

export type HouseRecipe = z.infer<typeof houseRecipeSchema>;
export type HouseRecipeInput = z.infer<typeof houseRecipeInputSchema>;
export type IngredientAmount = z.infer<typeof amountSchema>;
export type HouseRecipeMethod = HouseRecipe['process']['method'];
