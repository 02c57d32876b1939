import { ledgerRow } from '../jug/ledger.ts';
import type { LedgerEntry } from '../jug/ledgerSchema.ts';

/** @returns a ledger row with the values given, and null for the rest */
export const entryOf = (
  row: Pick<LedgerEntry, 'jugId' | 'id' | 'kind' | 'massG' | 'at'> & Partial<LedgerEntry>,
): LedgerEntry => ledgerRow({ request: null, note: '', ...row });
