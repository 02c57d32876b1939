import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Express } from 'express';
import { pino } from 'pino';
import { LIDO_MORNING } from '../../demo/lido.ts';
import { seedLido } from '../../demo/seed.ts';
import { createChanges } from '../src/changes/changes.ts';
import { createClock } from '../src/clock.ts';
import { createApp } from '../src/createApp.ts';
import { createInstrumentHub } from '../src/instruments/hub.ts';
import { openDatabase, type Database } from '../src/database/database.ts';

/** A server over a temporary file, with the lido's demo data and a clock that stands still. */
export interface LidoServer {
  readonly app: Express;
  readonly db: Database;
  readonly dataDir: string;
  readonly close: () => Promise<void>;
}

export async function openLidoServer({
  names = [],
}: { names?: readonly string[] } = {}): Promise<LidoServer> {
  const dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-test-'));
  const db = await openDatabase(dataDir);
  await seedLido({ db, realNow: new Date(LIDO_MORNING) });
  const changes = createChanges();
  const clock = createClock({ frozenAt: new Date(LIDO_MORNING), offsetMs: 0 });
  const log = pino({ level: 'silent' });
  const instruments = createInstrumentHub({ db, shopId: 'lido', clock, changes, log });
  const app = createApp({ db, shopId: 'lido', clock, changes, log, instruments, names });
  return {
    app,
    db,
    dataDir,
    close: async () => {
      instruments.close();
      changes.close();
      await db.close();
      await rm(dataDir, { recursive: true });
    },
  };
}
