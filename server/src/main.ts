import { createServer, type RequestListener, type Server } from 'node:http';
import { rename } from 'node:fs/promises';
import { createServer as createSecureServer, type Server as SecureServer } from 'node:https';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';
import { pino, type Logger } from 'pino';
import { backUpTheDay, isRestoreWaiting, takeRestored } from './backups/backups.ts';
import { createChanges } from './changes/changes.ts';
import { createClock } from './clock.ts';
import { readConfig, type Config } from './config.ts';
import { createApp } from './createApp.ts';
import { checkFolder, databaseFile } from './database/checks.ts';
import { openDatabase, type Database } from './database/database.ts';
import { createInstrumentHub } from './instruments/hub.ts';
import { StartError } from './startError.ts';
import { openShop } from './shop/openShop.ts';
import { tlsFiles } from './tls.ts';

const WEB_DIR = fileURLToPath(new URL('../../web/dist', import.meta.url));
/** How long a request under way is waited for. */
const PATIENCE_MS = 3000;
/** How often it is looked whether a copy is due, and whether a restored file waits. */
const BACKUP_EVERY_MS = 10 * 60_000;
const RESTORE_EVERY_MS = 2000;

/** A shop that is open: what answers, and how it closes. */
interface OpenShop {
  readonly answer: RequestListener;
  /** Stops background work, so that the last requests are answered soon. */
  readonly stopBackground: () => void;
  readonly close: () => Promise<void>;
}

async function open(input: {
  config: Config;
  log: Logger;
  restart: () => void;
  port: () => number;
  scheme: 'http' | 'https';
  authority: string | null;
}): Promise<OpenShop> {
  const { config, log, restart } = input;
  const dataDir = path.resolve(config.dataDir);
  const db = await openRestored(dataDir, log);
  const shop = await openShop({ db, shopId: config.shopId });
  const clock = createClock({
    frozenAt: config.frozenAt,
    offsetMs: shop.clockOffsetMs,
    latestMs: await db.latestMs(),
  });
  const changes = createChanges();
  const { names } = config;
  const { port, scheme, authority } = input;
  const served = { names, webDir: WEB_DIR, restart, port, scheme, authority };
  const instruments = createInstrumentHub({ db, shopId: shop.id, clock, changes, log });
  await instruments.refresh();
  const needs = { db, shopId: shop.id, clock, changes, log, instruments, ...served };
  const backups = setInterval(() => {
    backUpTheDay({ db, at: new Date() }).catch((error: unknown) =>
      log.error({ err: error }, 'the copy of the day could not be made'),
    );
  }, BACKUP_EVERY_MS);
  const restores = setInterval(() => isRestoreWaiting(dataDir) && restart(), RESTORE_EVERY_MS);
  return {
    answer: createApp(needs),
    stopBackground: () => {
      clearInterval(backups);
      clearInterval(restores);
      instruments.close();
      changes.close();
    },
    close: () => db.close(),
  };
}

/** The database, or the restored copy that waits for it; one that does not open leaves what there was. */
async function openRestored(dataDir: string, log: Logger): Promise<Database> {
  const before = await takeRestored(dataDir, new Date());
  if (before === null) return openDatabase(dataDir);
  try {
    const db = await openDatabase(dataDir);
    log.info('A restored copy is in use.');
    return db;
  } catch (error) {
    if (before === '') throw error;
    log.error({ err: error }, 'the restored copy does not open; what was there before is back');
    await rename(before, databaseFile(dataDir));
    return openDatabase(dataDir);
  }
}

async function start(): Promise<void> {
  // What is written here is for its owner alone.
  process.umask(0o077);
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const dataDir = path.resolve(config.dataDir);
  checkFolder(dataDir);
  const tls = await tlsFiles({ tls: config.tls, dataDir, names: config.names });
  const server = tls ? createSecureServer({ cert: tls.cert, key: tls.key }) : createServer();
  const authority = tls?.authority ?? null;
  const scheme = tls ? 'https' : 'http';
  const port = (): number => {
    const address = server.address();
    return typeof address === 'object' && address ? address.port : config.port;
  };
  let shop = await open({ config, log, restart, port, scheme, authority });
  const busy = (_: unknown, response: { writeHead: (status: number) => { end: () => void } }) =>
    response.writeHead(503).end();
  let answer: RequestListener = shop.answer;
  let underWay = 0;
  server.on('request', (request, response) => {
    underWay += 1;
    response.once('close', () => (underWay -= 1));
    answer(request, response);
  });
  await listen(server, config);
  log.info(`Ratio listens on ${scheme}://${config.host}:${port()}`);

  let restarting: Promise<void> | null = null;
  /** Opens the database again, with the restored file that waits; requests meanwhile are answered 503. */
  function restart(): void {
    restarting ??= (async () => {
      answer = busy;
      shop.stopBackground();
      for (const end = Date.now() + PATIENCE_MS; underWay > 0 && Date.now() < end;) await wait(20);
      await shop.close();
      shop = await open({ config, log, restart, port, scheme, authority });
      answer = shop.answer;
    })()
      .catch(refuse)
      .finally(() => (restarting = null));
  }

  /** Answers open requests, merges the write-ahead log, and exits. */
  async function stop(signal: string): Promise<void> {
    log.info(`${signal}: stopping`);
    await restarting;
    shop.stopBackground();
    await closeServer(server);
    await shop.close();
    process.exit(0);
  }
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.once(signal, () => {
      stop(signal).catch((error: unknown) => {
        log.fatal({ err: error }, 'could not stop in order');
        process.exit(1);
      });
    });
}

/** @throws {StartError} where the port or the address cannot be had */
function listen(server: Server | SecureServer, config: Config): Promise<void> {
  return new Promise((resolve, reject) => {
    server.once('error', (error) => reject(cannotListen(error, config)));
    server.listen(config.port, config.host, resolve);
  });
}

/** Takes no more connections, and waits for those that are busy, but not for ever. */
async function closeServer(server: Server | SecureServer): Promise<void> {
  server.prependListener('request', (_, response) => response.setHeader('Connection', 'close'));
  const idle = setInterval(() => server.closeIdleConnections(), 50);
  const late = setTimeout(() => server.closeAllConnections(), PATIENCE_MS);
  await new Promise((resolve) => server.close(resolve));
  clearInterval(idle);
  clearTimeout(late);
}

function cannotListen(error: Error, { host, port }: { host: string; port: number }): Error {
  const { code } = error as NodeJS.ErrnoException;
  const reason: Record<string, string> = {
    EADDRINUSE: `Port ${port} is in use already, by another Ratio or another program. Stop that one, or set RATIO_PORT to another port.`,
    EACCES: `Port ${port} needs more rights than this user has. Set RATIO_PORT to one above 1023.`,
    EADDRNOTAVAIL: `${host} is no address of this machine. Set RATIO_HOST to one, or to 0.0.0.0 for all of them.`,
  };
  const sentence = reason[code ?? ''];
  return sentence === undefined ? error : new StartError(sentence);
}

/** A known error is one sentence without a stack: the reader may not be a programmer. */
function refuse(error: unknown): never {
  if (error instanceof StartError) console.error(`Ratio cannot start. ${error.message}`);
  else console.error('Ratio cannot start.', error);
  process.exit(1);
}

start().catch(refuse);
