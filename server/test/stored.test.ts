import { expect } from 'chai';
import pino from 'pino';
import request from 'supertest';
import { LIDO_MORNING } from '../../demo/lido.ts';
import { createChanges } from '../src/changes/changes.ts';
import { createClock } from '../src/clock.ts';
import { createApp } from '../src/createApp.ts';
import { openLidoServer, type LidoServer } from './lidoServer.ts';

describe('answers that are stored', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());

  /** What the database is asked from now on. */
  const asked = (): unknown[] => {
    const queries: unknown[] = [];
    server.db.sequelize.addHook('beforeQuery', (_, query) => void queries.push(query));
    return queries;
  };

  for (const path of ['/api/coffees', '/api/ingredients', '/api/batches', '/api/drinks'])
    it(`${path} is not read again for who has it, and is new after a write`, async () => {
      const first = await request(server.app).get(path);
      const queries = asked();
      const again = await request(server.app).get(path).set('If-None-Match', first.get('ETag')!);
      expect(again.status).to.equal(304);
      const whole = await request(server.app).get(path);
      expect(whole.body).to.deep.equal(first.body);
      expect(whole.get('ETag')).to.equal(first.get('ETag'));
      expect(queries).to.deep.equal([]);

      const { id, version, ...coffee } = (await request(server.app).get('/api/coffees')).body[0];
      await request(server.app)
        .put(`/api/coffees/${id}`)
        .set('If-Match', String(version))
        .send({ ...coffee, name: 'Lot 99' })
        .expect(200);
      queries.length = 0;
      const after = await request(server.app).get(path).set('If-None-Match', first.get('ETag')!);
      // What did not change by it has its name still; all the same it was looked up.
      expect(after.status).to.equal(path === '/api/coffees' ? 200 : 304);
      expect(queries).to.not.deep.equal([]);
      if (path === '/api/coffees') expect(after.body[0].name).to.equal('Lot 99');
    });

  it('a jug on its grounds is as strong as the hour makes it', async () => {
    const later = createApp({
      db: server.db,
      shopId: 'lido',
      clock: createClock({ frozenAt: new Date(Date.parse(LIDO_MORNING) + 3_600_000), offsetMs: 0 }),
      changes: createChanges(),
      log: pino({ level: 'silent' }),
    });
    const plan = {
      ...{ coffeeId: 'lot-14', vesselId: 'wide-jar', grind: 'coarse', doseG: 400, waterG: 2000 },
      ...{ waterC: 12, wetting: 'stages', agitationHours: [], bed: 'loose' },
      steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
      filtration: { method: 'on-grounds', rinseG: 0 },
    };
    await request(server.app)
      .post('/api/batches')
      .send({ id: 'grounds', plan, startedAt: '2026-06-12T18:00:00.000Z' })
      .expect(201);
    const strengthIn = async (app: LidoServer['app']): Promise<number> => {
      const { body } = await request(app).get('/api/jugs');
      return body.find(({ batchId }: { batchId: string | null }) => batchId === 'grounds')
        .strengthFrac;
    };
    expect(await strengthIn(later)).to.be.above(await strengthIn(server.app));
  });
});
