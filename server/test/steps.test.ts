import { randomUUID } from 'node:crypto';
import { expect } from 'chai';
import request from 'supertest';
import type { ObservationRow, BatchInFull } from '@ratio/core/batch';
import { LIDO_MORNING } from '../../demo/lido.ts';
import { seedLido } from '../../demo/seed.ts';
import { openDatabase } from '../src/database/database.ts';
import { openLidoServer, type LidoServer } from './lidoServer.ts';
import { inFolder, startServer } from './realServer.ts';

const BATCH = 'lido-batch-4';
const HOUR_MS = 3_600_000;

/** What the lido noted before is not looked at. */
const notedHere = (batch: BatchInFull): BatchInFull => ({
  ...batch,
  actuals: batch.actuals.filter(({ id }) => !id.startsWith('lido')),
});

describe('steps of a batch', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const note = (body: object, id = BATCH) =>
    request(server.app)
      .post(`/api/batches/${id}/actuals`)
      .send({ id: randomUUID(), ...body });
  const get = async (id = BATCH): Promise<BatchInFull> =>
    notedHere((await request(server.app).get(`/api/batches/${id}`)).body);
  const strain = async (id = BATCH) => {
    const { version } = await get(id);
    return request(server.app)
      .post(`/api/batches/${id}/strain`)
      .set('If-Match', `"${version}"`)
      .send({ jugs: [{ jugId: randomUUID(), massG: 2400 }] });
  };

  it('are rows: taken back, they stay readable', async () => {
    const { body } = await note({ id: 'first', kind: 'weighed', massG: 901, step: 'weigh' });
    expect(body.actuals.at(-1)).to.include({ kind: 'weighed', massG: 901, step: 'weigh' });
    await note({ kind: 'undone', undoes: 'first' });
    const kinds = (await get()).actuals.map(({ kind }) => kind);
    expect(kinds.slice(-2)).to.deep.equal(['weighed', 'undone']);
  });

  it('pressed again with the same identity they are noted once; with other content they are refused', async () => {
    const row = { id: 'once', kind: 'done', step: 'grind' };
    expect((await note(row)).status).to.equal(201);
    expect((await note(row)).status).to.equal(201);
    expect((await get()).actuals).to.have.length(1);
    expect((await note({ ...row, step: 'tare' })).status).to.equal(409);
  });

  it('what was spilled is noted while it steeps, and never more than went in', async () => {
    const { plan } = await get();
    expect((await note({ kind: 'spilled', massG: 400 })).status).to.equal(201);
    const tooMuch = await note({ kind: 'spilled', massG: plan.doseG + plan.waterG });
    expect([tooMuch.status, tooMuch.body.detail]).to.deep.equal([
      422,
      'More was spilled than is in it: give the batch up.',
    ]);
    const before = await get();
    await strain();
    expect((await note({ kind: 'spilled', massG: 10 })).status).to.equal(409);
    expect((await get()).actuals.filter(({ kind }) => kind === 'spilled')).to.have.length(1);
    // What comes out is predicted without it.
    const whole = before.predicted.brewG;
    const share = 1 - 400 / (plan.doseG + plan.waterG);
    expect((await get()).predictedAtStrain!.brewG / whole).to.be.closeTo(share, 0.02);
  });

  it('the steep’s clock runs from the pour, and back when that is taken back', async () => {
    const started = await request(server.app)
      .post('/api/batches')
      .send({
        id: 'fresh',
        plan: { ...(await get()).plan, vesselId: 'other-tall-jar' },
        startedAt: new Date(Date.parse(LIDO_MORNING) - 20 * 60_000).toISOString(),
      });
    expect(started.status).to.equal(201);
    const before = started.body;
    await note({ id: 'pour', kind: 'poured', massG: 2200, tempC: 12, step: 'bloom' }, 'fresh');
    const poured = await get('fresh');
    expect(poured.pouredAt).to.equal(LIDO_MORNING);
    expect(Date.parse(poured.endsAt) - Date.parse(LIDO_MORNING)).to.equal(18 * HOUR_MS);
    await note({ kind: 'undone', undoes: 'pour' }, 'fresh');
    const back = await get('fresh');
    expect([back.pouredAt, back.endsAt]).to.deep.equal([null, before.endsAt]);
  });

  it('refuse what is still to come, what is not theirs, and what they do not know', async () => {
    const future = new Date(Date.parse(LIDO_MORNING) + HOUR_MS).toISOString();
    expect((await note({ kind: 'agitated', at: future })).status).to.equal(422);
    expect((await note({ kind: 'undone', undoes: 'nothing' })).status).to.equal(404);
    expect((await note({ kind: 'danced', step: 'weigh' })).status).to.equal(400);
    expect((await note({ kind: 'done' })).status).to.equal(400);
    expect((await note({ kind: 'abandoned', note: '' })).status).to.equal(400);
    expect((await get()).actuals).to.have.length(0);
  });

  it('a batch is given up with its reason, frees its vessel, and steeps again when that is taken back', async () => {
    await note({ id: 'why', kind: 'abandoned', note: 'The jar cracked.' });
    expect(await get()).to.include({ status: 'abandoned', abandonedFor: 'The jar cracked.' });
    expect((await strain()).status).to.equal(409);
    const plan = (await get()).plan;
    const other = await request(server.app).post('/api/batches').send({ id: 'in-it', plan });
    expect(other.status).to.equal(201);
    await note({ kind: 'undone', undoes: 'why' });
    expect(await get()).to.include({ status: 'steeping', abandonedFor: null });
  });

  it('one that is in its jugs is not given up any more', async () => {
    expect((await strain()).status).to.equal(200);
    expect((await note({ kind: 'abandoned', note: 'No.' })).status).to.equal(409);
  });

  it('a batch goes into another vessel that is free and large enough, with the reason', async () => {
    const move = (vesselId: string) => note({ kind: 'decanted', vesselId, note: 'It leaked.' });
    expect((await move('bag-bucket')).status).to.equal(409);
    expect((await move('small-jar')).status).to.equal(422);
    expect((await move('no-such-vessel')).status).to.equal(404);
    expect((await move('other-tall-jar')).status).to.equal(201);
    expect((await get()).movedTo).to.deep.equal({
      vesselId: 'other-tall-jar',
      vesselName: 'Other tall jar 6 L',
    });
    // The one it left is free, the one it is in is not.
    const { plan } = await get();
    const start = (id: string, vesselId: string) =>
      request(server.app)
        .post('/api/batches')
        .send({ id, plan: { ...plan, vesselId } });
    expect((await start('x', 'other-tall-jar')).status).to.equal(409);
    expect((await start('y', 'tall-jar')).status).to.equal(201);
  });

  it('a batch is split over two vessels: shares of one steep, with one clock and one history', async () => {
    await note({ kind: 'temperature', tempC: 6 });
    const split = (body: object) =>
      request(server.app)
        .post(`/api/batches/${BATCH}/split`)
        .send({
          id: 'half',
          vesselId: 'wide-jar',
          shareFrac: 0.4,
          note: 'The jar is too full.',
          ...body,
        });
    expect((await split({ vesselId: 'bag-bucket' })).status).to.equal(409);
    expect((await split({ vesselId: 'small-jar' })).status).to.equal(422);
    expect((await split({ shareFrac: 1 })).status).to.equal(400);
    const whole = await get();
    const { body: half, status } = await split({});
    expect(status).to.equal(201);
    expect((await split({})).body).to.deep.equal(half);
    expect((await split({ shareFrac: 0.5 })).status).to.equal(409);
    expect(half).to.include({
      status: 'steeping',
      vesselName: 'Wide jar 3 L',
      endsAt: whole.endsAt,
    });
    expect(half.plan.doseG).to.be.closeTo(0.4 * whole.plan.doseG, 1e-9);
    const { body: inFull } = await request(server.app).get('/api/batches/half');
    expect(inFull.actuals.map(({ kind }: { kind: string }) => kind)).to.deep.equal(['temperature']);
    // What is left of the other one is what did not go over.
    const { body: rest } = await strain();
    const { body: other } = await request(server.app)
      .post('/api/batches/half/strain')
      .set('If-Match', '"1"')
      .send({ jugs: [{ jugId: 'of-half', massG: 900 }] });
    const of = (batch: { predictedAtStrain: { brewG: number } }) => batch.predictedAtStrain.brewG;
    expect(of(other) / (of(rest) + of(other))).to.be.closeTo(0.4, 0.01);
    expect(of(rest) + of(other)).to.be.closeTo(whole.predicted.brewG, 0.02 * whole.predicted.brewG);
  });

  it('a vessel is to be cleaned after its batch, and is clean once somebody noted it', async () => {
    const mine = async () => {
      const { needsCleaning, cleanedAt } = await get();
      return { needsCleaning, cleanedAt };
    };
    expect(await mine()).to.deep.equal({ needsCleaning: false, cleanedAt: null });
    await strain();
    expect(await mine()).to.deep.equal({ needsCleaning: true, cleanedAt: null });
    await note({ id: 'clean-1', kind: 'done', step: 'clean' });
    expect(await mine()).to.deep.equal({ needsCleaning: true, cleanedAt: LIDO_MORNING });
    await note({ kind: 'undone', undoes: 'clean-1' });
    expect((await mine()).cleanedAt).to.equal(null);
  });

  it('a batch that is given up leaves its vessel to be cleaned, and not where that is taken back', async () => {
    await note({ id: 'why', kind: 'abandoned', note: 'It smelt wrong.' });
    expect((await get()).needsCleaning).to.equal(true);
    await note({ kind: 'undone', undoes: 'why' });
    expect((await get()).needsCleaning).to.equal(false);
  });

  it('what probes measured of the fridge is in what a strain is predicted to be', async () => {
    const { startedAt, predicted } = await get();
    await server.db.instruments.save(
      { shopId: 'lido', author: 'lead' },
      {
        id: 'own-probe',
        seenVersion: 0,
        body: {
          name: 'Fridge',
          kind: 'probe',
          driver: { by: 'serial' },
          place: 'fridge',
          batchId: null,
          calibration: null,
        },
      },
    );
    await server.db.write(async (transaction) => {
      for (let minute = 0; minute < 17 * 60; minute += 5)
        await server.db.probeSamples.add(
          { shopId: 'lido', author: 'instrument' },
          {
            id: `p-${minute}`,
            at: new Date(Date.parse(startedAt) + minute * 60_000).toISOString(),
            instrumentId: 'own-probe',
            tempC: 14,
          },
          transaction,
        );
    });
    const { probes } = await get();
    expect(Math.max(...probes.map(({ samples }) => samples.length))).to.be.above(200);
    const { body } = await strain();
    expect(probes.map(({ place }) => place)).to.include('fridge');
    // Ten degrees warmer than its plan, though half an hour before its end.
    expect(body.predictedAtStrain.releasedFrac).to.be.above(predicted.releasedFrac + 0.01);
  });
});

describe('steps and a pulled plug', () => {
  it('none that was acknowledged is lost, none is there twice, in the order in which they were pressed', async () => {
    await inFolder(async (dataDir) => {
      const db = await openDatabase(dataDir);
      await seedLido({ db, realNow: new Date() });
      await db.close();
      const steps = ['weigh', 'grind', 'tare', 'bloom', 'sink', 'stir-in', 'top-up', 'cover'];
      const acknowledged: string[] = [];
      for (const [i, step] of steps.entries()) {
        const server = await startServer(dataDir);
        const url = await server.url;
        const send = async (id: string, key: string) => {
          const body = JSON.stringify({ id, kind: 'done', step: key });
          const headers = { 'Content-Type': 'application/json' };
          const path = `${url}/api/batches/${BATCH}/actuals`;
          return (await fetch(path, { method: 'POST', body, headers })).status;
        };
        // The one before, whose answer might have been lost, and this one; the next dies under way.
        if (i > 0) expect(await send(`s-${i - 1}`, steps[i - 1]!)).to.equal(201);
        expect(await send(`s-${i}`, step)).to.equal(201);
        acknowledged.push(`s-${i}`);
        const next = steps[i + 1];
        const dying = next ? send(`s-${i + 1}`, next).catch(() => 0) : Promise.resolve(0);
        server.child.kill('SIGKILL');
        await Promise.all([dying, server.ended]);
      }
      const again = await openDatabase(dataDir);
      const rows = (await again.observations.about('lido', BATCH)) as ObservationRow[];
      await again.close();
      const ids = rows.map(({ id }) => id).filter((id) => !id.startsWith('lido'));
      expect(ids).to.deep.equal(acknowledged);
    });
  }).timeout(60_000);
});
