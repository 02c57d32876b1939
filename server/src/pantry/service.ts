import {
  pouredIds,
  pouredPaths,
  resolvePantry,
  usedBy,
  type Drink,
  type HousePart,
  type Opened,
  type Pantry,
  type PantryItem,
  type ResolvedPantry,
} from '@ratio/core';
import type { Transaction } from 'sequelize';
import type { Changes } from '../changes/changes.ts';
import type { Database } from '../database/database.ts';
import { listDocuments, removeDocument, saveDocumentIn } from '../database/documents.ts';
import { ProblemError } from '../problem.ts';

interface Save<T> {
  readonly id: string;
  readonly seenVersion: number | null;
  readonly body: Omit<T, 'id' | 'version'>;
}

interface Remove {
  readonly id: string;
  readonly seenVersion: number | null;
}

/** What the shop can pour: its own ingredients, the parts that it makes, what stands open. */
export interface PantryService {
  readonly items: () => Promise<PantryItem[]>;
  readonly parts: () => Promise<HousePart[]>;
  /** Built-in, own and house-made together. */
  readonly resolved: (transaction?: Transaction) => Promise<ResolvedPantry>;
  readonly saveItem: (input: Save<PantryItem>) => Promise<PantryItem>;
  readonly savePart: (input: Save<HousePart>) => Promise<HousePart>;
  readonly removeItem: (input: Remove) => Promise<void>;
  readonly removePart: (input: Remove) => Promise<void>;
  /** What stands open at the bar, and since when. */
  readonly opened: () => Promise<Opened[]>;
  readonly open: (input: Save<Opened>) => Promise<Opened>;
  readonly useUp: (input: Remove) => Promise<void>;
}

/** @returns the use cases of the pantry */
export function createPantryService({
  db,
  changes,
}: {
  db: Database;
  changes: Changes;
}): PantryService {
  const { models, write } = db;
  const items = (transaction: Transaction | null = null) =>
    listDocuments<PantryItem>(models.pantryItems, transaction);
  const parts = (transaction: Transaction | null = null) =>
    listDocuments<HousePart>(models.houseParts, transaction);

  async function resolved(transaction: Transaction | null = null): Promise<ResolvedPantry> {
    const [own, recipes] = await Promise.all([items(transaction), parts(transaction)]);
    return resolvePantry({ own, parts: recipes });
  }

  /** Refuses to leave a drink or a part without what goes into it. */
  async function requireUnused(id: string, transaction: Transaction): Promise<void> {
    const { pantry } = await resolved(transaction);
    if (Object.hasOwn(pantry, id)) return;
    await models.openedItems.destroy({ where: { id }, transaction });
    const drinks = await listDocuments<Drink>(models.drinks, transaction);
    const users = [
      ...drinks.filter((drink) => pouredIds(drink).includes(id)),
      ...(await parts(transaction)).filter((part) => usedBy(part).includes(id)),
    ].map(({ name }) => name);
    if (users.length > 0)
      throw new ProblemError(
        'not_possible_now',
        `It goes into ${users.join(', ')}. Take it out of there first.`,
      );
  }

  async function remove(
    model: typeof models.pantryItems | typeof models.houseParts | typeof models.openedItems,
    { id, seenVersion }: Remove,
  ): Promise<void> {
    await write(async (transaction) => {
      await removeDocument({ transaction, model: model as never, id, seenVersion });
      await requireUnused(id, transaction);
    });
    changes.tell({ noun: 'pantry', id });
  }

  return {
    items: () => items(),
    parts: async () => (await parts()).sort((a, b) => a.name.localeCompare(b.name)),
    resolved,
    saveItem: async (input) => {
      const saved = await write((transaction) =>
        saveDocumentIn<PantryItem>({ transaction, model: models.pantryItems, ...input }),
      );
      changes.tell({ noun: 'pantry', id: input.id });
      return saved;
    },
    savePart: async (input) => {
      const saved = await write(async (transaction) => {
        const document = await saveDocumentIn<HousePart>({
          transaction,
          model: models.houseParts,
          ...input,
        });
        const { broken } = await resolved(transaction);
        const message = broken[input.id];
        if (message)
          throw new ProblemError('bad_body', message, { issues: [{ path: 'inputs', message }] });
        return document;
      });
      changes.tell({ noun: 'pantry', id: input.id });
      return saved;
    },
    removeItem: (input) => remove(models.pantryItems, input),
    removePart: (input) => remove(models.houseParts, input),
    opened: () => listDocuments<Opened>(models.openedItems),
    open: async (input) => {
      const saved = await write(async (transaction) => {
        const { pantry } = await resolved(transaction);
        if (!Object.hasOwn(pantry, input.id))
          throw new ProblemError('not_found', `There is no ingredient “${input.id}” to open.`);
        return saveDocumentIn<Opened>({ transaction, model: models.openedItems, ...input });
      });
      changes.tell({ noun: 'pantry', id: input.id });
      return saved;
    },
    useUp: (input) => remove(models.openedItems, input),
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
