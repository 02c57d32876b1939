import { statfs } from 'node:fs/promises';
import { z } from 'zod';
import type { Database } from './database/database.ts';
import { endpoint } from './endpoint.ts';
import { VERSION } from './version.ts';

/** Free space below which writes may soon fail, bytes. */
const LOW_BYTES = 50e6;

/** Whether the server answers, and whether its database can be written to. */
export const healthEndpoint = (db: Pick<Database, 'ping' | 'isFull' | 'dataDir' | 'unreadable'>) =>
  endpoint({
    method: 'get',
    path: '/api/health',
    summary: 'Whether the server and its database answer, and whether the disk has room',
    answer: z.object({
      status: z.enum(['ok', 'failing']),
      version: z.string(),
      database: z.enum(['ok', 'disk_full']),
      disk: z.enum(['ok', 'low', 'full']),
      /** Documents that are damaged, and left out of every list. */
      unreadable: z.array(z.string()),
    }),
    handle: async () => {
      await db.ping();
      const { bavail, bsize } = await statfs(db.dataDir);
      const full = db.isFull();
      return {
        status: full ? 'failing' : 'ok',
        version: VERSION,
        database: full ? 'disk_full' : 'ok',
        unreadable: [...db.unreadable],
        disk: full ? 'full' : bavail * bsize < LOW_BYTES ? 'low' : 'ok',
      };
    },
  });
