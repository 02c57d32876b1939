import { planSchema, saveDraftRequest } from '@ratio/core/batch';
import { GRIND_NAMES, ROASTS } from '@ratio/core/coffee';
import { idSchema } from '@ratio/core/document';
import { drinkSchema } from '@ratio/core/drink';
import { ALLERGENS, INGREDIENT_KINDS, PACKAGE_BASES } from '@ratio/core/pantry';
import { z } from 'zod';

const version = z.number().int().min(0);
const numbers = z.array(z.number().positive());
/** An amount as it was seen, in g or mL; null before anybody has said it. */
const seen = {
  amount: z.number().positive().nullable(),
  seenAs: z.enum(['mass', 'volume']),
};

/** One jug that a strain fills. */
const fill = z.object({ jugId: z.string(), vesselId: z.string(), ...seen });

/** All that a browser keeps of what somebody chose or typed, by its name there. */
export const SHAPES = {
  'ratio.units': z.enum(['metric', 'us']),
  'ratio.theme': z.enum(['system', 'day', 'night']),
  'ratio.sound': z.boolean(),
  'ratio.notification': z.boolean(),
  /** How far the server's clock is ahead of this tablet's, ms. */
  'ratio.aheadMs': z.number(),
  /** The draft on this tablet, and which version of it the server is known to have; 0 for none. */
  'ratio.plan': saveDraftRequest.extend({ id: idSchema, version, unsaved: z.boolean() }),
  /** Plans that were put aside to be compared. */
  'ratio.variants': z.array(z.object({ id: idSchema, plan: planSchema })),
  'ratio.jug': z.string().nullable(),
  /** How strong a concentrate is taken to be that nobody has noted. */
  'ratio.about': z.number().min(0.001).max(0.2),
  'ratio.newJug': z.object({
    id: z.string(),
    label: z.string(),
    vesselId: z.string(),
    coffeeId: z.string(),
    ...seen,
    /** ms since 1970 UTC; null for now. */
    madeMs: z.number().nullable(),
    /** How its strength is known. */
    knownBy: z.enum(['reading', 'recipe', 'taste']),
    readFrac: z.number().nullable(),
    ratio: z.number(),
    hours: z.number(),
    place: z.enum(['fridge', 'counter']),
    /** Parts of water to one of it at which it tastes right. */
    rest: z.number(),
  }),
  /** What the scale held as a pour began, g. */
  'ratio.pourFrom': z.object({ key: z.string(), fromG: z.number() }),
  /** What was typed of a strain, by batch: when, what came out, into which jugs. */
  'ratio.strain': z.record(
    z.string(),
    z.object({
      fills: z.array(fill).min(1).optional(),
      strengthFrac: z.number().nullable().optional(),
      /** ms since 1970 UTC; null for now. */
      strainedMs: z.number().nullable().optional(),
    }),
  ),
  'ratio.drink': z.string().nullable(),
  /** A drink that is not on the menu yet has version 0. */
  'ratio.drink.edited': drinkSchema.extend({ version }).nullable(),
  'ratio.droppedDrinks': z.array(z.string()),
  'ratio.iceTodayC': z.number().nullable(),
  /** How the bar measures on this tablet. */
  'ratio.measuring': z.enum(['jigger', 'scale', 'exact']),
  'ratio.recipe': z.string().nullable(),
  /** Recipes in words. */
  'ratio.recipes': z.array(z.string()),
  /** An ingredient as its package has it, before it is on the shelf. */
  'ratio.package': z.object({
    /** The ingredient that it is about; null for a new one. */
    id: idSchema.nullable(),
    name: z.string(),
    kind: z.enum(INGREDIENT_KINDS),
    per: z.enum(PACKAGE_BASES),
    fatG: z.number(),
    carbohydrateG: z.number(),
    sugarG: z.number(),
    proteinG: z.number(),
    saltG: z.number(),
    alcoholFrac: z.number(),
    allergens: z.array(z.enum(ALLERGENS)),
    openedDays: z.number().nullable(),
    pricePerKg: z.number().nullable(),
  }),
  'ratio.samples.jar': z.string(),
  'ratio.samples.ratios': numbers,
  'ratio.samples.grinds': z.array(z.enum(GRIND_NAMES)),
  'ratio.samples.hours': numbers,
  /** The paper that labels are printed on. */
  'ratio.paper': z.enum(['small', 'large', 'a4-small', 'a4-large']),
  /** At which of its questions setting up stopped. */
  'ratio.setUp': z.number().int().min(0).max(5),
  'ratio.setUp.coffee': z.object({
    name: z.string(),
    roast: z.enum(ROASTS),
    pricePerKg: z.number().nullable(),
  }),
  'ratio.setUp.vessel': z.object({ name: z.string(), brimMl: z.number().nullable() }),
} as const;

export type Kept = { readonly [K in keyof typeof SHAPES]: z.infer<(typeof SHAPES)[K]> };
