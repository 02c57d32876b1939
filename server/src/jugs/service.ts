import { type Jug, type JugEntryRequest } from '@ratio/core';
import { QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { findDocument, listDocuments } from '../database/documents.ts';
import type { JugBody, Models } from '../database/models.ts';
import { ProblemError } from '../problem.ts';

export interface JugService {
  readonly list: () => Promise<Jug[]>;
  readonly enter: (input: { id: string; request: JugEntryRequest }) => Promise<Jug>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

// What is on hand is the sum of the ledger; the last draw that still stands is what undo takes back.
const LEDGER = `
  SELECT jug_id AS jugId, SUM(mass_g) AS onHandG,
    (SELECT p.id FROM jug_entries p
      WHERE p.jug_id = e.jug_id AND p.kind = 'poured'
        AND NOT EXISTS (SELECT 1 FROM jug_entries u WHERE u.undoes = p.id)
      ORDER BY p.seq DESC LIMIT 1) AS lastEntryId
  FROM jug_entries e GROUP BY jug_id`;

interface LedgerRow {
  readonly jugId: string;
  readonly onHandG: number;
  readonly lastEntryId: string | null;
}

/** @returns the use cases of the jugs, each in one transaction */
export function createJugService({ db, clock, changes }: Needs): JugService {
  const { models, sequelize, write } = db;

  async function list(transaction: Transaction | null = null): Promise<Jug[]> {
    const [jugs, ledger] = await Promise.all([
      listDocuments(models.jugs, transaction),
      sequelize.query<LedgerRow>(LEDGER, { type: QueryTypes.SELECT, transaction }),
    ]);
    const byJug = new Map(ledger.map((row) => [row.jugId, row]));
    return jugs
      .map((jug) => ({
        ...jug,
        onHandG: byJug.get(jug.id)?.onHandG ?? 0,
        lastEntryId: byJug.get(jug.id)?.lastEntryId ?? null,
      }))
      .sort((a, b) => a.madeAt.localeCompare(b.madeAt));
  }

  return {
    list: () => list(),

    enter: async ({ id, request }) => {
      const jug = await write(async (transaction) => {
        await findDocument(models.jugs, { id, what: 'jug', transaction });
        const before = (await list(transaction)).find((one) => one.id === id)!;
        const entry = await entryOf({ models, jug: before, request, transaction });
        if (entry === null) return before;
        await models.jugEntries
          .create(
            { ...entry, id: request.id, jugId: id, at: clock.now().toISOString() },
            { transaction },
          )
          .catch(alreadyThere);
        return (await list(transaction)).find((one) => one.id === id)!;
      });
      changes.tell({ noun: 'jugs', id });
      return jug;
    },
  };
}

interface NewEntry {
  readonly kind: 'poured' | 'undone';
  readonly massG: number;
  readonly note: string;
  readonly undoes: string | null;
}

/** The ledger row that a request asks for; null where it is there already. */
async function entryOf(input: {
  models: Models;
  jug: Jug;
  request: JugEntryRequest;
  transaction: Transaction;
}): Promise<NewEntry | null> {
  const { models, jug, request, transaction } = input;
  const repeat = await models.jugEntries.findOne({ where: { id: request.id }, transaction });
  if (repeat) {
    if (repeat.jugId === jug.id && repeat.kind === request.kind) return null;
    throw new ProblemError('already_exists', 'Another ledger row has this id.');
  }
  if (request.kind === 'poured') {
    if (request.massG > jug.onHandG + 0.5)
      throw new ProblemError(
        'not_possible_now',
        `Only ${Math.round(jug.onHandG)} g are in this jug. Take another one, or pour less.`,
      );
    return {
      kind: 'poured',
      massG: -Math.min(request.massG, jug.onHandG),
      note: request.note,
      undoes: null,
    };
  }
  const poured = await models.jugEntries.findOne({
    where: { id: request.entryId, jugId: jug.id, kind: 'poured' },
    transaction,
  });
  if (!poured) throw new ProblemError('not_found', 'This jug has no such draw to take back.');
  return { kind: 'undone', massG: -poured.massG, note: poured.note, undoes: poured.id };
}

function alreadyThere(error: unknown): never {
  if (error instanceof UniqueConstraintError)
    throw new ProblemError('already_exists', 'This draw was taken back already.');
  throw error;
}

/** Makes a jug and its first ledger row, inside the transaction of whoever fills it. */
export async function fillJug(
  models: Models,
  input: { transaction: Transaction; id: string; massG: number; body: JugBody },
): Promise<void> {
  const { transaction, id, massG, body } = input;
  if (await models.jugs.findByPk(id, { transaction }))
    throw new ProblemError('already_exists', 'A jug with this id exists.');
  await models.jugs.create({ id, body }, { transaction });
  await models.jugEntries.create(
    {
      id: `${id}-filled`.slice(-64),
      jugId: id,
      kind: 'filled',
      massG,
      note: body.label,
      at: body.madeAt,
      undoes: null,
    },
    { transaction },
  );
}
