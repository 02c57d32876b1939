import type { SampleSet, SaveSampleSetRequest } from '@ratio/core';
import type { Changes } from '../changes/changes.ts';
import type { Database } from '../database/database.ts';
import { listDocuments, saveDocument } from '../database/documents.ts';

export interface SampleService {
  readonly list: () => Promise<SampleSet[]>;
  readonly save: (input: {
    id: string;
    seenVersion: number | null;
    body: SaveSampleSetRequest;
  }) => Promise<SampleSet>;
}

/** @returns the use cases of a set of small jars */
export function createSampleService(needs: { db: Database; changes: Changes }): SampleService {
  const { db, changes } = needs;
  const { models, write } = db;
  return {
    list: () => listDocuments<SampleSet>(models.sampleSets),
    save: async (input) => {
      const saved = await saveDocument<SampleSet>({ write, model: models.sampleSets, ...input });
      changes.tell({ noun: 'samples', id: saved.id });
      return saved;
    },
  };
}
