import { createServer, get, type IncomingMessage } from 'node:http';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { LIDO_MORNING } from '../../demo/lido.ts';
import { createChanges } from '../src/changes/changes.ts';
import { createClock } from '../src/clock.ts';
import { createApp } from '../src/createApp.ts';
import type { Database } from '../src/database/database.ts';
import { createInstrumentHub } from '../src/instruments/hub.ts';

const PAGES = 20;
const TIMES = 60;
const SAMPLES = 100_000;
const EVERY_MS = 110;
const CALLER = { shopId: 'lido', author: 'bench' };

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
const percentile = (values: number[], at: number): number =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(at * values.length))]!;

/** An open page that watches instruments, without a browser. */
async function openPage(port: number, heard: (massG: number) => void): Promise<IncomingMessage> {
  const asked = get({ port, path: '/api/changes?with=instruments' });
  const [response] = (await once(asked, 'response')) as [IncomingMessage];
  response.setEncoding('utf8').on('data', (text: string) => {
    for (const [, json] of text.matchAll(/^data: (.*)$/gm)) {
      const { instrumentId, sample } = JSON.parse(json!) as {
        instrumentId?: string;
        sample?: { massG: number } | null;
      };
      if (instrumentId === 'bench' && sample) heard(sample.massG);
    }
  });
  return response;
}

/** @returns lines: how soon a sample reaches 20 open pages, and whether 100,000 of them leave anything behind */
export async function benchInstruments(db: Database): Promise<string[]> {
  const clock = createClock({ frozenAt: new Date(LIDO_MORNING), offsetMs: 0 });
  const changes = createChanges();
  const log = pino({ level: 'silent' });
  for (const one of await db.instruments.list('lido'))
    await db.instruments.remove(CALLER, { id: one.id, seenVersion: one.version });
  const body = { name: 'Bench', kind: 'scale', driver: { by: 'serial' }, place: null } as const;
  const rest = { batchId: null, calibration: null };
  await db.instruments.save(CALLER, { id: 'bench', seenVersion: 0, body: { ...body, ...rest } });
  const hub = createInstrumentHub({ db, shopId: 'lido', clock, changes, log });
  await hub.refresh();
  const server = createServer(
    createApp({ db, shopId: 'lido', clock, changes, log, instruments: hub }),
  );
  server.listen(0);
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;

  const sent = new Map<number, number>();
  const tookMs: number[] = [];
  const pages = await Promise.all(
    Array.from({ length: PAGES }, () =>
      openPage(port, (massG) => {
        const from = sent.get(massG);
        if (from !== undefined) tookMs.push(performance.now() - from);
      }),
    ),
  );
  for (let i = 1; i <= TIMES; i++) {
    sent.set(i, performance.now());
    hub.push('bench', [`mass ${i} steady`]);
    await wait(EVERY_MS);
  }
  const heap = (): number => {
    globalThis.gc?.();
    return process.memoryUsage().heapUsed / 1e6;
  };
  const push = async (count: number): Promise<void> => {
    for (let i = 0; i < count; i += 100) {
      hub.push(
        'bench',
        Array.from({ length: 100 }, (_, k) => `mass ${(i + k) % 1000}.5`),
      );
      if (i % 10_000 === 0) await wait(1);
    }
  };
  await push(SAMPLES / 10);
  const before = heap();
  const from = performance.now();
  await push(SAMPLES);
  const eachUs = (1000 * (performance.now() - from)) / SAMPLES;
  await wait(200);
  const after = heap();

  pages.forEach((page) => page.destroy());
  hub.close();
  changes.close();
  server.close();
  return [
    `| a sample to ${PAGES} open pages | ms |`,
    '|---|---|',
    `| half of ${tookMs.length} of ${TIMES * PAGES} | ${percentile(tookMs, 0.5).toFixed(2)} |`,
    `| 99 of 100 | ${percentile(tookMs, 0.99).toFixed(2)} |`,
    '',
    `${SAMPLES} samples: ${eachUs.toFixed(1)} µs each, heap ${before.toFixed(1)} MB before, ${after.toFixed(1)} MB after (${(after / before).toFixed(2)} of it).`,
  ];
}
