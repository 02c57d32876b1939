import type { Server } from 'node:http';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { createChanges } from './changes/changes.ts';
import { createClock } from './clock.ts';
import { readConfig } from './config.ts';
import { createApp } from './createApp.ts';
import { openDatabase } from './database/database.ts';
import { StartError } from './startError.ts';
import { openShop } from './shop/openShop.ts';

const WEB_DIR = fileURLToPath(new URL('../../web/dist', import.meta.url));
/** How long a request under way is waited for. */
const PATIENCE_MS = 3000;

async function start(): Promise<void> {
  // What is written here is for its owner alone.
  process.umask(0o077);
  const config = readConfig(process.env);
  const log = pino({ level: config.logLevel });
  const db = await openDatabase(path.resolve(config.dataDir));
  const shop = await openShop({ db, shopId: config.shopId });
  const clock = createClock({
    frozenAt: config.frozenAt,
    offsetMs: shop.clockOffsetMs,
    latestMs: await db.latestMs(),
  });
  const changes = createChanges();
  const { names } = config;
  const app = createApp({ db, shopId: shop.id, clock, changes, log, names, webDir: WEB_DIR });
  const server = app.listen(config.port, config.host, (error) => {
    if (error) return refuse(cannotListen(error, config));
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : config.port;
    log.info(`Ratio listens on http://${config.host}:${port}`);
  });

  /** Answers what is under way, writes the log into the database, and goes. */
  async function stop(signal: string): Promise<void> {
    log.info(`${signal}: stopping`);
    changes.close();
    await closeServer(server);
    await db.close();
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

/** Takes no more connections, and waits for those that are busy, but not for ever. */
async function closeServer(server: Server): Promise<void> {
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

/** One sentence and no stack where it is known: whoever starts it need not be a programmer. */
function refuse(error: unknown): never {
  if (error instanceof StartError) console.error(`Ratio cannot start. ${error.message}`);
  else console.error('Ratio cannot start.', error);
  process.exit(1);
}

start().catch(refuse);
