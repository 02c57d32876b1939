import { z } from 'zod';
import { FILTRATION_METHODS } from '../brew/filtration.ts';
import { BEDS } from '../brew/release.ts';
import { WETTING_NAMES } from '../brew/wetting.ts';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import {
  brewModelSchema,
  eitherMassOrVolume,
  STEEP_PLACES,
  strengthNameSchema,
} from '../brew/schema.ts';
import { BATCH_LIMITS } from '../brew/limits.ts';
import { coffeeTraitsSchema } from '../coffee/schema.ts';
import {
  authorSchema,
  documentFields,
  idSchema,
  instantSchema,
  nameSchema,
} from '../document/schema.ts';

/** One stretch of the steep in one place. */
const planPieceSchema = z.strictObject({
  place: z.enum(STEEP_PLACES),
  tempC: z.number().min(0).max(50),
  hours: z.number().positive().max(BATCH_LIMITS.hours),
});

/** What a brewer decides about a batch. */
export const planSchema = z.strictObject({
  coffeeId: idSchema,
  vesselId: idSchema,
  grind: z.enum(GRIND_NAMES),
  doseG: z.number().positive().max(BATCH_LIMITS.doseG),
  /** Whether the coffee is measured by volume: doseG is then what the scoop is taken to hold. */
  scooped: z.boolean().optional(),
  waterG: z.number().positive().max(BATCH_LIMITS.waterG),
  waterC: z.number().min(0).max(100),
  wetting: z.enum(WETTING_NAMES),
  steep: z.array(planPieceSchema).min(1).max(10),
  agitationHours: z.array(z.number().min(0).max(BATCH_LIMITS.hours)).max(20),
  /** Grounds loose in the water, or held together in a bag or under a plunger. */
  bed: z.enum(BEDS).default('loose'),
  filtration: z.strictObject({
    method: z.enum(FILTRATION_METHODS),
    rinseG: z.number().min(0).max(BATCH_LIMITS.waterG),
  }),
});

/** A prediction as it was when the steep began. */
const predictionSchema = z.object({
  extractionYieldFrac: z.number(),
  releasedFrac: z.number(),
  strengthFrac: z.number(),
  strengthName: strengthNameSchema,
  brewG: z.number(),
  brewMl: z.number(),
  retainedG: z.number(),
  caffeineMgPerG: z.number(),
  strengthLowFrac: z.number(),
  strengthHighFrac: z.number(),
});

/** Most jugs that one strain fills. */
const MOST_JUGS = 20;
const strained = z.number().positive().max(BATCH_LIMITS.waterG);

/** Straining a batch into jugs: what each got by mass or by volume, and a reading where there is one. */
export const strainBatchRequest = z.strictObject({
  jugs: z
    .array(
      z
        .strictObject({
          /** Of the jug that is made by it. */
          jugId: idSchema,
          /** The vessel of the shop that it is filled into. */
          vesselId: idSchema.optional(),
          label: nameSchema.optional(),
          massG: strained.optional(),
          volumeMl: strained.optional(),
        })
        .refine(...eitherMassOrVolume),
    )
    .min(1)
    .max(MOST_JUGS),
  strengthFrac: z.number().positive().max(0.3).optional(),
  /** Any instant since it began; without it, now. */
  strainedAt: instantSchema.optional(),
});

/** A batch that was started: the plan, the coffee and the prediction as they were then. */
export const batchSchema = z.object({
  ...documentFields,
  coffeeName: z.string(),
  vesselName: z.string(),
  coffee: coffeeTraitsSchema,
  /** What it was predicted with. */
  model: brewModelSchema,
  plan: planSchema,
  predicted: predictionSchema,
  status: z.enum(['steeping', 'strained', 'abandoned']),
  startedAt: instantSchema,
  endsAt: instantSchema,
  /** The vessel that it was moved to; null while it stands where it was planned. */
  movedTo: z.strictObject({ vesselId: idSchema, vesselName: nameSchema }).nullable().default(null),
  /** Whether its vessel has to be cleaned before another batch goes into it, and when it was. */
  needsCleaning: z.boolean().default(false),
  cleanedAt: instantSchema.nullable().default(null),
  /** Why it was given up; null where it was not. */
  abandonedFor: z.string().nullable().default(null),
  /** The first pour, where it was noted as a step: the steep's clock runs from then. */
  pouredAt: instantSchema.nullable().default(null),
  strainedAt: instantSchema.nullable(),
  /** Strength of what came out, and whence it is known; null until it is strained. */
  strengthFrac: z.number().nullable().default(null),
  strengthBy: z.enum(['reading', 'prediction']).nullable().default(null),
  /** What the hours and places that it really had lead to; null until it is strained. */
  predictedAtStrain: predictionSchema.nullable().default(null),
  /** The strain as it was stated; null until then. */
  strain: strainBatchRequest.nullable().default(null),
});

/** Names a step of the work, as `weigh` or `agitate-2`. */
const stepKeySchema = idSchema;

/** What can be noted of a batch as it really happened. */
const BATCH_ACTUAL_KINDS = [
  'weighed',
  'poured',
  'temperature',
  'agitated',
  'moved',
  'decanted',
  'split-off',
  'spilled',
  'rinsed',
  'came-out',
  'strained',
  'read',
  'done',
  'skipped',
  'abandoned',
  'strain-moved',
  'remarked',
  'undone',
] as const;

const observationFields = {
  /** Coffee weighed, water poured or rinsed with, slurry that was spilled, or brew that came out, g. */
  massG: z.number().positive().max(BATCH_LIMITS.waterG).nullable(),
  /** Of the water poured, or of the slurry, °C. */
  tempC: z.number().min(0).max(100).nullable(),
  strengthFrac: z.number().positive().max(0.5).nullable(),
  note: z.string().max(200),
  /** Of what was in it, the share that went into another batch. */
  shareFrac: z.number().positive().max(0.95).nullable().default(null),
  /** Where it was put, and into what. */
  vesselId: idSchema.nullable().default(null),
  place: z.enum(STEEP_PLACES).nullable().default(null),
  /** The step of the work that was done by it; null where it was noted beside the steps. */
  step: stepKeySchema.nullable().default(null),
  /** When it is to be strained instead. */
  until: instantSchema.nullable().default(null),
  /** The row that is taken back; what it says stays readable. */
  undoes: idSchema.nullable().default(null),
  /** What measured it; null where somebody typed it. */
  instrumentId: idSchema.nullable().default(null),
};

/** One thing that really happened to a batch: a row that nothing overwrites. */
export const observationRowSchema = z.object({
  id: idSchema,
  batchId: idSchema,
  kind: z.enum(BATCH_ACTUAL_KINDS),
  at: instantSchema,
  ...observationFields,
  author: authorSchema,
});

/** Batches that a list holds at most, besides those that steep. */
export const MOST_LISTED = 300;
/** Of which batches a list is. */
export const batchesQuery = z.strictObject({
  /** Of those that steep no more and left nothing to clean, so many: the ones that ended last. */
  count: z.coerce.number().int().min(1).max(MOST_LISTED).default(MOST_LISTED),
});

/** A batch with what really happened to it, in the order of writing. */
export const batchInFullSchema = batchSchema.extend({
  actuals: z.array(observationRowSchema),
  /** Its photographs, in the order in which they were taken. */
  photos: z.array(z.object({ id: idSchema, at: instantSchema, author: authorSchema })).default([]),
  /** How warm its places were while it steeped, where probes measured it. */
  probes: z
    .array(
      z.object({
        place: z.enum([...STEEP_PLACES, 'slurry']),
        samples: z.array(z.object({ atMs: z.number(), tempC: z.number() })),
      }),
    )
    .default([]),
});

const seen = {
  id: idSchema,
  at: instantSchema.optional(),
  note: observationFields.note.default(''),
  step: observationFields.step,
  instrumentId: observationFields.instrumentId,
};
const massG = observationFields.massG.unwrap();
const tempC = observationFields.tempC.unwrap();

/** Noting what happened; without a time it happened now. Straining has an endpoint of its own. */
export const noteRequest = z.discriminatedUnion('kind', [
  z.strictObject({ ...seen, kind: z.literal('weighed'), massG }),
  z.strictObject({ ...seen, kind: z.literal('poured'), massG, tempC }),
  z.strictObject({ ...seen, kind: z.literal('temperature'), tempC }),
  z.strictObject({ ...seen, kind: z.literal('agitated') }),
  z.strictObject({
    ...seen,
    kind: z.literal('read'),
    strengthFrac: observationFields.strengthFrac.unwrap(),
  }),
  z.strictObject({ ...seen, kind: z.literal('moved'), place: z.enum(STEEP_PLACES), tempC }),
  z.strictObject({
    ...seen,
    kind: z.literal('decanted'),
    vesselId: idSchema,
    note: observationFields.note.min(1, 'Say why.'),
  }),
  z.strictObject({ ...seen, kind: z.literal('spilled'), massG }),
  z.strictObject({
    ...seen,
    kind: z.literal('abandoned'),
    note: observationFields.note.min(1, 'Say why.'),
  }),
  z.strictObject({ ...seen, kind: z.literal('strain-moved'), until: instantSchema }),
  z.strictObject({
    ...seen,
    kind: z.literal('remarked'),
    note: observationFields.note.min(1, 'Say what.'),
  }),
  z.strictObject({ ...seen, kind: z.literal('rinsed'), massG }),
  z.strictObject({ ...seen, kind: z.literal('came-out'), massG }),
  z.strictObject({ ...seen, kind: z.literal('done'), step: stepKeySchema }),
  z.strictObject({ ...seen, kind: z.literal('skipped'), step: stepKeySchema }),
  z.strictObject({ ...seen, kind: z.literal('undone'), undoes: idSchema }),
]);

/** Splitting a running batch: a share of it steeps on in another vessel, as a batch of its own. */
export const splitBatchRequest = z.strictObject({
  /** Of the new batch; sent again with the same one it is split once. */
  id: idSchema,
  vesselId: idSchema,
  shareFrac: z.number().min(0.05).max(0.95),
  note: observationFields.note.min(1, 'Say why.'),
  at: instantSchema.optional(),
});

/** Starting a steep. The id is the client's, so that a repeated request starts nothing twice. */
export const startBatchRequest = z.strictObject({
  id: idSchema,
  plan: planSchema,
  /** Any instant that is past; without it, now. */
  startedAt: instantSchema.optional(),
});

export type Plan = z.infer<typeof planSchema>;
export type Batch = z.infer<typeof batchSchema>;
export type ObservationRow = z.infer<typeof observationRowSchema>;
/** One thing that was observed of a batch, without who noted it. */
export type Observation = Omit<ObservationRow, 'author'>;
export type BatchInFull = z.infer<typeof batchInFullSchema>;
export type NoteRequest = z.infer<typeof noteRequest>;
export type Prediction = z.infer<typeof predictionSchema>;
export type SplitBatchRequest = z.infer<typeof splitBatchRequest>;
export type StartBatchRequest = z.infer<typeof startBatchRequest>;
export type StrainBatchRequest = z.infer<typeof strainBatchRequest>;
