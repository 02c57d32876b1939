import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';

/** What a jug's ledger comes to. What a row does not say stays as the jug was filled. */
export interface LedgerState {
  readonly jugId: string;
  readonly onHandG: number;
  /** The latest thing done to it that still stands and can be taken back. */
  readonly lastEntryId: string | null;
  readonly strengthFrac: number | null;
  /** Kind of the row that says the strength. */
  readonly strengthKind: string | null;
  readonly caffeineMgPerG: number | null;
  readonly pricePerKg: number | null;
  readonly useBy: string | null;
}

// A row stands unless another one undoes it. What is on hand is the sum of all of them; strength,
// caffeine, cost and date are those of the latest standing row that says them.
const STANDS = `NOT EXISTS (SELECT 1 FROM jug_entries u WHERE u.undoes = p.id)`;
const latest = (column: string, said = column): string => `
  (SELECT p.${column} FROM jug_entries p
    WHERE p.jug_id = e.jug_id AND p.${said} IS NOT NULL AND p.kind <> 'undone' AND ${STANDS}
    ORDER BY p.seq DESC LIMIT 1)`;
const LAST = `
  (SELECT p.id FROM jug_entries p
    WHERE p.jug_id = e.jug_id AND p.kind NOT IN ('filled', 'blended-out', 'undone') AND ${STANDS}
    ORDER BY p.seq DESC LIMIT 1)`;
const LEDGER = `
  SELECT jug_id AS jugId, SUM(mass_g) AS onHandG,
    ${LAST} AS lastEntryId,
    ${latest('strength_frac')} AS strengthFrac,
    ${latest('kind', 'strength_frac')} AS strengthKind,
    ${latest('caffeine_mg_per_g')} AS caffeineMgPerG,
    ${latest('price_per_kg')} AS pricePerKg,
    ${latest('use_by')} AS useBy
  FROM jug_entries e GROUP BY jug_id`;

/** @returns the state of every jug that has a ledger */
export const readLedger = (
  sequelize: Sequelize,
  transaction: Transaction | null,
): Promise<LedgerState[]> =>
  sequelize.query<LedgerState>(LEDGER, { type: QueryTypes.SELECT, transaction });
