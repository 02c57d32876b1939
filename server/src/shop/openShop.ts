import { CONSTANTS } from '@ratio/core/constants';
import { usualChecklists, type Shop } from '@ratio/core/shop';
import { UNSIGNED } from '../caller.ts';
import type { Database } from '../database/database.ts';
import type { StoredShop } from '../database/tables.ts';
import { StartError } from '../startError.ts';

/** A shop before anybody has said anything about it. */
const NEW_SHOP: Omit<Shop, 'id' | 'version' | 'zone'> = {
  name: 'The shop',
  currency: 'EUR',
  roomC: 22,
  fridgeC: 4,
  waterC: 12,
  fridgeL: null,
  openHours: 8,
  closeHours: 18,
  crewFromHours: 7,
  crewToHours: 19,
  clock: '24 h',
  mill: {
    name: '',
    settings: { 'extra-coarse': '', coarse: '', 'medium-coarse': '', medium: '', fine: '' },
    setAt: [],
  },
  scoopMl: 30,
  filters: [],
  bar: {
    jiggerMl: 5,
    pumpMl: 7.5,
    spoonMl: 5,
    scaleG: 1,
    siphonMl: 1000,
    chargesPerFill: 1,
    chargePrice: 0,
    kegMl: 9500,
  },
  brixToStrength: CONSTANTS.brixToStrength.value,
  steps: [],
  checklists: usualChecklists(),
  defaults: {
    grind: 'coarse',
    ratio: 5,
    place: 'fridge',
    hours: 18,
    wetting: 'stages',
    method: 'drain',
  },
};
const NEW_SHOP_ID = 'shop';

/**
 * The shop that a server serves: the one of its database, made in the machine's own zone where there is
 * none.
 *
 * @param input.shopId which one, where there are several; null to serve the only one
 * @throws {StartError} in one sentence, where it is not there or cannot be chosen
 */
export async function openShop(input: {
  db: Database;
  shopId: string | null;
}): Promise<StoredShop> {
  const { shops, write } = input.db;
  const known = await shops.shopIds();
  if (known.length > 1 && input.shopId === null)
    throw new StartError(
      `This database holds several shops. Set RATIO_SHOP to one of: ${known.join(', ')}.`,
    );
  const id = input.shopId ?? known[0] ?? NEW_SHOP_ID;
  const found = await shops.find(id, id);
  if (found) return found;
  if (known.length > 0)
    throw new StartError(
      `This database holds no shop “${id}”. RATIO_SHOP can be: ${known.join(', ')}.`,
    );
  const { timeZone: zone } = Intl.DateTimeFormat().resolvedOptions();
  return write(
    async (transaction) =>
      // Another server may have started at the same time, and been first.
      (await shops.find(id, id, transaction)) ??
      shops.save(
        { shopId: id, author: UNSIGNED },
        { id, seenVersion: 0, body: { ...NEW_SHOP, zone, clockOffsetMs: 0 } },
        transaction,
      ),
  );
}
