import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { createChanges } from './changes/changes.ts';
import { createClock } from './clock.ts';
import { readConfig } from './config.ts';
import { createApp } from './createApp.ts';
import { openDatabase } from './database/database.ts';
import { openShop } from './shop/openShop.ts';

const WEB_DIR = fileURLToPath(new URL('../../web/dist', import.meta.url));
const PATIENCE_MS = 5000;

const config = readConfig(process.env);
const log = pino({ level: config.logLevel });
const db = await openDatabase(path.resolve(config.dataDir));
const shop = await openShop({ db, shopId: config.shopId });
const clock = createClock({
  frozenAt: config.frozenAt,
  offsetMs: shop.clockOffsetMs,
});
const changes = createChanges();
const app = createApp({ db, shopId: shop.id, clock, changes, log, webDir: WEB_DIR });
const server = app.listen(config.port, config.host, (error) => {
  if (error) {
    log.fatal({ err: error }, `cannot listen on ${config.host}:${config.port}`);
    process.exit(1);
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  log.info(`Ratio listens on http://${config.host}:${port}`);
});

/** Answers what is under way, then closes the database and goes. */
function stop(signal: string): void {
  log.info(`${signal}: stopping`);
  changes.close();
  setTimeout(() => process.exit(1), PATIENCE_MS).unref();
  server.close(() => {
    void db.close().then(() => process.exit(0));
  });
  server.closeIdleConnections();
}
process.once('SIGINT', stop);
process.once('SIGTERM', stop);
