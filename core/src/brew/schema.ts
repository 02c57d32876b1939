import { z } from 'zod';
import { GRIND_NAMES } from '../coffee/grinds.ts';
import { documentFields, nameSchema } from '../document/schema.ts';
import { FILTRATION_METHODS } from './filtration.ts';
import { BATCH_LIMITS } from './limits.ts';
import { STRENGTH_NAMES } from './strengthName.ts';

/** Where a slurry steeps. */
export const STEEP_PLACES = ['fridge', 'counter'] as const;

/** 5th and 95th percentile of a result. */
export const rangeSchema = z.object({ low: z.number(), high: z.number() });

export const strengthNameSchema = z.enum(STRENGTH_NAMES.map(({ name }) => name));

/** What a brew was predicted with, as it is kept with a batch. */
export const brewModelSchema = z.strictObject({
  equilibriumYieldFrac: z.number().positive().max(0.4),
  diffusivity22M2PerS: z.number().positive(),
  retainedGPerG: z.record(z.enum(FILTRATION_METHODS), z.number().min(0).max(10)),
  looseDensityGPerMl: z.record(z.enum([...GRIND_NAMES, 'beans']), z.number().positive().max(2)),
  lossFrac: z.number().min(-0.2).max(0.2).optional(),
  caffeineMgPerG: z.number().min(0).max(100),
  learned: z
    .strictObject({
      version: z.number().int().min(1),
      yieldSigma: z.number().min(0),
      rateSigma: z.number().min(0),
      correlationFrac: z.number().min(-1).max(1),
      retainedSigmaGPerG: z.partialRecord(z.enum(FILTRATION_METHODS), z.number().min(0)),
      lossSigmaFrac: z.number().min(0).optional(),
      looseLog: z.strictObject({ value: z.number(), sigma: z.number().min(0) }).optional(),
    })
    .optional(),
});

const VESSEL_USES = ['steep', 'jug'] as const;

/** A vessel of the shop. */
export const vesselSchema = z.object({
  ...documentFields,
  name: nameSchema,
  brimMl: z.number().positive().max(200_000),
  heightMm: z.number().positive().max(2000),
  kind: z.enum(['jar', 'bucket', 'pitcher']),
  shaken: z.boolean(),
  /** Most coffee that its bag or insert takes, g; null without one. */
  bagHoldsG: z.number().positive().max(BATCH_LIMITS.doseG).nullable(),
  fitsFridge: z.boolean(),
  /** What it is for: to steep in, or to keep concentrate in. */
  use: z.enum(VESSEL_USES).default('steep'),
  /** Empty on the scale, g; null where nobody weighed it. */
  tareG: z.number().min(0).max(50_000).nullable().default(null),
  /** Up to its full mark, mL; null where it has none. */
  markMl: z.number().positive().max(200_000).nullable().default(null),
});

export type Vessel = z.infer<typeof vesselSchema>;

/** What a request that measures brew must say, as a refinement and the sentence of its refusal. */
export const eitherMassOrVolume = [
  (input: { massG?: number | undefined; volumeMl?: number | undefined }): boolean =>
    (input.massG === undefined) !== (input.volumeMl === undefined),
  'Give either massG or volumeMl.',
] as const;
