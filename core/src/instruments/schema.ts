import { z } from 'zod';
import { STEEP_PLACES } from '../brew/schema.ts';
import {
  authorSchema,
  documentFields,
  idSchema,
  instantSchema,
  nameSchema,
} from '../document/schema.ts';
import { INSTRUMENT_KINDS } from './kinds.ts';

const PORT = z.number().int().min(1).max(65_535);

/** What speaks for an instrument. */
const driverSchema = z.discriminatedUnion('by', [
  /** A stand-in that behaves like one. */
  z.strictObject({ by: z.literal('simulated'), seed: z.number().int().min(0).max(0xffff_ffff) }),
  /** Lines over TCP; the address is of the shop's own network. */
  z.strictObject({
    by: z.literal('tcp'),
    host: z.string().trim().min(1).max(120),
    portNumber: PORT,
  }),
  /** Lines over the serial port of the tablet that it is plugged into. */
  z.strictObject({ by: z.literal('serial') }),
]);

/** A scale, a refractometer or a thermometer probe of the shop. */
export const instrumentSchema = z.object({
  ...documentFields,
  name: nameSchema,
  kind: z.enum(INSTRUMENT_KINDS),
  driver: driverSchema,
  /** What a probe measures: a place, or the vessel of a batch that it hangs in; null for whatever it is held to. */
  place: z.enum(STEEP_PLACES).nullable().default(null),
  batchId: idSchema.nullable().default(null),
  /** What is shown is `proportion` times what it says, and this added, in its own unit. */
  calibration: z
    .strictObject({
      proportion: z.number().positive().min(0.5).max(2),
      plusG: z.number().min(-10_000).max(10_000).default(0),
      plusC: z.number().min(-20).max(20).default(0),
      plusBrix: z.number().min(-10).max(10).default(0),
      at: instantSchema,
      author: authorSchema,
    })
    .nullable()
    .default(null),
});
export type Instrument = z.infer<typeof instrumentSchema>;

/** One thing that an instrument says. */
export const sampleSchema = z.strictObject({
  instrumentId: idSchema,
  atMs: z.number(),
  massG: z.number().nullable(),
  tempC: z.number().nullable(),
  /** °Bx, as it would be read at 20 °C where `sampleC` is null. */
  brix: z.number().nullable(),
  /** Of the drop on the glass, °C. */
  sampleC: z.number().nullable(),
  isSteady: z.boolean(),
});
export type Sample = z.infer<typeof sampleSchema>;

/** How an instrument stands now. */
export const instrumentStateSchema = z.object({
  instrumentId: idSchema,
  state: z.enum(['connecting', 'speaks', 'silent', 'gone']),
  /** Why, where it does not speak; what it said that nobody understands. */
  detail: z.string(),
  /** Lines that were no lines, since it connected. */
  malformed: z.number().int().min(0),
  sample: sampleSchema.nullable(),
});
export type InstrumentState = z.infer<typeof instrumentStateSchema>;

/** What can be asked of an instrument. */
export const instrumentActRequest = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('tare') }),
  /** Takes the step of a batch into its hands: only a stand-in knows what that would weigh. */
  z.strictObject({ act: z.literal('attend'), batchId: idSchema.nullable() }),
  /** Tries a stand-in: so much on its plate, or in its drop. */
  z.strictObject({
    act: z.literal('try'),
    massG: z.number().min(0).max(60_000).optional(),
    brix: z.number().min(0).max(40).optional(),
    tempC: z.number().min(-10).max(100).optional(),
  }),
]);
export type InstrumentActRequest = z.infer<typeof instrumentActRequest>;
