import type { Noun } from '@ratio/core/document';
import type { Caller } from './caller.ts';
import type { Changes } from './changes/changes.ts';
import type { Documents, Identified, Remove, Save } from './database/documents.ts';

/** What pages do with documents of one kind. */
export interface KeptDocuments<T extends Identified> {
  readonly list: (caller: Caller) => Promise<T[]>;
  readonly save: (caller: Caller, save: Save<T>) => Promise<T>;
  readonly remove: (caller: Caller, remove: Remove) => Promise<void>;
}

/** @returns documents that are written as they are sent, each write published to every open page */
export const keepDocuments = <T extends Identified>(of: {
  documents: Documents<T>;
  changes: Changes;
  noun: Noun;
}): KeptDocuments<T> => {
  const { documents, changes, noun } = of;
  return {
    list: ({ shopId }) => documents.list(shopId),
    save: async (caller, save) => {
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
