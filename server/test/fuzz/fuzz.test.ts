import { fileURLToPath } from 'node:url';
import { batchSchema } from '@ratio/core/batch';
import { coffeeSchema } from '@ratio/core/coffee';
import { drinkSchema } from '@ratio/core/drink';
import { jugSchema } from '@ratio/core/jug';
import { pantryItemSchema } from '@ratio/core/pantry';
import { shopSchema } from '@ratio/core/shop';
import { expect } from 'chai';
import { z } from 'zod';
import { LIDO_MORNING } from '../../../demo/lido.ts';
import { seedLido } from '../../../demo/seed.ts';
import { openDatabase } from '../../src/database/database.ts';
import { inFolder, startServer, stopServer } from '../realServer.ts';
import { randomRequests, type OpenapiDocument, type RandomRequest } from './randomRequests.ts';

/** How many requests; `npm run fuzz` sends 10,000, and says how long one kept all others waiting. */
const COUNT = Number(process.env['RATIO_FUZZ'] ?? 500);
const SEED = Number(process.env['RATIO_FUZZ_SEED'] ?? 20261126);
const AT_ONCE = 4;
const HANG_MS = 15_000;
const MOST_BYTES = 64 * 1024;
const BLOCKED = fileURLToPath(new URL('blocked.mjs', import.meta.url));

/** What pages read when they open; what a request stored must not break any of them. */
const LISTS: Readonly<Record<string, z.ZodType>> = {
  '/api/jugs': z.array(jugSchema),
  '/api/batches': z.array(batchSchema),
  '/api/drinks': z.array(drinkSchema),
  '/api/coffees': z.array(coffeeSchema),
  '/api/pantry': z.array(pantryItemSchema),
  '/api/shop': shopSchema,
};

describe('whatever is sent', () => {
  it(`is answered or refused, ${COUNT} times: no 5xx, no hang, nothing stored that a page cannot read`, async function () {
    this.timeout(60_000 + COUNT * 60);
    await inFolder(async (dataDir) => {
      const db = await openDatabase(dataDir);
      await seedLido({ db, realNow: new Date(LIDO_MORNING) });
      await db.close();
      const server = await startServer(dataDir, {}, ['--import', BLOCKED]).then(async (one) => ({
        ...one,
        at: await one.url,
      }));
      const document = (await (
        await fetch(`${server.at}/api/openapi.json`)
      ).json()) as OpenapiDocument;
      const requests = randomRequests({ document, count: COUNT, seed: SEED });
      const statuses = new Map<number, number>();
      const wrong: string[] = [];

      async function send({ method, path, headers, body }: RandomRequest): Promise<void> {
        const what = `${method} ${path.slice(0, 80)} ${body?.slice(0, 400) ?? ''}`;
        try {
          const answer = await fetch(`${server.at}${path}`, {
            method,
            headers,
            signal: AbortSignal.timeout(HANG_MS),
            ...(body === undefined ? {} : { body }),
          });
          const said = await answer.arrayBuffer();
          statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
          if (answer.status >= 500) wrong.push(`${answer.status}: ${what}`);
          if (answer.status >= 400 && said.byteLength > MOST_BYTES)
            wrong.push(`${said.byteLength} bytes: ${what}`);
        } catch (error) {
          wrong.push(`${String(error)}: ${what}`);
        }
      }
      const waiting = [...requests];
      await Promise.all(
        Array.from({ length: AT_ONCE }, async () => {
          for (let next = waiting.shift(); next; next = waiting.shift()) await send(next);
        }),
      );
      expect(wrong.slice(0, 10)).to.deep.equal([]);
      // Not all refused: some of it was meant well.
      expect((statuses.get(200) ?? 0) + (statuses.get(201) ?? 0)).to.be.above(COUNT / 10);
      for (const [path, schema] of Object.entries(LISTS)) {
        const answer: unknown = await (await fetch(`${server.at}${path}`)).json();
        const parsed = schema.safeParse(answer);
        const said = JSON.stringify(answer).slice(0, 300);
        expect(parsed.error?.issues ?? [], `${path}: ${said}`).to.deep.equal([]);
      }
      expect(await stopServer(server)).to.equal(0);
      if (process.env['RATIO_FUZZ']) {
        console.log(Object.fromEntries(statuses));
        console.log(server.said().match(/event loop: .*/)?.[0]);
      }
    });
  });
});
