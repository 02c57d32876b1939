import type { Drink, DrinkVersion, KeepDrinkRequest } from '@ratio/core';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { listDocuments, removeDocument, saveDocumentIn } from '../database/documents.ts';
import { requirePourable, type PantryService } from '../pantry/service.ts';
import { ProblemError } from '../problem.ts';

/** The menu, and how its drinks came to be what they are. */
export interface DrinkService {
  readonly list: () => Promise<Drink[]>;
  readonly versions: (drinkId: string) => Promise<DrinkVersion[]>;
  /** Keeps a drink as the usual, or as somebody's own; sent again with the same id it counts once. */
  readonly keep: (input: {
    id: string;
    seenVersion: number | null;
    request: KeepDrinkRequest;
  }) => Promise<Drink>;
  readonly remove: (input: { id: string; seenVersion: number | null }) => Promise<void>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
  readonly pantry: PantryService;
}

/** @returns the use cases of the menu, each in one transaction */
export function createDrinkService({ db, clock, changes, pantry }: Needs): DrinkService {
  const { models, write } = db;

  return {
    list: async () => (await listDocuments<Drink>(models.drinks)).sort((a, b) => a.order - b.order),

    versions: async (drinkId) => {
      const rows = await models.drinkVersions.findAll({
        where: { drinkId },
        order: [['seq', 'DESC']],
      });
      return rows.map(({ id, drink, change, forWhom, at }) => ({
        id,
        drinkId,
        drink,
        change,
        forWhom,
        at,
      }));
    },

    keep: async ({ id, seenVersion, request }) => {
      const { drink, change, forWhom } = request;
      const kept = await write(async (transaction) => {
        const row = await models.drinks.findByPk(id, { transaction });
        const repeat = await models.drinkVersions.findOne({
          where: { id: request.id },
          transaction,
        });
        if (repeat && repeat.drinkId === id && row)
          return { ...row.body, id, version: row.version };
        if (repeat) throw new ProblemError('already_exists', 'Another version has this id.');
        requirePourable(drink, (await pantry.resolved(transaction)).pantry, 'drink.');
        if (forWhom !== '' && !row)
          throw new ProblemError(
            'not_found',
            'Put the drink on the menu before it is kept for somebody.',
          );
        const saved =
          forWhom === '' || !row
            ? await saveDocumentIn<Drink>({
                transaction,
                model: models.drinks,
                id,
                seenVersion,
                body: drink,
              })
            : { ...row.body, id, version: row.version };
        await models.drinkVersions.create(
          { id: request.id, drinkId: id, drink, change, forWhom, at: clock.now().toISOString() },
          { transaction },
        );
        return saved;
      });
      changes.tell({ noun: 'shelf', id });
      return kept;
    },

    remove: async ({ id, seenVersion }) => {
      await write((transaction) =>
        removeDocument<Drink>({ transaction, model: models.drinks, id, seenVersion }),
      );
      changes.tell({ noun: 'shelf', id });
    },
  };
}
