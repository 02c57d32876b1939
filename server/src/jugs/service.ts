import { blended, roomFor, type Jug, type JugEntry, type JugEntryRequest } from '@ratio/core';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { findDocument, listDocuments } from '../database/documents.ts';
import type { JugBody, Models } from '../database/models.ts';
import { ProblemError } from '../problem.ts';
import { readLedger } from './ledger.ts';

export interface JugService {
  readonly list: () => Promise<Jug[]>;
  /** A jug's ledger, the latest row first. */
  readonly entries: (id: string) => Promise<JugEntry[]>;
  readonly enter: (input: { id: string; request: JugEntryRequest }) => Promise<Jug>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

// A scale and a sum of rounded rows may disagree by this much.
const SLACK_G = 0.5;

/** @returns the use cases of the jugs, each in one transaction */
export function createJugService({ db, clock, changes }: Needs): JugService {
  const { models, sequelize, write } = db;

  async function list(transaction: Transaction | null = null): Promise<Jug[]> {
    const [jugs, ledger] = await Promise.all([
      listDocuments(models.jugs, transaction),
      readLedger(sequelize, transaction),
    ]);
    const byJug = new Map(ledger.map((row) => [row.jugId, row]));
    return jugs
      .map((jug) => {
        const state = byJug.get(jug.id);
        return {
          ...jug,
          onHandG: state?.onHandG ?? 0,
          lastEntryId: state?.lastEntryId ?? null,
          strengthFrac: state?.strengthFrac ?? jug.strengthFrac,
          caffeineMgPerG: state?.caffeineMgPerG ?? jug.caffeineMgPerG,
          pricePerKg: state?.pricePerKg ?? jug.pricePerKg,
          useBy: state?.useBy ?? jug.useBy,
          readBy: readBy(state?.strengthKind ?? null) ?? jug.readBy,
        };
      })
      .sort((a, b) => a.madeAt.localeCompare(b.madeAt));
  }

  return {
    list: () => list(),

    entries: async (id) => {
      const rows = await models.jugEntries.findAll({
        where: { jugId: id },
        order: [['seq', 'DESC']],
        raw: true,
      });
      const undone = new Set(rows.map(({ undoes }) => undoes));
      return rows.map(({ seq: _, undoes: __, useBy: ___, ...row }) => ({
        ...row,
        undone: undone.has(row.id),
      }));
    },

    enter: async ({ id, request }) => {
      const touched = await write(async (transaction) => {
        await findDocument(models.jugs, { id, what: 'jug', transaction });
        const jugs = await list(transaction);
        const jug = jugs.find((one) => one.id === id)!;
        if (await isRepeat({ models, jug, request, transaction })) return [jug.id];
        const rows = await rowsOf({ models, jug, jugs, request, transaction });
        const at = clock.now().toISOString();
        for (const row of rows)
          await models.jugEntries.create({ ...row, at }, { transaction }).catch(alreadyThere);
        return rows.map(({ jugId }) => jugId);
      });
      for (const jugId of touched) changes.tell({ noun: 'jugs', id: jugId });
      return (await list()).find((one) => one.id === id)!;
    },
  };
}

type NewRow = Omit<JugEntry, 'at' | 'undone'> & {
  readonly undoes: string | null;
  readonly useBy: string | null;
};

interface Entering {
  readonly models: Models;
  readonly jug: Jug;
  readonly jugs: readonly Jug[];
  readonly request: JugEntryRequest;
  readonly transaction: Transaction;
}

async function isRepeat(input: Omit<Entering, 'jugs'>): Promise<boolean> {
  const { models, jug, request, transaction } = input;
  const repeat = await models.jugEntries.findOne({ where: { id: request.id }, transaction });
  if (!repeat) return false;
  const kind = request.kind === 'blended' ? 'blended-in' : request.kind;
  if (repeat.jugId === jug.id && repeat.kind === kind) return true;
  throw new ProblemError('already_exists', 'Another ledger row has this id.');
}

/** The ledger rows that a request asks for; a blend touches two jugs. */
async function rowsOf(input: Entering): Promise<NewRow[]> {
  const { jug, jugs, request } = input;
  const row = rowFor(jug.id);
  switch (request.kind) {
    case 'poured': {
      const massG = -takeFrom(jug, request.massG);
      return [row({ id: request.id, kind: 'poured', massG, note: request.note })];
    }
    case 'read':
      return [
        row({
          id: request.id,
          kind: 'read',
          massG: 0,
          note: request.note,
          strengthFrac: request.strengthFrac,
          // Caffeine comes out with the solids: a stronger reading holds more of both.
          caffeineMgPerG: (jug.caffeineMgPerG * request.strengthFrac) / jug.strengthFrac,
        }),
      ];
    case 'watered': {
      const after = blended(contentOf(jug), { massG: request.massG, strengthFrac: 0 });
      requireRoom(jug, after);
      const kept = jug.onHandG / after.massG;
      return [
        row({
          id: request.id,
          kind: 'watered',
          massG: request.massG,
          note: request.note,
          strengthFrac: after.strengthFrac,
          caffeineMgPerG: jug.caffeineMgPerG * kept,
          pricePerKg: jug.pricePerKg === null ? null : jug.pricePerKg * kept,
        }),
      ];
    }
    case 'blended': {
      const from = jugs.find(({ id }) => id === request.fromJugId);
      if (!from || from.id === jug.id)
        throw new ProblemError('not_found', 'Blend from another jug that is on hand.');
      return blendRows({ jug, from, request });
    }
    case 'undone':
      return undoRows(input, request.entryId);
  }
}

function blendRows(input: {
  jug: Jug;
  from: Jug;
  request: Extract<JugEntryRequest, { kind: 'blended' }>;
}): NewRow[] {
  const { jug, from, request } = input;
  const massG = takeFrom(from, request.massG);
  const after = blended(contentOf(jug), { massG, strengthFrac: from.strengthFrac });
  requireRoom(jug, after);
  const mixed = (own: number, others: number) => (jug.onHandG * own + massG * others) / after.massG;
  const outId = `${request.id.slice(0, 59)}-out`;
  return [
    rowFor(from.id)({
      id: outId,
      kind: 'blended-out',
      massG: -massG,
      note: request.note,
      pairId: request.id,
    }),
    rowFor(jug.id)({
      id: request.id,
      kind: 'blended-in',
      massG,
      note: request.note,
      pairId: outId,
      strengthFrac: after.strengthFrac,
      caffeineMgPerG: mixed(jug.caffeineMgPerG, from.caffeineMgPerG),
      pricePerKg:
        jug.pricePerKg === null || from.pricePerKg === null
          ? null
          : mixed(jug.pricePerKg, from.pricePerKg),
      // The older one's date holds for both.
      useBy: jug.useBy < from.useBy ? jug.useBy : from.useBy,
    }),
  ];
}

async function undoRows(input: Entering, entryId: string): Promise<NewRow[]> {
  const { models, jug, request, transaction } = input;
  const done = await models.jugEntries.findOne({
    where: { id: entryId, jugId: jug.id },
    transaction,
  });
  if (!done || ['filled', 'undone', 'blended-out'].includes(done.kind))
    throw new ProblemError('not_found', 'This jug has no such entry to take back.');
  if (done.strengthFrac !== null && jug.lastEntryId !== entryId)
    throw new ProblemError(
      'not_possible_now',
      'Something was done to the jug since. Take that back first.',
    );
  const undo = (id: string, of: { id: string; jugId: string; massG: number; note: string }) => ({
    ...rowFor(of.jugId)({ id, kind: 'undone', massG: -of.massG, note: of.note }),
    undoes: of.id,
  });
  const rows = [undo(request.id, done)];
  if (done.pairId === null) return rows;
  const pair = await models.jugEntries.findOne({ where: { id: done.pairId }, transaction });
  return pair ? [...rows, undo(`${request.id.slice(0, 58)}-pair`, pair)] : rows;
}

const rowFor =
  (jugId: string) =>
  (part: Pick<NewRow, 'id' | 'kind' | 'massG' | 'note'> & Partial<NewRow>): NewRow => ({
    jugId,
    strengthFrac: null,
    caffeineMgPerG: null,
    pricePerKg: null,
    pairId: null,
    undoes: null,
    useBy: null,
    ...part,
  });

const readBy = (kind: string | null): Jug['readBy'] | null =>
  kind === null ? null : kind === 'read' ? 'refractometer' : 'balance';

const contentOf = ({ onHandG, strengthFrac }: Jug) => ({ massG: onHandG, strengthFrac });

function takeFrom(jug: Jug, massG: number): number {
  if (massG > jug.onHandG + SLACK_G)
    throw new ProblemError(
      'not_possible_now',
      `Only ${Math.round(jug.onHandG)} g are in this jug. Take another one, or pour less.`,
    );
  return Math.min(massG, jug.onHandG);
}

function requireRoom(jug: Jug, after: { massG: number; strengthFrac: number }): void {
  const { needMl, fits } = roomFor({ capacityMl: jug.capacityMl, ...after });
  if (!fits)
    throw new ProblemError(
      'not_possible_now',
      `The jug holds ${Math.round(jug.capacityMl)} mL, and this would be ${Math.round(needMl)} mL. Add less, or draw some off first.`,
    );
}

function alreadyThere(error: unknown): never {
  if (error instanceof UniqueConstraintError)
    throw new ProblemError('already_exists', 'This was taken back already.');
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
      ...rowFor(id)({ id: `${id}-filled`.slice(-64), kind: 'filled', massG, note: body.label }),
      at: body.madeAt,
    },
    { transaction },
  );
}
