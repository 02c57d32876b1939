import { expect } from 'chai';
import { pino } from 'pino';
import request from 'supertest';
import { LIDO_MORNING } from '../../demo/lido.ts';
import { seedLido } from '../../demo/seed.ts';
import { createChanges } from '../src/changes/changes.ts';
import { createClock } from '../src/clock.ts';
import { createApp } from '../src/createApp.ts';
import { openDatabase } from '../src/database/database.ts';
import { inFolder } from './realServer.ts';

const HOUR_MS = 3_600_000;
const MORNING = Date.parse(LIDO_MORNING);

describe('a clock that was put back', () => {
  it('is said, and nothing is strained before it began', () =>
    inFolder(async (dataDir) => {
      const db = await openDatabase(dataDir);
      await seedLido({ db, realNow: new Date(LIDO_MORNING) });
      let machineMs = MORNING;
      const changes = createChanges();
      const serve = (latestMs: number) =>
        createApp({
          db,
          shopId: 'lido',
          clock: createClock({
            frozenAt: null,
            offsetMs: 0,
            latestMs,
            machineMs: () => machineMs,
          }),
          changes,
          log: pino({ level: 'silent' }),
        });
      const app = serve(0);
      const behind = async (of = app) => (await request(of).get('/api/shop')).body.clockBehindMs;
      const { plan } = (await request(app).get('/api/batches/lido-batch-4')).body;
      await request(app)
        .post('/api/batches')
        .send({ id: 'new', plan: { ...plan, vesselId: 'any-vessel' } });
      expect(await behind()).to.equal(0);
      machineMs -= 3 * HOUR_MS;
      expect(await behind()).to.equal(3 * HOUR_MS);
      const strained = await request(app)
        .post('/api/batches/new/strain')
        .set('If-Match', '"1"')
        .send({ jugs: [{ jugId: 'new-jug', massG: 2000 }] });
      expect(strained.body.strainedAt).to.equal(strained.body.startedAt);
      // After a start too: what was written last is in the database.
      const again = serve(await db.latestMs());
      expect(await behind(again)).to.equal(3 * HOUR_MS);
      machineMs = MORNING + HOUR_MS;
      expect(await behind(again)).to.equal(0);
      changes.close();
      await db.close();
    })).timeout(90_000);

  it('takes what happened at its own time, and nothing that is still to come', () => {
    const clock = createClock({ frozenAt: new Date(LIDO_MORNING), offsetMs: 0 });
    expect(clock.momentOf(undefined).toISOString()).to.equal(LIDO_MORNING);
    const yesterday = '2026-06-12T17:30:00.000Z';
    expect(clock.momentOf(yesterday).toISOString()).to.equal(yesterday);
    expect(() => clock.momentOf('2026-06-14T06:40:00.000Z')).to.throw('still to come');
  });
});
