import { z } from 'zod';
import type { Database } from './database/database.ts';
import { endpoint } from './endpoint.ts';
import { VERSION } from './version.ts';

/** Whether the server and its database answer. */
export const healthEndpoint = (db: Pick<Database, 'ping'>) =>
  endpoint({
    method: 'get',
    path: '/api/health',
    summary: 'Whether the server and its database answer',
    answer: z.object({ status: z.literal('ok'), version: z.string(), database: z.literal('ok') }),
    handle: async () => {
      await db.ping();
      return { status: 'ok', version: VERSION, database: 'ok' };
    },
  });
