import { isDeepStrictEqual } from 'node:util';
import type { Drink, DrinkVersion, KeepDrinkRequest } from '@ratio/core/drink';
import type { Caller, RoledCaller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { answered } from '../database/rows.ts';
import type { Remove } from '../database/documents.ts';
import { keepDocuments } from '../keepDocuments.ts';
import { requirePourable, type PantryService } from '../pantry/service.ts';
import { requirePriceRight } from '../people/prices.ts';
import { ProblemError } from '../problem.ts';

/** The menu, and how its drinks came to be what they are. */
export interface DrinkService {
  readonly list: (caller: Caller) => Promise<Drink[]>;
  readonly versions: (caller: Caller, drinkId: string) => Promise<DrinkVersion[]>;
  /** Keeps a drink as the usual, or as somebody's own; sent again with the same id it counts once. */
  readonly keep: (
    caller: RoledCaller,
    input: { id: string; seenVersion: number | null; request: KeepDrinkRequest },
  ) => Promise<Drink>;
  readonly remove: (caller: Caller, remove: Remove) => Promise<void>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
  readonly pantry: PantryService;
}

/** @returns the use cases of the menu, each in one transaction */
export function createDrinkService({ db, clock, changes, pantry }: Needs): DrinkService {
  const { drinks, drinkVersions, write } = db;
  const { list, remove } = keepDocuments({ documents: drinks, changes, noun: 'drinks' });

  return {
    list,
    remove,

    versions: async ({ shopId }, drinkId) =>
      (await drinkVersions.about(shopId, drinkId)).map(answered).toReversed(),

    keep: async (caller, { id, seenVersion, request }) => {
      const { shopId } = caller;
      const { drink, change, forWhom } = request;
      const kept = await write(async (transaction) => {
        const before = await drinks.find(shopId, id, transaction);
        const repeat = await drinkVersions.find(shopId, request.id, transaction);
        if (repeat && before && isSame(repeat, { drinkId: id, drink, change, forWhom }))
          return before;
        if (repeat) throw new ProblemError('already_exists', 'Another version has this id.');
        requirePriceRight({ caller, before, after: drink, keys: ['price'] });
        requirePourable(drink, (await pantry.resolved(caller, transaction)).pantry, 'drink.');
        if (forWhom !== '' && !before)
          throw new ProblemError(
            'not_found',
            'Put the drink on the menu before it is kept for somebody.',
          );
        const saved =
          forWhom === '' || !before
            ? await drinks.save(caller, { id, seenVersion, body: drink }, transaction)
            : before;
        const at = clock.now().toISOString();
        const version = { id: request.id, drinkId: id, drink, change, forWhom, at };
        await drinkVersions.add(caller, version, transaction);
        return saved;
      });
      changes.publish(caller, { noun: 'drinks', id });
      return kept;
    },
  };
}

/** Whether a version that is kept already says the same. */
const isSame = (
  { drinkId, drink, change, forWhom }: Omit<DrinkVersion, 'author'>,
  asked: Omit<DrinkVersion, 'author' | 'id' | 'at'>,
): boolean => isDeepStrictEqual({ drinkId, drink, change, forWhom }, asked);
