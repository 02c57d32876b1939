import { isDeepStrictEqual } from 'node:util';
import { dateAfter, instantOf } from '@ratio/core/calendar';
import type { BatchInFull } from '@ratio/core/batch';
import {
  weeksOf,
  type AcceptLearnedRequest,
  type LearnedVersion,
  type LogQuery,
  type LogRow,
  type Week,
} from '@ratio/core/log';
import type { Tasting, TastingRequest } from '@ratio/core/tasting';
import type { BatchService } from '../batches/service.ts';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { readLogPage, type LogFilter } from '../database/logPage.ts';
import { answered } from '../database/rows.ts';
import { ProblemError } from '../problem.ts';
import { isRepeat, momentOnce } from '../repeatedRow.ts';

/** The log: pages of batches, learned constants, tastings. */
export interface LogService {
  readonly page: (
    caller: Caller,
    query: LogQuery,
  ) => Promise<{ rows: LogRow[]; total: number; page: number }>;
  /** The latest batches with all that was noted, for a fit. */
  readonly lately: (caller: Caller) => Promise<BatchInFull[]>;
  /** What coffee cost by the week, the latest first. */
  readonly weeks: (caller: Caller) => Promise<Week[]>;
  /** Every version of the learned constants, the one in use first. */
  readonly learned: (caller: Caller) => Promise<LearnedVersion[]>;
  readonly accept: (caller: Caller, request: AcceptLearnedRequest) => Promise<LearnedVersion[]>;
  readonly tastings: (caller: Caller, id: string) => Promise<Tasting[]>;
  readonly taste: (caller: Caller, request: TastingRequest) => Promise<Tasting[]>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
  readonly batches: Pick<BatchService, 'get'>;
}

/** What is learned is of one thing: the shop's own model. */
const MODEL = 'model';
/** A fit looks at so many: a year of a busy shop, and what a page can fetch. */
const MOST_LATELY = 200;
/** So many weeks are added up, at most so many batches in each day of them. */
const WEEKS = 12;
const MOST_A_DAY = 40;
const DAY_MS = 86_400_000;

/** @returns the use cases of the log, each in one transaction */
export function createLogService({ db, clock, changes, batches }: Needs): LogService {
  const { learnedVersions, tastings, write } = db;

  async function filterOf(shopId: string, query: LogQuery): Promise<LogFilter> {
    const { from, to, ...rest } = query;
    const { zone } = await db.shops.get(shopId, shopId);
    const begin = (date: string, daysLater = 0): string | null => {
      if (date === '') return null;
      const ms = instantOf({ local: `${dateAfter(date, daysLater)}T00:00`, zone });
      return ms === null ? null : new Date(ms).toISOString();
    };
    return { ...rest, fromAt: begin(from), beforeAt: begin(to, 1) };
  }
  const versions = async ({ shopId }: Caller): Promise<LearnedVersion[]> =>
    (await learnedVersions.about(shopId, MODEL))
      .map((row) => {
        const { of: _, ...version } = answered(row);
        return version;
      })
      .toReversed();
  const tasted = async ({ shopId }: Caller, id: string): Promise<Tasting[]> =>
    (await tastings.about(shopId, id)).map(answered);

  return {
    page: async ({ shopId }, query) => ({
      ...(await readLogPage(db.sequelize, shopId, await filterOf(shopId, query))),
      page: query.page,
    }),

    lately: async (caller) => {
      const { rows } = await readLogPage(
        db.sequelize,
        caller.shopId,
        { ...NEWEST, page: 1 },
        MOST_LATELY,
      );
      return Promise.all(rows.map(({ id }) => batches.get(caller, id)));
    },

    weeks: async ({ shopId }) => {
      const from = new Date(clock.now().getTime() - WEEKS * 7 * DAY_MS).toISOString();
      const [{ zone }, all, coffees, entries, jugs] = await Promise.all([
        db.shops.get(shopId, shopId),
        db.batches.list(shopId, { is: { status: 'strained' }, last: 7 * WEEKS * MOST_A_DAY }),
        db.coffees.list(shopId),
        db.jugEntries.since(shopId, { from }),
        db.jugs.list(shopId, {}),
      ]);
      const prices = new Map(coffees.map(({ id, pricePerKg }) => [id, pricePerKg]));
      const jugPrices = new Map(jugs.map(({ id, filled }) => [id, filled.pricePerKg]));
      return weeksOf({
        zone,
        batches: all
          .filter(({ strainedAt }) => strainedAt !== null && strainedAt >= from)
          .map(({ strainedAt, plan, predicted, strain }) => ({
            atMs: Date.parse(strainedAt!),
            doseG: plan.doseG,
            brewG:
              (strain?.jugs ?? []).reduce((sum, { massG = 0 }) => sum + massG, 0) ||
              predicted.brewG,
            pricePerKg: prices.get(plan.coffeeId) ?? null,
          })),
        discarded: entries
          .filter(({ kind }) => kind === 'discarded')
          .map(({ at, massG, jugId }) => ({
            atMs: Date.parse(at),
            massG: -massG,
            pricePerKg: jugPrices.get(jugId) ?? null,
          })),
      });
    },

    learned: versions,

    accept: async (caller, { id, learned, batchCount }) => {
      const { shopId } = caller;
      await write(async (transaction) => {
        const before = await learnedVersions.find(shopId, id, transaction);
        if (before && isDeepStrictEqual(before.learned, learned)) return;
        if (before)
          throw new ProblemError('already_exists', 'Something else was accepted under this id.');
        const known = await learnedVersions.about(shopId, MODEL, transaction);
        const number = 1 + Math.max(0, ...known.map((one) => one.number));
        const at = clock.now().toISOString();
        await learnedVersions.add(
          caller,
          { id, at, of: MODEL, number, learned, batchCount },
          transaction,
        );
      });
      changes.publish(caller, { noun: 'shelf', id: shopId });
      return versions(caller);
    },

    tastings: tasted,

    taste: async (caller, { at, ...request }) => {
      const { shopId } = caller;
      await write(async (transaction) => {
        const before = await tastings.find(shopId, request.id, transaction);
        const row = { ...request, at: momentOnce({ clock, at, before }) };
        if (!isRepeat(before, row)) await tastings.add(caller, row, transaction);
      });
      changes.publish(caller, { noun: 'tastings', id: request.of });
      return tasted(caller, request.of);
    },
  };
}

const NEWEST: LogFilter = {
  text: '',
  coffee: '',
  grind: '',
  fromAt: null,
  beforeAt: null,
  sort: 'date',
  order: 'desc',
  page: 1,
};
