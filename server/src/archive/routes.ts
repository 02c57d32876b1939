import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { NOUNS } from '@ratio/core/document';
import type { Express, Request } from 'express';
import { makeBackup } from '../backups/backups.ts';
import type { Changes } from '../changes/changes.ts';
import type { RoledCaller } from '../caller.ts';
import type { Database } from '../database/database.ts';
import { ProblemError } from '../problem.ts';
import { CSV_LISTS, writeCsv } from './csv.ts';
import { readArchive } from './readArchive.ts';
import { writeArchive } from './writeArchive.ts';

/** What is sent as an archive, packed, bytes. */
const MOST_BYTES = 500e6;

/** All of a shop out and in, and its lists as tables: files, so they stand beside the JSON endpoints. */
export function mountArchive(
  app: Express,
  input: {
    db: Database;
    changes: Changes;
    /** Restarts background work on the new data. */
    taken: () => Promise<void>;
    callerOf: (request: Request) => Promise<RoledCaller>;
  },
): void {
  const { db, changes, callerOf, taken } = input;

  app.get('/api/archive', async (request, response) => {
    const { shopId } = await callerOf(request);
    response.attachment('ratio-archive.zip').type('application/zip');
    await writeArchive(db, shopId, response);
  });

  app.post('/api/archive', async (request, response) => {
    const caller = await callerOf(request);
    if (!request.is('application/zip'))
      throw new ProblemError('unsupported_media_type', 'Send Content-Type: application/zip.');
    const dir = await mkdtemp(path.join(db.dataDir, 'archive-'));
    try {
      const file = path.join(dir, 'archive.zip');
      await received(request, file);
      // The replaced data is kept as a copy in any case.
      await makeBackup({ db, by: 'hand', at: new Date() });
      const { shopId } = caller;
      const isStopped = (): boolean => request.destroyed && !request.complete;
      const { lines } = await readArchive({ db, shopId, file, isStopped });
      await taken();
      for (const noun of NOUNS) changes.publish(caller, { noun, id: shopId });
      response.json({ lines });
    } finally {
      await rm(dir, { recursive: true, force: true });
    }
  });

  app.get('/api/export/:list.csv', async (request, response) => {
    const { shopId } = await callerOf(request);
    const list = String(request.params['list']);
    if (!Object.hasOwn(CSV_LISTS, list))
      throw new ProblemError(
        'not_found',
        `There is no list “${list.slice(0, 40)}”; there are ${Object.keys(CSV_LISTS).join(', ')}.`,
      );
    response.attachment(`${list}.csv`).type('text/csv; charset=utf-8');
    await writeCsv(db, { list, shopId }, response);
  });
}

async function received(request: Request, file: string): Promise<void> {
  let bytes = 0;
  await pipeline(
    request,
    async function* (parts: AsyncIterable<Buffer>) {
      for await (const part of parts) {
        bytes += part.length;
        if (bytes > MOST_BYTES)
          throw new ProblemError('body_too_large', 'An archive has at most 500 MB.');
        yield part;
      }
    },
    createWriteStream(file),
  );
}
