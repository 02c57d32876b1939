import { pouredIds, pouredPaths } from '@ratio/core/drink';
import {
  resolvePantry,
  usedBy,
  type HouseRecipe,
  type Opened,
  type Pantry,
  type PantryItem,
  type ResolvedPantry,
} from '@ratio/core/pantry';
import type { Transaction } from 'sequelize';
import type { Caller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Database } from '../database/database.ts';
import type { Documents, Identified } from '../database/documents.ts';
import type { KeptDocuments } from '../keepDocuments.ts';
import { requirePriceRight } from '../people/prices.ts';
import { ProblemError } from '../problem.ts';

/** What the shop can pour: its own ingredients, its house recipes, what stands open. */
export interface PantryService {
  readonly items: KeptDocuments<PantryItem>;
  readonly houseRecipes: KeptDocuments<HouseRecipe>;
  /** What stands open at the bar, and since when. */
  readonly opened: KeptDocuments<Opened>;
  /** Built-in, own and house-made together. */
  readonly resolved: (
    input: Pick<Caller, 'shopId'>,
    transaction?: Transaction,
  ) => Promise<ResolvedPantry>;
}

/** Checks a document that is about to be written, inside the transaction that wrote it. */
type Check = (input: { caller: Caller; id: string; transaction: Transaction }) => Promise<void>;

/** @returns the use cases of the pantry */
export function createPantryService(input: { db: Database; changes: Changes }): PantryService {
  const { db, changes } = input;

  async function resolved(
    { shopId }: Pick<Caller, 'shopId'>,
    transaction?: Transaction,
  ): Promise<ResolvedPantry> {
    const [own, houseRecipes] = await Promise.all([
      db.pantryItems.list(shopId, {}, transaction),
      db.houseRecipes.list(shopId, {}, transaction),
    ]);
    return resolvePantry({ own, houseRecipes });
  }

  /** Refuses to leave a drink or a house recipe without what goes into it. */
  const requireUnused: Check = async ({ caller, id, transaction }) => {
    const { shopId } = caller;
    const { pantry } = await resolved(caller, transaction);
    if (Object.hasOwn(pantry, id)) return;
    const open = await db.openedItems.find(shopId, id, transaction);
    if (open) await db.openedItems.remove(caller, { id, seenVersion: open.version }, transaction);
    const drinks = await db.drinks.list(shopId, {}, transaction);
    const recipes = await db.houseRecipes.list(shopId, {}, transaction);
    const users = [
      ...drinks.filter((drink) => pouredIds(drink).includes(id)),
      ...recipes.filter((recipe) => usedBy(recipe).includes(id)),
    ].map(({ name }) => name);
    if (users.length > 0)
      throw new ProblemError(
        'not_possible_now',
        `It goes into ${users.join(', ')}. Take it out of there first.`,
      );
  };

  /** Refuses a house recipe that cannot be made. */
  const requireMakeable: Check = async ({ caller, id, transaction }) => {
    const message = (await resolved(caller, transaction)).broken[id];
    if (message)
      throw new ProblemError('bad_body', message, { issues: [{ path: 'inputs', message }] });
  };

  const requireKnown: Check = async ({ caller, id, transaction }) => {
    const { pantry } = await resolved(caller, transaction);
    if (!Object.hasOwn(pantry, id))
      throw new ProblemError('not_found', `There is no ingredient “${id}” to open.`);
  };

  function checked<T extends Identified>(
    documents: Documents<T>,
    saved: Check = async () => undefined,
    prices: readonly string[] = [],
  ): KeptDocuments<T> {
    const publish = (caller: Caller, id: string) => changes.publish(caller, { noun: 'pantry', id });
    return {
      list: ({ shopId }) => documents.list(shopId),
      save: async (caller, save) => {
        const document = await db.write(async (transaction) => {
          if (prices.length > 0) {
            const before = await documents.find(caller.shopId, save.id, transaction);
            requirePriceRight({ caller, before, after: save.body, keys: prices });
          }
          const written = await documents.save(caller, save, transaction);
          await saved({ caller, id: save.id, transaction });
          return written;
        });
        publish(caller, save.id);
        return document;
      },
      remove: async (caller, remove) => {
        await db.write(async (transaction) => {
          await documents.remove(caller, remove, transaction);
          await requireUnused({ caller, id: remove.id, transaction });
        });
        publish(caller, remove.id);
      },
    };
  }

  return {
    items: checked(db.pantryItems, undefined, ['pricePerKg']),
    houseRecipes: checked(db.houseRecipes, requireMakeable),
    opened: checked(db.openedItems, requireKnown),
    resolved,
  };
}

/**
 * Checks that a pantry holds everything that a drink pours.
 *
 * @param under where the drink stands in the body, with a dot at its end; empty for the body itself
 * @throws {ProblemError} bad_body, naming each that is missing
 */
export function requirePourable(
  drink: Parameters<typeof pouredPaths>[0],
  pantry: Pantry,
  under = '',
): void {
  const issues = [...pouredPaths(drink)]
    .filter(([, id]) => !Object.hasOwn(pantry, id))
    .map(([at, id]) => ({
      path: `${under}${at}`,
      message: `There is no ingredient “${id}”. Choose one that /api/ingredients lists.`,
    }));
  if (issues.length > 0) throw new ProblemError('bad_body', issues[0]!.message, { issues });
}
