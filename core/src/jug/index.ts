export { blended, blendToStrengthG, roomFor, stretched, waterToStrengthG } from './balance.ts';
export {
  afterRow,
  contentOfJug,
  correctableOf,
  emptyJug,
  ledgerRow,
  replay,
  type Content,
  type FilledBy,
  type FilledJug,
  type JugState,
  type LedgerRow,
  type Replay,
  type ReplayedJug,
} from './ledger.ts';
export { ledgerSchema, type Ledger, type LedgerEntry, type StoredJug } from './ledgerSchema.ts';
export { madeElsewhere, type MadeElsewhere } from './madeElsewhere.ts';
export {
  type Jug,
  type JugEntry,
  jugEntryRequest,
  type JugEntryRequest,
  type JugEstimate,
  jugEntrySchema,
  jugSchema,
  newJugRequest,
  type NewJugRequest,
} from './schema.ts';
