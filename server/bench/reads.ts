import express from 'express';
import { once } from 'node:events';
import { createServer, Agent, request, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import pino from 'pino';
import sqlite3 from 'sqlite3';
import { createChanges } from '../src/changes/changes.ts';
import { createClock } from '../src/clock.ts';
import { createApp } from '../src/createApp.ts';
import type { Database } from '../src/database/database.ts';

const AT_ONCE = 8;
const ROUNDS = 15;
const ROUND_MS = 300;
const AGENT = new Agent({ keepAlive: true, maxSockets: AT_ONCE });

const get = (url: string, headers: Record<string, string> = {}): Promise<string | undefined> =>
  new Promise((resolve, reject) => {
    request(url, { agent: AGENT, headers }, (response) => {
      response.resume();
      response.on('end', () => resolve(response.headers.etag));
    })
      .on('error', reject)
      .end();
  });

/** Asks an application for a list, eight at once. */
async function asking(app: RequestListener, of: { path: string; isSeen: boolean }) {
  const server = createServer(app).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}${of.path}`;
  const etag = await get(url);
  const headers: Record<string, string> =
    of.isSeen && etag !== undefined ? { 'If-None-Match': etag } : {};
  return {
    /** @returns requests a second that it answered for so long */
    perSecond: async (forMs: number): Promise<number> => {
      const untilMs = performance.now() + forMs;
      let done = 0;
      const run = async (): Promise<void> => {
        while (performance.now() < untilMs) {
          await get(url, headers);
          done += 1;
        }
      };
      await Promise.all(Array.from({ length: AT_ONCE }, run));
      return (1000 * done) / forMs;
    },
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}

const middle = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Two applications by turns, so that what else the machine does meets both: the middle of their rounds. */
async function byTurns(
  [mine, its]: readonly [RequestListener, RequestListener],
  of: { path: string; isSeen: boolean },
) {
  const both = [await asking(mine, of), await asking(its, of)] as const;
  for (const one of both) await one.perSecond(ROUND_MS * 2);
  const rounds: [number, number][] = [];
  for (let i = 0; i < ROUNDS; i++)
    rounds.push([await both[0].perSecond(ROUND_MS), await both[1].perSecond(ROUND_MS)]);
  for (const one of both) one.close();
  return {
    mine: middle(rounds.map(([a]) => a)),
    its: middle(rounds.map(([, b]) => b)),
    ratio: middle(rounds.map(([a, b]) => a / b)),
  };
}

/** The same list by Express and sqlite3 alone, with nobody asked who they are. */
function plainApp(file: string): express.Express {
  const db = new sqlite3.Database(file);
  const app = express();
  app.get('/api/coffees', (_, response) => {
    db.all<{ id: string; version: number; body: string }>(
      'SELECT id, version, body FROM coffees WHERE shop_id = ? ORDER BY rowid',
      ['lido'],
      (_error, rows) =>
        response.json(
          rows.map(({ id, version, body }) => ({ ...(JSON.parse(body) as object), id, version })),
        ),
    );
  });
  return app;
}

/** @returns rows of the bench: a list read, and read again by a page that has it */
export async function benchReads(db: Database, dataDir: string): Promise<string[]> {
  const clock = createClock({ frozenAt: null, offsetMs: 0 });
  const ours = createApp({
    db,
    shopId: 'lido',
    clock,
    changes: createChanges(),
    log: pino({ level: 'silent' }),
  });
  const plain = plainApp(path.join(dataDir, 'ratio.sqlite'));
  const rows = [
    '| a list read | a second | Express with sqlite3 alone | of that |',
    '|---|---|---|---|',
  ];
  for (const isSeen of [false, true]) {
    const of = { path: '/api/coffees', isSeen };
    const { mine, its, ratio } = await byTurns([ours, plain], of);
    rows.push(
      `| ${isSeen ? 'again, unchanged' : 'for the first time'} | ${mine.toFixed(0)} | ${its.toFixed(0)} | ${ratio.toFixed(2)} |`,
    );
  }
  return rows;
}
