import { LIDO_MORNING } from '../../demo/lido.ts';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect } from 'chai';
import request from 'supertest';
import { openDatabase } from '../src/database/database.ts';
import { openLidoServer, type LidoServer } from './lidoServer.ts';
import { openShop } from '../src/shop/openShop.ts';

describe('documents that several tablets write', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const put = (at: string, version: string, body: object) =>
    request(server.app).put(at).set('If-Match', version).send(body);
  const bodyOf = async (at: string) => {
    const [{ id, version, ...body }] = (await request(server.app).get(at)).body;
    return { id, version, body };
  };

  it('are written by whoever saw the present version; the other one is shown both', async () => {
    const { id, version, body } = await bodyOf('/api/coffees');
    const first = await put(`/api/coffees/${id}`, `"${version}"`, { ...body, pricePerKg: 33 });
    expect(first.body).to.include({ version: version + 1, pricePerKg: 33 });
    const second = await put(`/api/coffees/${id}`, `"${version}"`, { ...body, pricePerKg: 44 });
    expect(second.status).to.equal(412);
    expect(second.body.current).to.include({ version: version + 1, pricePerKg: 33 });
  });

  it('need a version, a name that fits, and nothing unknown', async () => {
    const { id, body } = await bodyOf('/api/vessels');
    expect((await request(server.app).put(`/api/vessels/${id}`).send(body)).status).to.equal(428);
    expect((await put('/api/vessels/Not%20An%20Id', '"0"', body)).status).to.equal(400);
    expect((await put(`/api/vessels/${id}`, '"1"', { ...body, colour: 'red' })).status).to.equal(
      400,
    );
    expect(
      (await put(`/api/vessels/${id}`, '"1"', { ...body, name: '' })).body.issues[0].path,
    ).to.equal('name');
    const made = await put('/api/vessels/new-jar', '"0"', { ...body, name: 'New jar' });
    expect(made.body).to.include({ id: 'new-jar', version: 1, name: 'New jar' });
  });

  it('remembers when the mill was set again, and takes nobody’s word for it', async () => {
    const shopNow = async () => {
      const { body } = await request(server.app).get('/api/shop');
      const { id: _, version, now: __, clockFrozen: ___, clockBehindMs: ____, ...shop } = body;
      return { version, shop };
    };
    const { version, shop } = await shopNow();
    const before = shop.mill.setAt;
    const mill = { ...shop.mill, setAt: [] };
    const same = await put('/api/shop', `"${version}"`, { ...shop, mill });
    expect(same.body.mill.setAt).to.deep.equal(before);
    mill.settings = { ...mill.settings, coarse: '27' };
    const set = await put('/api/shop', `"${version + 1}"`, { ...shop, mill });
    expect(set.body.mill.setAt).to.deep.equal([...before, LIDO_MORNING]);
  });

  it('keep the shop’s clock through a change of its hours', async () => {
    const {
      now: _,
      clockFrozen: __,
      clockBehindMs: ____,
      id: ___,
      version,
      ...shop
    } = (await request(server.app).get('/api/shop')).body;
    const changed = await put('/api/shop', `"${version}"`, { ...shop, crewFromHours: 5 });
    expect(changed.body).to.include({ crewFromHours: 5 });
    expect(await server.db.shops.get('lido', 'lido')).to.have.property('clockOffsetMs');
    // Whoever comes too late gets the shop as it is sent, to write it again.
    const stale = await put('/api/shop', `"${version}"`, { ...shop, crewFromHours: 6 });
    const { id: ____1, version: now, ...current } = stale.body.current;
    expect((await put('/api/shop', `"${now}"`, { ...current, roomC: 21 })).status).to.equal(200);
  });

  it('keep a set of small jars, its start and its scores', async () => {
    const plan = {
      coffeeId: 'lot-14',
      vesselId: 'tall-jar',
      grind: 'coarse',
      doseG: 900,
      waterG: 4500,
      waterC: 12,
      wetting: 'stages',
      steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
      agitationHours: [],
      bed: 'loose',
      filtration: { method: 'drain', rinseG: 0 },
    };
    const jar = {
      number: 1,
      grind: 'coarse',
      ratio: 5,
      hours: 18,
      doseG: 128.5,
      waterG: 642.5,
      strengthFrac: 0.034,
      extractionYieldFrac: 0.18,
      score: null,
      note: '',
    };
    const set = {
      plan,
      jarId: 'small-jar',
      jarName: 'Small jar',
      coffeeName: 'Lot 14',
      jars: [jar],
      startedAt: null,
    };
    expect((await put('/api/samples/first', '"0"', set)).body).to.include({
      id: 'first',
      version: 1,
    });
    const scored = { ...set, jars: [{ ...jar, score: 5 }], startedAt: '2026-06-13T06:40:00.000Z' };
    expect((await put('/api/samples/first', '"1"', scored)).body.jars[0].score).to.equal(5);
    expect((await put('/api/samples/first', '"1"', set)).status).to.equal(412);
    const tooMany = { ...set, jars: Array.from({ length: 10 }, () => jar) };
    expect((await put('/api/samples/second', '"0"', tooMany)).status).to.equal(400);
    expect(
      (await put('/api/samples/second', '"0"', { ...set, jars: [{ ...jar, score: 9 }] })).status,
    ).to.equal(400);
    expect((await request(server.app).get('/api/samples')).body).to.have.length(1);
  });

  it('hold a draft for every tablet', async () => {
    const plan = {
      coffeeId: 'lot-14',
      vesselId: 'tall-jar',
      grind: 'coarse',
      doseG: 900,
      waterG: 4500,
      waterC: 12,
      wetting: 'stages',
      steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
      agitationHours: [],
      bed: 'loose',
      filtration: { method: 'drain', rinseG: 0 },
    };
    const targets = [
      { key: 'ratio', value: 5 },
      { key: 'doseG', value: 900 },
    ];
    const draft = { plan, targets, locked: null, scooped: false, startAt: null };
    expect((await put('/api/drafts/bench', '"0"', draft)).body).to.include({
      id: 'bench',
      version: 1,
    });
    expect((await put('/api/drafts/bench', '"0"', draft)).status).to.equal(412);
    expect((await put('/api/drafts/bench', '"1"', { ...draft, scooped: true })).body).to.include({
      version: 2,
      scooped: true,
    });
    const { body } = await request(server.app).get('/api/drafts');
    expect(body).to.have.length(1);
  });
});

describe('a shop without data', () => {
  it('gets its row once, with a zone that a clock knows', async () => {
    const dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-shop-'));
    const db = await openDatabase(dataDir);
    const { zone } = await openShop({ db, shopId: null });
    await openShop({ db, shopId: null });
    expect(await db.shops.shopIds()).to.deep.equal(['shop']);
    expect(() => new Intl.DateTimeFormat('en', { timeZone: zone })).to.not.throw();
    await db.close();
    await rm(dataDir, { recursive: true });
  });
});
