import { rebased } from './rebased.ts';
import type { Documents } from './useDocuments.ts';
import { useSaving } from './useSaving.ts';

interface Named {
  readonly id: string;
  readonly version: number;
  readonly name: string;
}

/**
 * Edits of documents of one kind, each saved as it is made, one after another, each with an undo.
 *
 * @param documents how they are read and written; without `remove` they stay once they are added
 * @param currentOf a document as it is now: a change is made on what earlier ones, still on their way,
 *   left of it
 * @returns each resolves to whether it was stored
 */
export function useEdits<T extends Named>(
  documents: Pick<Documents<T>, 'load' | 'save'> & Partial<Pick<Documents<T>, 'remove'>>,
  currentOf: (id: string) => T | null | undefined,
) {
  const saving = useSaving(documents.load);
  const { save, remove } = documents;
  return {
    change: (before: T, change: Partial<T>, what: string): Promise<boolean> =>
      saving({
        failed: `${change.name ?? before.name}: ${what}: not saved.`,
        does: async () => {
          const now = currentOf(before.id) ?? before;
          const after = rebased({ before, after: { ...before, ...change }, now });
          const saved = await save({ ...after, version: now.version });
          return {
            text: `${after.name}: ${what}`,
            undo: () => save({ ...now, version: saved.version }),
          };
        },
      }),
    add: (document: T, text = `${document.name} is on the shelf.`): Promise<boolean> =>
      saving({
        failed: `${document.name}: not added.`,
        does: async () => {
          const saved = await save({ ...document, version: 0 });
          return { text, ...(remove ? { undo: () => remove(saved) } : {}) };
        },
      }),
    remove: (document: T, text = `${document.name} is gone.`): Promise<boolean> =>
      saving({
        does: async () => {
          await remove?.(document);
          return { text, undo: () => save({ ...document, version: 0 }) };
        },
      }),
  };
}
