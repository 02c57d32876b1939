import type { Noun } from '@ratio/core/document';
import type { Caller, RoledCaller } from './caller.ts';
import { requirePriceRight } from './people/prices.ts';
import type { Changes } from './changes/changes.ts';
import type { Documents, Identified, Remove, Save } from './database/documents.ts';

/** What pages do with documents of one kind. */
export interface KeptDocuments<T extends Identified> {
  readonly list: (caller: Caller) => Promise<T[]>;
  readonly save: (caller: RoledCaller, save: Save<T>) => Promise<T>;
  readonly remove: (caller: Caller, remove: Remove) => Promise<void>;
}

/** @returns documents that are written as they are sent, each write published to every open page */
export const keepDocuments = <T extends Identified>(input: {
  documents: Documents<T>;
  changes: Changes;
  noun: Noun;
  /** Keys that only a lead may change. */
  prices?: readonly (keyof T & string)[];
}): KeptDocuments<T> => {
  const { documents, changes, noun, prices = [] } = input;
  return {
    list: ({ shopId }) => documents.list(shopId),
    save: async (caller, save) => {
      if (prices.length > 0) {
        const before = await documents.find(caller.shopId, save.id);
        requirePriceRight({ caller, before, after: save.body, keys: prices });
      }
      const saved = await documents.save(caller, save);
      changes.publish(caller, { noun, id: save.id });
      return saved;
    },
    remove: async (caller, remove) => {
      await documents.remove(caller, remove);
      changes.publish(caller, { noun, id: remove.id });
    },
  };
};
