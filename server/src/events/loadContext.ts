import { USUAL_COFFEES } from '@ratio/core/coffee';
import type { EventContext } from '@ratio/core/events';
import type { Transaction } from 'sequelize';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';

/** Loads the shop, its shelf and the learned constants in a transaction. */
export async function loadContext(
  db: Database,
  { shopId, clock, transaction }: { shopId: string; clock: Clock; transaction: Transaction },
): Promise<EventContext> {
  const shop = await db.shops.get(shopId, shopId, transaction);
  const vessels = await db.vessels.list(shopId, {}, transaction);
  const coffees = await db.coffees.list(shopId, {}, transaction);
  const last = (await db.learnedVersions.about(shopId, 'model', transaction)).at(-1);
  return {
    ...clock.range(),
    shop,
    vessels,
    coffees: [...coffees, ...USUAL_COFFEES],
    learned: last?.learned ? { learned: last.learned, version: last.number } : null,
  };
}
