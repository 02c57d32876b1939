import { z } from 'zod';
import { idSchema, instantSchema } from '../document/schema.ts';
import type { LedgerRow } from './ledger.ts';
import { JUG_ENTRY_KINDS, jugSchema } from './schema.ts';

/** A jug as it is stored. */
const storedJugSchema = jugSchema.extend({
  /** The request that filled it, where it was made elsewhere; null where a batch was strained into it. */
  request: z.looseObject({}).nullable().optional(),
});

/** A ledger row as it is written. */
const ledgerEntrySchema = z.object({
  id: idSchema,
  jugId: idSchema,
  kind: z.enum(JUG_ENTRY_KINDS),
  massG: z.number(),
  note: z.string(),
  at: instantSchema,
  strengthFrac: z.number().nullable(),
  caffeineMgPerG: z.number().nullable(),
  pricePerKg: z.number().nullable(),
  useBy: instantSchema.nullable(),
  countedG: z.number().nullable(),
  undoes: idSchema.nullable(),
  corrects: idSchema.nullable(),
  pairId: idSchema.nullable(),
  /** The request as it was sent; null for rows that came with another one. */
  request: z.looseObject({}).nullable(),
}) satisfies z.ZodType<LedgerRow>;

/** What is on hand with the ledger rows that it follows from, in the order of writing. */
export const ledgerSchema = z.object({
  jugs: z.array(storedJugSchema),
  entries: z.array(ledgerEntrySchema),
});

export type StoredJug = z.infer<typeof storedJugSchema>;
export type LedgerEntry = z.infer<typeof ledgerEntrySchema>;
export type Ledger = z.infer<typeof ledgerSchema>;
