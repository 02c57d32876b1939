import { createReadStream } from 'node:fs';
import path from 'node:path';
import type { Express, Request } from 'express';
import { z } from 'zod';
import { backupsDir } from '../database/checks.ts';
import type { Database } from '../database/database.ts';
import { endpoint, type Endpoint } from '../endpoint.ts';
import { ProblemError } from '../problem.ts';
import { StartError } from '../startError.ts';
import { isBackupName, listBackups, makeBackup, prepareRestore } from './backups.ts';

const backupSchema = z.object({
  name: z.string(),
  by: z.enum(['day', 'hand', 'update', 'restore']),
  at: z.iso.datetime(),
  bytes: z.number(),
});

async function fileOf(dataDir: string, name: string): Promise<string> {
  const known = isBackupName(name) && (await listBackups(dataDir)).some((one) => one.name === name);
  if (!known) throw new ProblemError('not_found', 'There is no copy of that name.');
  return path.join(backupsDir(dataDir), name);
}

/** Copies of the whole shop: made, listed, and taken back into use. */
export const backupEndpoints = (input: {
  db: Database;
  /** Takes a file that waits into use. */
  restart: () => void;
}): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/backups',
    summary: 'The copies of the database, the latest first',
    answer: z.array(backupSchema),
    handle: () => listBackups(input.db.dataDir),
  }),
  endpoint({
    method: 'post',
    path: '/api/backups',
    summary: 'Copy the database now, checked by opening the copy',
    answer: backupSchema,
    status: 201,
    handle: () => makeBackup({ db: input.db, by: 'hand', at: new Date() }),
  }),
  endpoint({
    method: 'post',
    path: '/api/backups/{name}/restore',
    summary: 'Take a copy into use once it is checked; what is there now is kept as another copy',
    answer: z.object({ name: z.string() }),
    handle: async ({ params }) => {
      const name = params['name']!;
      const file = await fileOf(input.db.dataDir, name);
      try {
        await prepareRestore({ dataDir: input.db.dataDir, file });
      } catch (error) {
        if (error instanceof StartError) throw new ProblemError('not_possible_now', error.message);
        throw error;
      }
      input.restart();
      return { name };
    },
  }),
];

/** A copy as a file to keep elsewhere. */
export function mountBackupDownload(
  app: Express,
  input: { db: Database; callerOf: (request: Request) => Promise<unknown> },
): void {
  app.get('/api/backups/:name', async (request, response) => {
    await input.callerOf(request);
    const { name } = request.params;
    const file = await fileOf(input.db.dataDir, name);
    response.attachment(name).type('application/vnd.sqlite3');
    createReadStream(file).pipe(response);
  });
}
