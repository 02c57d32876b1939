import { z } from 'zod';
import { FILTRATION_METHODS } from '../brew/filtration.ts';
import { STEEP_PLACES } from '../brew/schema.ts';
import { CLOCKS } from '../calendar/writeTime.ts';
import { WETTING_NAMES } from '../brew/wetting.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import { CONSTANTS } from '../constants.ts';
import { documentFields, instantSchema, nameSchema } from '../document/schema.ts';
import { checklistsSchema } from './checklists.ts';
import { shopStepSchema } from './stepsSchema.ts';
import { FILTER_KINDS } from './filterKinds.ts';

/** So many settings of the mill are remembered. */
export const MOST_SETTINGS = 200;

/** Codes of ISO 4217. */
const CURRENCIES: ReadonlySet<string> = new Set(Intl.supportedValuesOf('currency'));

/** Whether a name is a time zone that dates can be written in. */
function isZone(name: string): boolean {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
}

/** The shop: its clock's zone, its rooms, its money. */
export const shopSchema = z.object({
  ...documentFields,
  name: nameSchema,
  zone: z.string().refine(isZone, 'No such time zone; Europe/Lisbon is one.'),
  currency: z
    .string()
    .refine((code) => CURRENCIES.has(code), 'No such currency; EUR, USD and JPY are some.'),
  roomC: z.number().min(0).max(50),
  fridgeC: z.number().min(0).max(15),
  waterC: z.number().min(0).max(60),
  /** Litres of steeping vessels that the fridge takes; null where nobody said. */
  fridgeL: z.number().positive().max(10_000).nullable().default(null),
  openHours: z.number().min(0).max(24),
  closeHours: z.number().min(0).max(24),
  crewFromHours: z.number().min(0).max(24),
  crewToHours: z.number().min(0).max(24),
  /** How its clock is read. */
  clock: z.enum(CLOCKS).default('24 h'),
  /** What the mill's dial says for each grind; empty where nobody has tried it. */
  mill: z.strictObject({
    name: z.string().max(80),
    settings: z.record(z.enum(GRIND_NAMES), z.string().max(20)),
    /** When its dial was set anew, in the order of time; the server writes it. */
    setAt: z.array(instantSchema).max(MOST_SETTINGS).default([]),
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
        /** How many of it the shop has. */
        count: z.number().int().min(1).max(100).default(1),
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
  /** Coffee strength over degrees Brix, as the shop's refractometer shows them. */
  brixToStrength: z.number().min(0.6).max(1.1).default(CONSTANTS.brixToStrength.value),
  /** The steps of a batch in the shop's own order and words; empty for the usual ones. */
  steps: z.array(shopStepSchema).max(60).default([]),
  /** What is gone through when the shop opens and closes. */
  checklists: checklistsSchema,
  /** What a new plan begins with. */
  defaults: z.strictObject({
    grind: z.enum(GRIND_NAMES),
    ratio: z.number().min(0.5).max(60),
    place: z.enum(STEEP_PLACES),
    hours: z.number().positive().max(168),
    wetting: z.enum(WETTING_NAMES),
    method: z.enum(FILTRATION_METHODS),
  }),
});

export type Shop = z.infer<typeof shopSchema>;
