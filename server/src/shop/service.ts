import { isDeepStrictEqual } from 'node:util';
import { MOST_SETTINGS, type Shop } from '@ratio/core/shop';
import type { Caller } from '../caller.ts';
import type { Clock } from '../clock.ts';
import type { Changes } from '../changes/changes.ts';
import type { Database } from '../database/database.ts';
import type { Save } from '../database/documents.ts';
import { ProblemError } from '../problem.ts';
import type { StoredShop } from '../database/tables.ts';

/** The shop itself: its rooms, hours, tools and defaults. */
export interface ShopService {
  readonly get: (caller: Caller) => Promise<Shop>;
  readonly save: (caller: Caller, input: Omit<Save<Shop>, 'id'>) => Promise<Shop>;
}

const withoutClock = ({
  clockOffsetMs: _,
  signInHere: __,
  calendarKey: ___,
  ...shop
}: StoredShop): Shop => shop;

/** A stale write is answered with the shop as pages know it. */
function withoutStored(error: unknown): never {
  if (!(error instanceof ProblemError) || !error.current) throw error;
  const current = withoutClock(error.current as StoredShop);
  throw new ProblemError(error.code, error.message, { current });
}

/** When the mill was set anew, with now where its dial says something else from now on. */
function millSetAt(
  { mill: before }: StoredShop,
  { mill }: Pick<Shop, 'mill'>,
  now: Date,
): string[] {
  // A shop of before has none.
  const { setAt = [] } = before;
  if (isDeepStrictEqual(before.settings, mill.settings)) return setAt;
  return [...setAt, now.toISOString()].slice(-MOST_SETTINGS);
}

/** @returns the use cases of the shop */
export function createShopService({
  db,
  clock,
  changes,
}: {
  db: Database;
  clock: Clock;
  changes: Changes;
}): ShopService {
  const { shops } = db;
  return {
    get: async ({ shopId }) => withoutClock(await shops.get(shopId, shopId)),
    save: async (caller, { seenVersion, body }) => {
      const { shopId: id } = caller;
      const saved = await db
        .write(async (transaction) => {
          const before = await shops.get(id, id, transaction);
          const { clockOffsetMs, signInHere = false, calendarKey = null } = before;
          const mill = { ...body.mill, setAt: millSetAt(before, body, clock.now()) };
          const kept = { ...body, mill, clockOffsetMs, signInHere, calendarKey };
          return shops.save(caller, { id, seenVersion, body: kept }, transaction);
        })
        .catch(withoutStored);
      changes.publish(caller, { noun: 'shelf', id });
      return withoutClock(saved);
    },
  };
}
