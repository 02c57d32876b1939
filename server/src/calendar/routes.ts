import { timingSafeEqual } from 'node:crypto';
import type { Batch } from '@ratio/core/batch';
import { batchCalendar } from '@ratio/core/day';
import { idSchema } from '@ratio/core/document';
import type { Shop } from '@ratio/core/shop';
import type { Express, Request, Response } from 'express';
import { z } from 'zod';
import type { Caller } from '../caller.ts';
import type { Clock } from '../clock.ts';
import type { Database } from '../database/database.ts';
import { endpoint, type Endpoint } from '../endpoint.ts';
import { addressesOf } from '../machineAddresses.ts';
import { newToken } from '../people/secrets.ts';
import { ProblemError } from '../problem.ts';
import { calendarFile } from './calendarFile.ts';

interface Needs {
  readonly db: Database;
  readonly shopId: string;
  readonly clock: Clock;
  readonly scheme: 'http' | 'https';
  readonly port: () => number;
}

/** Events that ended longer ago are not in a feed. */
const FEED_MS = 60 * 86_400_000;
const FEED_PATH = '/api/calendar.ics';

const addressSchema = z.strictObject({
  /** Whole addresses of the feed, on each address of the machine; none until it has a key. */
  feeds: z.array(z.string()),
  /** Addresses at which a tablet on the shop's network reaches this server. */
  addresses: z.array(z.string()),
});

/** Where calendars and codes lead: the addresses of the machine, and the feed's secret part. */
export function calendarEndpoints({ db, scheme, port }: Needs): readonly Endpoint[] {
  const answer = ({ calendarKey = null }: { calendarKey?: string | null }) => {
    const addresses = addressesOf({ scheme, port: port() });
    const feeds =
      calendarKey === null
        ? []
        : addresses.map((address) => `${address}${FEED_PATH}?key=${calendarKey}`);
    return { feeds, addresses };
  };
  return [
    endpoint({
      method: 'get',
      path: '/api/calendar',
      summary: 'The addresses of the calendar feed',
      answer: addressSchema,
      handle: async ({ caller: { shopId } }) => answer(await db.shops.get(shopId, shopId)),
    }),
    endpoint({
      method: 'post',
      path: '/api/calendar/key',
      summary: 'Give the calendar feed a new secret address; the one before answers no more',
      answer: addressSchema,
      status: 201,
      handle: async ({ caller }) => {
        const calendarKey = newToken();
        await db.write(async (transaction) => {
          const {
            id,
            version: _,
            ...body
          } = await db.shops.get(caller.shopId, caller.shopId, transaction);
          await db.shops.update(caller, { id, body: { ...body, calendarKey } }, transaction);
        });
        return answer({ calendarKey });
      },
    }),
    endpoint({
      method: 'get',
      path: '/api/addresses',
      summary: 'Where a tablet on the shop’s network reaches this server',
      answer: addressSchema.pick({ addresses: true }),
      handle: () => ({ addresses: addressesOf({ scheme, port: port() }) }),
    }),
  ];
}

/** Calendars: of one batch by right, and of all batches by the secret address. */
export function mountCalendars(
  app: Express,
  input: Needs & { callerOf: (request: Request) => Promise<Caller> },
): void {
  const { db, shopId, clock, callerOf } = input;

  async function send(request: Request, response: Response, batches: Batch[]): Promise<void> {
    const shop: Shop = await db.shops.get(shopId, shopId);
    const { zone, name, crewFromHours: fromHours, crewToHours: toHours } = shop;
    const entries = batches.flatMap((batch) =>
      batchCalendar({ batch, zone, crew: { fromHours, toHours } }).map((entry) => ({
        ...entry,
        batchId: batch.id,
        sequence: batch.version - 1,
      })),
    );
    const nowMs = clock.now().getTime();
    // Links lead to where the calendar was read from.
    const origin = `${request.protocol}://${request.get('host') ?? 'localhost'}`;
    const linkOf = (id: string): string => `${origin}/steep/${id}`;
    response
      .set('Cache-Control', 'private, no-cache')
      .type('text/calendar; charset=utf-8')
      .send(calendarFile({ name, entries, zone, nowMs, linkOf }));
  }

  app.get('/api/batches/:id/calendar.ics', async (request, response) => {
    await callerOf(request);
    const id = idSchema.safeParse(request.params['id']);
    if (!id.success) throw new ProblemError('bad_request', 'This is no identity of a batch.');
    const batch = await db.batches.get(shopId, id.data);
    response.attachment(`${id.data}.ics`);
    await send(request, response, [batch]);
  });

  app.get(FEED_PATH, async (request, response) => {
    const { calendarKey = null } = await db.shops.get(shopId, shopId);
    if (calendarKey === null || !isKey(request.query['key'], calendarKey))
      throw new ProblemError('not_found', 'There is no calendar at this address.');
    const sinceMs = clock.now().getTime() - FEED_MS;
    const batches = await db.batches.list(shopId);
    await send(
      request,
      response,
      batches.filter(({ endsAt }) => Date.parse(endsAt) >= sinceMs),
    );
  });
}

function isKey(said: unknown, key: string): boolean {
  if (typeof said !== 'string') return false;
  const [a, b] = [Buffer.from(said), Buffer.from(key)];
  return a.length === b.length && timingSafeEqual(a, b);
}
