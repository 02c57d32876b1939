import type { Draft, SaveDraftRequest } from '@ratio/core';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { listDocuments, saveDocument } from '../database/documents.ts';

export interface DraftService {
  readonly list: () => Promise<Draft[]>;
  readonly save: (input: {
    id: string;
    seenVersion: number | null;
    request: SaveDraftRequest;
  }) => Promise<Draft>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

/** @returns the use cases of a draft; two tablets on one draft never overwrite each other unseen */
export function createDraftService({ db, clock, changes }: Needs): DraftService {
  const { models, write } = db;
  return {
    list: async () =>
      (await listDocuments<Draft>(models.drafts)).sort((a, b) =>
        b.savedAt.localeCompare(a.savedAt),
      ),
    save: async ({ id, seenVersion, request }) => {
      const body = { ...request, savedAt: clock.now().toISOString() };
      const draft = await saveDocument<Draft>({
        write,
        model: models.drafts,
        id,
        seenVersion,
        body,
      });
      changes.tell({ noun: 'drafts', id });
      return draft;
    },
  };
}
