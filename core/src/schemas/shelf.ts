import { z } from 'zod';
import { SEPARATION_NAMES } from '../brew/separation.ts';
import { WETTING_NAMES } from '../brew/wetting.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import { STEEP_PLACES } from './batch.ts';
import { documentFields, idSchema, instantSchema, nameSchema } from './document.ts';
import { SERVES } from '../caution/drinkCautions.ts';
import { additionSchema, fillWithSchema, iceSchema, targetSchema } from './reckonDrink.ts';
import { coffeeSchema } from './reckonBatch.ts';

/** What a brew is strained through. */
export const FILTER_KINDS = ['bag', 'paper', 'insert'] as const;

/** The shop: its clock's zone, its rooms, its money. */
export const shopSchema = z.object({
  ...documentFields,
  name: nameSchema,
  zone: z.string(),
  currency: z.string().length(3),
  roomC: z.number().min(0).max(50),
  fridgeC: z.number().min(0).max(15),
  waterC: z.number().min(0).max(60),
  openHours: z.number().min(0).max(24),
  closeHours: z.number().min(0).max(24),
  crewFromHours: z.number().min(0).max(24),
  crewToHours: z.number().min(0).max(24),
  /** What the mill's dial says for each grind; empty where nobody has tried it. */
  mill: z.strictObject({
    name: z.string().max(80),
    settings: z.record(z.enum(GRIND_NAMES), z.string().max(20)),
  }),
  /** What the shop's own scoop holds, mL. */
  scoopMl: z.number().min(1).max(2000),
  /** Bags, papers and inserts, with the most coffee that one takes. */
  filters: z
    .array(
      z.strictObject({
        name: nameSchema,
        kind: z.enum(FILTER_KINDS),
        takesG: z.number().positive().max(50_000),
      }),
    )
    .max(20),
  /** What the bar measures with, and its siphons and keg. */
  bar: z.strictObject({
    jiggerMl: z.number().min(0.5).max(50),
    pumpMl: z.number().min(1).max(60),
    spoonMl: z.number().min(1).max(30),
    scaleG: z.number().min(0.1).max(50),
    siphonMl: z.number().min(250).max(5000),
    chargesPerFill: z.number().int().min(1).max(6),
    chargePrice: z.number().min(0).max(100),
    kegMl: z.number().min(1000).max(60_000),
  }),
  /** The school of the house: what a new plan begins with. */
  defaults: z.strictObject({
    grind: z.enum(GRIND_NAMES),
    ratio: z.number().min(0.5).max(60),
    place: z.enum(STEEP_PLACES),
    hours: z.number().positive().max(168),
    wetting: z.enum(WETTING_NAMES),
    method: z.enum(SEPARATION_NAMES),
  }),
});

/** A coffee on the shelf. */
export const shelfCoffeeSchema = z.object({
  ...documentFields,
  name: nameSchema,
  ...coffeeSchema.shape,
  roast: z.enum(['light', 'medium', 'dark']),
  roastedOn: z.iso.date(),
  pricePerKg: z.number().min(0).max(10_000),
  /** Weighed once by the shop, g/mL of loose grounds; null for the table's. */
  looseDensityGPerMl: z.number().min(0.15).max(0.7).nullable(),
});

/** A vessel to steep in. */
export const vesselSchema = z.object({
  ...documentFields,
  name: nameSchema,
  brimMl: z.number().positive().max(200_000),
  heightMm: z.number().positive().max(2000),
  kind: z.enum(['jar', 'bucket', 'pitcher']),
  shaken: z.boolean(),
  /** Most coffee that its bag or insert takes, g; null without one. */
  bagHoldsG: z.number().positive().max(50_000).nullable(),
  fitsFridge: z.boolean(),
});

/** Shapes of glass that a drink is drawn in. */
export const GLASSES = ['tumbler', 'highball', 'mug', 'carafe'] as const;

/** A drink of the menu. */
export const drinkSchema = z.object({
  ...documentFields,
  name: nameSchema,
  cupMl: z.number().min(10).max(20_000),
  glass: z.enum(GLASSES),
  /** How many people drink from it. */
  shares: z.number().int().min(1).max(50),
  ice: iceSchema.nullable(),
  additions: z.array(additionSchema).max(20),
  fillWith: fillWithSchema,
  fillAlso: z.array(fillWithSchema).max(6),
  target: targetSchema,
  stirredDown: z.boolean(),
  chilledToC: z.number().min(0).max(100).nullable(),
  serve: z.enum(SERVES),
  price: z.number().min(0),
  /** How many the shop expects to sell in a week. */
  weekCount: z.number().int().min(0).max(100_000),
  order: z.number().int(),
});

export type Shop = z.infer<typeof shopSchema>;
export type ShelfCoffee = z.infer<typeof shelfCoffeeSchema>;
export type Vessel = z.infer<typeof vesselSchema>;
export type Drink = z.infer<typeof drinkSchema>;

/** A drink as it once was, or as somebody likes it: what changed, and for whom. */
export const drinkVersionSchema = z.object({
  id: idSchema,
  drinkId: idSchema,
  drink: drinkSchema.omit({ id: true, version: true }),
  change: z.string(),
  /** Empty for the usual of the house. */
  forWhom: z.string(),
  at: instantSchema,
});

/** Keeping a drink: as the usual, or as somebody's own. */
export const keepDrinkRequest = z.strictObject({
  id: idSchema,
  drink: drinkSchema.omit({ id: true, version: true }).strict(),
  change: z.string().trim().max(300),
  forWhom: z.string().trim().max(80),
});

export type DrinkVersion = z.infer<typeof drinkVersionSchema>;
export type KeepDrinkRequest = z.infer<typeof keepDrinkRequest>;
