export { blended, blendToStrengthG, roomFor, stretched, waterToStrengthG } from './balance.ts';
export {
  afterRow,
  contentOfJug,
  emptyJug,
  ledgerRow,
  replay,
  type Content,
  type FilledJug,
  type JugState,
  type LedgerRow,
  type Replay,
  type ReplayedJug,
} from './ledger.ts';
export {
  type Jug,
  type JugEntry,
  jugEntryRequest,
  type JugEntryRequest,
  jugEntrySchema,
  jugSchema,
} from './schema.ts';
