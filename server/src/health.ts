import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { endpoint } from './endpoint.ts';
import { VERSION } from './version.ts';

/** Whether the server and its database answer. */
export const healthEndpoint = (sequelize: Sequelize) =>
  endpoint({
    method: 'get',
    path: '/api/health',
    summary: 'Whether the server and its database answer',
    answer: z.object({ status: z.literal('ok'), version: z.string(), database: z.literal('ok') }),
    handle: async () => {
      await sequelize.query('SELECT 1');
      return { status: 'ok', version: VERSION, database: 'ok' };
    },
  });
