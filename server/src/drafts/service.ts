import type { Draft, SaveDraftRequest } from '@ratio/core/batch';
import type { RoledCaller } from '../caller.ts';
import type { Changes } from '../changes/changes.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { keepDocuments } from '../keepDocuments.ts';
import { ProblemError } from '../problem.ts';

export interface DraftService {
  readonly list: (caller: RoledCaller) => Promise<Draft[]>;
  readonly save: (
    caller: RoledCaller,
    input: { id: string; seenVersion: number | null; request: SaveDraftRequest },
  ) => Promise<Draft>;
}

interface Needs {
  readonly db: Database;
  readonly clock: Clock;
  readonly changes: Changes;
}

/** @returns the use cases of a draft; two tablets on one draft never overwrite each other unseen */
export function createDraftService({ db, clock, changes }: Needs): DraftService {
  const { list, save } = keepDocuments({ documents: db.drafts, changes, noun: 'drafts' });
  return {
    list,
    save: async (caller, { id, seenVersion, request }) => {
      if (await db.batches.find(caller.shopId, id))
        throw new ProblemError(
          'already_exists',
          'This plan is started. What is planned now is another one, under an identity of its own.',
        );
      return save(caller, {
        id,
        seenVersion,
        body: { ...request, savedAt: clock.now().toISOString() },
      });
    },
  };
}
