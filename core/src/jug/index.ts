export { blended, blendToStrengthG, roomFor, stretched, waterToStrengthG } from './balance.ts';
export { type FilledJug, type LedgerRow, ledgerSum } from './ledger.ts';
export {
  type Jug,
  type JugEntry,
  jugEntryRequest,
  type JugEntryRequest,
  jugEntrySchema,
  jugSchema,
} from './schema.ts';
