import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { expect } from 'chai';
import request from 'supertest';
import type { Batch, Plan } from '@ratio/core/batch';
import { migrator } from '../src/database/migrate.ts';
import { openDatabase } from '../src/database/database.ts';
import { LIDO_MORNING, lidoDrinks } from '../../demo/lido.ts';
import { openLidoServer, type LidoServer } from './lidoServer.ts';

const PLAN: Plan = {
  coffeeId: 'lot-14',
  vesselId: 'wide-jar',
  grind: 'coarse',
  doseG: 400,
  waterG: 2000,
  waterC: 12,
  wetting: 'stages',
  steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
  agitationHours: [],
  bed: 'loose',
  filtration: { method: 'drain', rinseG: 0 },
};

const into = (jugId: string, massG: number) => ({ jugs: [{ jugId, massG }] });

describe('batches and jugs', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const start = (id: string, plan: object = PLAN) =>
    request(server.app).post('/api/batches').send({ id, plan });
  const strain = (id: string, version: string, body: object) =>
    request(server.app).post(`/api/batches/${id}/strain`).set('If-Match', version).send(body);
  const enter = (jug: string, body: object) =>
    request(server.app).post(`/api/jugs/${jug}/entries`).send(body);
  const jugs = async () => (await request(server.app).get('/api/jugs')).body;

  it('opens on the lido’s morning: two running batches, three jugs, four coffees, its vessels, the menu', async () => {
    const get = async (path: string) => (await request(server.app).get(path)).body;
    const batches = await get('/api/batches');
    expect(
      batches.filter(({ status }: { status: string }) => status === 'steeping'),
    ).to.have.length(2);
    expect(await jugs()).to.have.length(3);
    expect(await get('/api/coffees')).to.have.length(4);
    const vessels = await get('/api/vessels');
    const uses = vessels.map(({ use }: { use: string }) => use);
    expect(uses.filter((use: string) => use === 'steep')).to.have.length(6);
    expect(uses.filter((use: string) => use === 'jug')).to.have.length(4);
    expect(await get('/api/drinks')).to.have.length(lidoDrinks.length);
  });

  it('are listed as far back as is asked, with whatever steeps or left something to clean', async () => {
    const list = async (query = '') =>
      ((await request(server.app).get(`/api/batches${query}`)).body as Batch[]).map(({ id }) => id);
    const own = await list();
    const { id: _, version: __, ...known } = await server.db.batches.get('lido', own[0]!);
    for (const [day, cleanedAt] of [null, LIDO_MORNING, LIDO_MORNING, LIDO_MORNING].entries()) {
      const endsAt = `2026-06-0${day + 1}T06:00:00.000Z`;
      const over = { status: 'strained', strainedAt: endsAt, endsAt, needsCleaning: true } as const;
      const body = { ...known, ...over, cleanedAt };
      const caller = { shopId: 'lido', author: 'Demo' };
      await server.db.batches.save(caller, { id: `of-day-${day}`, seenVersion: 0, body });
    }
    expect(await list()).to.deep.equal([0, 1, 2, 3].map((day) => `of-day-${day}`).concat(own));
    const few = await list(`?count=${own.length + 1}`);
    expect(few).to.deep.equal(['of-day-0', 'of-day-3', ...own]);
    expect(await list('?count=1')).to.include.members(['of-day-0', ...own.slice(-2)]);
    for (const query of ['?count=0', '?count=301', '?count=many', '?first=2'])
      expect((await request(server.app).get(`/api/batches${query}`)).status, query).to.equal(400);
  });

  it('start a steep with the prediction that the page shows, and keep it', async () => {
    const { status, body } = await start('new-batch');
    expect(status).to.equal(201);
    expect(body.predicted.strengthFrac).to.be.within(
      body.predicted.strengthLowFrac,
      body.predicted.strengthHighFrac,
    );
    expect(Date.parse(body.endsAt) - Date.parse(body.startedAt)).to.equal(18 * 3_600_000);
    const again = await openDatabase(server.dataDir);
    expect((await again.batches.get('lido', 'new-batch')).plan).to.deep.equal(PLAN);
    await again.close();
  });

  it('start when they did: any instant that is past', async () => {
    const startedAt = '2026-06-12T17:30:00.000Z';
    const { body } = await request(server.app)
      .post('/api/batches')
      .send({ id: 'last-night', plan: PLAN, startedAt });
    expect(body.startedAt).to.equal(startedAt);
    const hours = PLAN.steep.reduce(
      (sum: number, piece: { hours: number }) => sum + piece.hours,
      0,
    );
    expect(Date.parse(body.endsAt) - Date.parse(startedAt)).to.equal(hours * 3_600_000);
    const tomorrow = { id: 'x', plan: PLAN, startedAt: '2026-06-15T06:40:00.000Z' };
    expect((await request(server.app).post('/api/batches').send(tomorrow)).status).to.equal(422);
    const before = { ...into('j', 2000), strainedAt: '2026-06-12T17:00:00.000Z' };
    expect((await strain('last-night', '"1"', before)).body.detail).to.contain('before it began');
  });

  it('start nothing twice when a request is repeated, and refuse another plan under its id', async () => {
    const first = await start('new-batch');
    const second = await start('new-batch');
    expect(second.body).to.deep.equal(first.body);
    expect((await start('new-batch', { ...PLAN, doseG: 350 })).status).to.equal(409);
    const { body } = await request(server.app).get('/api/batches');
    expect(body.filter(({ id }: { id: string }) => id === 'new-batch')).to.have.length(1);
  });

  for (const [name, over, status] of [
    ['an unknown coffee', { coffeeId: 'nowhere' }, 404],
    ['a jar that overflows', { vesselId: 'small-jar' }, 422],
    ['an absurd ratio', { doseG: 1, waterG: 4000 }, 422],
    ['an unknown key', { milk: true }, 400],
  ] as const)
    it(`refuse ${name} and keep nothing`, async () => {
      expect((await start('bad-batch', { ...PLAN, ...over })).status).to.equal(status);
      const { body } = await request(server.app).get('/api/batches');
      expect(body).to.have.length(5);
    });

  it('are strained into a jug once, by whoever saw the present version', async () => {
    const body = { ...into('new-jug', 2600), strengthFrac: 0.034 };
    expect(
      (await request(server.app).post('/api/batches/lido-batch-4/strain').send(body)).status,
    ).to.equal(428);
    const stale = await strain('lido-batch-4', '"7"', body);
    expect(stale.status).to.equal(412);
    expect(stale.body.current).to.include({ id: 'lido-batch-4', version: 1 });
    expect(
      (await strain('lido-batch-4', '"1"', { ...body, ...into('new-jug', 90_000) })).status,
    ).to.equal(422);
    expect((await strain('lido-batch-4', '"1"', body)).body).to.include({
      status: 'strained',
      version: 2,
    });
    // Sent again after a lost answer it is done already, whatever version was seen.
    expect((await strain('lido-batch-4', '"1"', body)).body).to.include({ version: 2 });
    for (const other of [
      into('new-jug', 2500),
      { strengthFrac: 0.03 },
      { strengthFrac: undefined },
    ])
      expect((await strain('lido-batch-4', '"1"', { ...body, ...other })).body).to.include({
        status: 409,
        code: 'already_exists',
      });
    expect((await strain('lido-batch-4', '"2"', into('other', 2600))).status).to.equal(409);
    const made = (await jugs()).find(({ id }: { id: string }) => id === 'new-jug');
    expect(made).to.include({ onHandG: 2600, strengthFrac: 0.034, readBy: 'refractometer' });
    // Seven days counting the day of making (FDA Food Code 3-501.17).
    expect(Date.parse(made.useBy) - Date.parse(made.madeAt)).to.equal(6 * 86_400_000);
  });

  it('fill several jugs of the shop at one strain, by mass or by volume, and say what does not fit', async () => {
    const late = { strainedAt: '2026-06-13T06:30:00.000Z' };
    const into = (...jugs: object[]) => ({ jugs, ...late });
    const inUse = await strain(
      'lido-batch-4',
      '"1"',
      into({ jugId: 'a', vesselId: 'jug-1', massG: 900 }),
    );
    expect(inUse.status).to.equal(409);
    expect(inUse.body.detail).to.contain('Jug 1 still holds');
    const tooMuch = await strain(
      'lido-batch-4',
      '"1"',
      into({ jugId: 'a', vesselId: 'jug-4', volumeMl: 2600 }),
    );
    expect(tooMuch.status).to.equal(422);
    expect(tooMuch.body.detail).to.contain('Jug 4 takes 2000 mL: 600 mL do not fit');
    expect(tooMuch.body.issues[0].path).to.equal('jugs.0');
    const { body } = await strain(
      'lido-batch-4',
      '"1"',
      into({ jugId: 'a', vesselId: 'jug-4', volumeMl: 2000 }, { jugId: 'b', massG: 480 }),
    );
    expect(body).to.include({ status: 'strained', strengthBy: 'prediction', ...late });
    const [a, b] = ['a', 'b'].map(
      (id) => server.db.jugs.get('lido', id) as Promise<unknown> as Promise<Record<string, number>>,
    );
    expect(await a).to.include({ label: 'Jug 4', vesselId: 'jug-4', capacityMl: 2000 });
    expect(await b).to.include({ onHandG: 480, capacityMl: null, strengthFrac: body.strengthFrac });
    // 2 L of a concentrate of 3 to 4 % weigh a little more than 2 kg.
    expect((await a)!['onHandG']).to.be.within(2015, 2045);
    const full = { id: 'w', kind: 'watered', massG: 100 };
    expect((await enter('a', full)).status).to.equal(409);
    expect((await enter('b', full)).status).to.equal(201);
  });

  it('are predicted for the hours that they really had', async () => {
    const startedAt = '2026-06-12T12:00:00.000Z';
    const begin = () => request(server.app).post('/api/batches');
    await begin().send({ id: 'whole', plan: PLAN, startedAt });
    const whole = await strain('whole', '"1"', {
      ...into('w', 1500),
      strainedAt: '2026-06-13T06:00:00.000Z',
    });
    expect(whole.body.strengthFrac).to.be.closeTo(whole.body.predicted.strengthFrac, 1e-9);
    await begin().send({ id: 'minute', plan: PLAN, startedAt: '2026-06-13T06:20:00.000Z' });
    const minute = await strain('minute', '"1"', {
      ...into('m', 1500),
      strainedAt: '2026-06-13T06:21:00.000Z',
    });
    expect(minute.body.strengthFrac).to.be.below(0.25 * whole.body.strengthFrac);
    const jug = await server.db.jugs.get('lido', 'm');
    expect(jug.strengthFrac).to.equal(minute.body.strengthFrac);
  });

  it('are refused in a vessel that holds another one, with when it is free and which others are', async () => {
    expect((await start('first')).status).to.equal(201);
    const second = await start('second');
    expect(second.status).to.equal(409);
    expect(second.body.detail).to.match(
      /^Wide jar 3 L holds Lot 14, natural until Sun 01:40\. Free: /,
    );
    expect(second.body.detail).to.contain('Pitcher 2 L').and.not.to.contain('Bag bucket');
    const anyOne = { ...PLAN, vesselId: 'any-vessel', coffeeId: 'usual-dark' };
    for (const id of ['third', 'fourth']) expect((await start(id, anyOne)).status).to.equal(201);
    // One that was forgotten, and was over before the first one began.
    const startedAt = '2026-06-11T12:00:00.000Z';
    const forgotten = { id: 'forgotten', plan: PLAN, startedAt };
    expect((await request(server.app).post('/api/batches').send(forgotten)).status).to.equal(201);
  });

  it('left on the grounds are poured from at the strength of now, and end with the strain', async () => {
    const onGrounds = { ...PLAN, filtration: { method: 'on-grounds', rinseG: 0 } };
    const startedAt = '2026-06-12T18:00:00.000Z';
    const begin = { id: 'grounds', plan: onGrounds, startedAt };
    const { body } = await request(server.app).post('/api/batches').send(begin);
    const now = (await jugs()).find(({ onGrounds: is }: { onGrounds: boolean }) => is);
    expect(now).to.include({ label: 'Wide jar 3 L, on its grounds', batchId: 'grounds' });
    // 12 h 40 min of 18 h: weaker than it will be, and not by much.
    expect(now.strengthFrac).to.be.within(
      0.7 * body.predicted.strengthFrac,
      body.predicted.strengthFrac,
    );
    const pour = await enter(now.id, { id: 'p', kind: 'poured', massG: 200 });
    expect(pour.body.onHandG).to.be.closeTo(body.predicted.brewG - 200, 1e-9);
    expect((await enter(now.id, { id: 'w', kind: 'watered', massG: 10 })).status).to.equal(409);
    const strained = await strain('grounds', '"1"', into('off', 900));
    expect(strained.body.status).to.equal('strained');
    expect(strained.body.strengthFrac).to.be.closeTo(now.strengthFrac, 1e-9);
    const after = (await jugs()).map(({ id }: { id: string }) => id);
    expect(after).to.include('off').and.not.to.include(now.id);
  });

  it('take in a jug that was made elsewhere, once', async () => {
    const elsewhere = {
      id: 'carton',
      label: 'Carton',
      capacityMl: 1000,
      onHandMl: 900,
      madeAt: '2026-06-12T06:00:00.000Z',
      estimate: { parts: { concentrate: 1, fill: 1 } },
    };
    const add = (over: object = {}) =>
      request(server.app)
        .post('/api/jugs')
        .send({ ...elsewhere, ...over });
    const { status, body } = await add();
    expect(status).to.equal(201);
    expect(body).to.include({ label: 'Carton', readBy: 'taste', capacityMl: 1000, batchId: null });
    expect(body.strengthFrac).to.be.within(body.filledRange.low, body.filledRange.high);
    expect(body).not.to.have.property('request');
    expect((await add()).status).to.equal(201);
    expect((await add({ onHandMl: 800 })).status).to.equal(409);
    expect((await add({ id: 'x', onHandMl: 1200 })).status).to.equal(422);
    expect((await add({ id: 'x', madeAt: '2026-07-12T06:00:00.000Z' })).status).to.equal(422);
    expect((await jugs()).map(({ id }: { id: string }) => id)).to.include('carton');
    expect((await enter('carton', { id: 'w', kind: 'watered', volumeMl: 250 })).status).to.equal(
      409,
    );
    expect((await enter('carton', { id: 'p', kind: 'poured', massG: 300 })).status).to.equal(201);
  });

  it('keep each draw as a row, count a repeated one once, and take one back once', async () => {
    const before = (await jugs())[0].onHandG;
    const draw = { id: 'draw-1', kind: 'poured', massG: 88, note: 'Lido black' };
    expect((await enter('lido-jug-1', draw)).body.onHandG).to.be.closeTo(before - 88, 1e-9);
    expect((await enter('lido-jug-1', draw)).body.onHandG).to.be.closeTo(before - 88, 1e-9);
    const undo = await enter('lido-jug-1', { id: 'undo-1', kind: 'undone', entryId: 'draw-1' });
    expect(undo.body.onHandG).to.be.closeTo(before, 1e-9);
    expect(
      (await enter('lido-jug-1', { id: 'undo-2', kind: 'undone', entryId: 'draw-1' })).status,
    ).to.equal(409);
    expect(await server.db.jugEntries.about('lido', 'lido-jug-1')).to.have.length(6);
  });

  it('are corrected with a reason: the entry stays, and the jug is as it would have been', async () => {
    const before = (await jugs())[0].onHandG;
    await enter('lido-jug-1', { id: 'draw-1', kind: 'poured', massG: 88, note: 'Lido black' });
    const right = { id: 'fix-1', kind: 'corrected', entryId: 'draw-1', volumeMl: 60 };
    expect((await enter('lido-jug-1', right)).status).to.equal(400);
    const fixed = await enter('lido-jug-1', { ...right, reason: 'small glass' });
    // 60 mL of a concentrate of 3 to 4 % weigh 60.6 to 60.9 g.
    expect(before - fixed.body.onHandG).to.be.within(60.4, 61.1);
    const { body: rows } = await request(server.app).get('/api/jugs/lido-jug-1/entries');
    expect(rows[0]).to.include({ kind: 'corrected', corrects: 'draw-1', note: 'small glass' });
    expect(rows[1]).to.include({ id: 'draw-1', massG: -88, corrected: true, undone: false });
    const strength = { id: 'fix-2', kind: 'corrected', entryId: 'draw-1', strengthFrac: 0.03 };
    const refused = await enter('lido-jug-1', { ...strength, reason: 'x' });
    expect(refused.body).to.include({
      status: 400,
      detail: 'Of this entry the amount can be corrected.',
    });
    const filled = rows.find(({ kind }: { kind: string }) => kind === 'filled').id;
    const refill = { id: 'fix-3', kind: 'corrected', entryId: filled, strengthFrac: 0.02 };
    const weaker = await enter('lido-jug-1', { ...refill, reason: 'read again' });
    expect(weaker.body.strengthFrac).to.be.closeTo(0.02, 1e-12);
    expect((await enter('lido-jug-1', { ...refill, reason: 'read again' })).status).to.equal(201);
    const undo = await enter('lido-jug-1', {
      id: 'u',
      kind: 'undone',
      entryId: 'fix-1',
      note: 'no',
    });
    expect(before - undo.body.onHandG).to.be.closeTo(88, 1e-9);
  });

  it('pour no more than a jug holds', async () => {
    const { status, body } = await enter('lido-jug-1', {
      id: 'draw-9',
      kind: 'poured',
      massG: 5000,
    });
    expect(status).to.equal(409);
    expect(body.detail).to.match(/Only \d+ g/);
  });

  it('add up when thirty tablets pour at once', async () => {
    const before = (await jugs())[1].onHandG;
    await Promise.all(
      Array.from({ length: 30 }, (_, i) =>
        enter('lido-jug-2', { id: `rush-${i}`, kind: 'poured', massG: 10 }),
      ),
    );
    expect((await jugs())[1].onHandG).to.be.closeTo(before - 300, 1e-6);
  });

  it('survive a kill once they are acknowledged', async () => {
    const program = `
      import { openDatabase } from ${JSON.stringify(new URL('../src/database/database.ts', import.meta.url).href)};
      const db = await openDatabase(${JSON.stringify(server.dataDir)});
      await db.write((transaction) => db.jugEntries.add(
        { shopId: 'lido', author: 'unsigned' },
        { id: 'before-the-kill', jugId: 'lido-jug-1', kind: 'poured', massG: -1, note: '', at: '2026-06-13T06:40:00Z',
          undoes: null, corrects: null, strengthFrac: null, caffeineMgPerG: null, pricePerKg: null, useBy: null, pairId: null },
        transaction));
      process.kill(process.pid, 'SIGKILL');`;
    const child = spawn(
      process.execPath,
      ['--import', 'tsx', '--input-type=module', '-e', program],
      { stdio: 'inherit' },
    );
    expect((await once(child, 'exit'))[1]).to.equal('SIGKILL');
    expect(await server.db.jugEntries.find('lido', 'before-the-kill')).to.include({ massG: -1 });
  });

  it('tell open pages what changed', async () => {
    const listening = server.app.listen(0);
    const { port } = listening.address() as { port: number };
    const stream = await fetch(`http://127.0.0.1:${port}/api/changes`);
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
    await reader.read();
    await start('heard-batch');
    expect((await reader.read()).value).to.contain('"id":"heard-batch"');
    await reader.cancel();
    listening.close();
  });

  it('migrate down and up again', async () => {
    const umzug = migrator(server.db.sequelize);
    await umzug.down({ to: 0 });
    await umzug.up();
    expect(await server.db.jugs.list('lido')).to.deep.equal([]);
  });
});
