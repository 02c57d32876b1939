import { expect } from 'chai';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { databaseFile } from '../src/database/checks.ts';
import { connect } from '../src/database/connect.ts';
import { openDatabase } from '../src/database/database.ts';
import { migrator } from '../src/database/migrate.ts';
import { openLidoServer, type LidoServer } from './lidoServer.ts';

describe('the bar', () => {
  let server: LidoServer;
  beforeEach(async () => (server = await openLidoServer()));
  afterEach(() => server.close());
  const get = async (at: string) => (await request(server.app).get(at)).body;
  const post = (at: string, body: object) => request(server.app).post(at).send(body);
  const jugOf = async (id: string) =>
    (await get('/api/jugs')).find((jug: { id: string }) => jug.id === id);
  const enter = (id: string, body: object) => post(`/api/jugs/${id}/entries`, body);

  describe('a jug', () => {
    it('costs what its coffee cost', async () => {
      // Lot 9 at 22.50 a kilogram, 800 g of it; the brew was weighed to 10 g.
      const jug = await jugOf('lido-jug-1');
      const [filled] = (await get('/api/jugs/lido-jug-1/entries')).toReversed();
      expect(jug.pricePerKg).to.be.closeTo((22.5 * 800) / filled.massG, 1e-9);
    });

    it('is read, and pours keep what was read', async () => {
      const before = await jugOf('lido-jug-1');
      const read = await enter('lido-jug-1', { id: 'r1', kind: 'read', strengthFrac: 0.033 });
      expect(read.body).to.include({ strengthFrac: 0.033, readBy: 'refractometer' });
      expect(read.body.caffeineMgPerG / before.caffeineMgPerG).to.be.closeTo(
        0.033 / before.strengthFrac,
        1e-9,
      );
      const poured = await enter('lido-jug-1', { id: 'p1', kind: 'poured', massG: 100 });
      expect(poured.body).to.include({ strengthFrac: 0.033, readBy: 'refractometer' });
    });

    it('is thinned by the balance, and comes back by taking the water out of the ledger', async () => {
      const before = await jugOf('lido-jug-2');
      const done = await enter('lido-jug-2', { id: 'w1', kind: 'watered', massG: 200 });
      const { onHandG, strengthFrac } = done.body;
      expect(done.body.readBy).to.equal('balance');
      expect(onHandG).to.be.closeTo(before.onHandG + 200, 1e-9);
      expect(onHandG * strengthFrac).to.be.closeTo(before.onHandG * before.strengthFrac, 1e-9);
      expect(onHandG * done.body.pricePerKg).to.be.closeTo(
        before.onHandG * before.pricePerKg,
        1e-6,
      );
      const back = await enter('lido-jug-2', { id: 'u1', kind: 'undone', entryId: 'w1' });
      expect(back.body).to.deep.equal(before);
    });

    it('is blended out of another one: two rows, one date, and both come back together', async () => {
      const [one, two] = [await jugOf('lido-jug-1'), await jugOf('lido-jug-2')];
      const blend = { id: 'b1', kind: 'blended', fromJugId: 'lido-jug-2', massG: 300 };
      const done = (await enter('lido-jug-1', blend)).body;
      const solids = one.onHandG * one.strengthFrac + 300 * two.strengthFrac;
      expect(done.strengthFrac).to.be.closeTo(solids / (one.onHandG + 300), 1e-12);
      expect(done.useBy).to.equal([one.useBy, two.useBy].sort()[0]);
      expect((await jugOf('lido-jug-2')).onHandG).to.be.closeTo(two.onHandG - 300, 1e-9);
      // Sent again it counts once.
      expect((await enter('lido-jug-1', blend)).body).to.deep.equal(done);
      await enter('lido-jug-1', { id: 'u1', kind: 'undone', entryId: 'b1' });
      expect([await jugOf('lido-jug-1'), await jugOf('lido-jug-2')]).to.deep.equal([one, two]);
      const rows = await get('/api/jugs/lido-jug-1/entries');
      expect(rows[1]).to.include({ id: 'b1', kind: 'blended-in', undone: true });
    });

    it('refuses what does not fit, and what is not there', async () => {
      const full = await enter('lido-jug-1', { id: 'w1', kind: 'watered', massG: 9000 });
      expect(full.body).to.include({ status: 409 });
      expect(full.body.detail).to.contain('The jug holds 3000 mL');
      const self = { id: 'b1', kind: 'blended', fromJugId: 'lido-jug-1', massG: 10 };
      expect((await enter('lido-jug-1', self)).status).to.equal(404);
    });

    it('keeps its solids where something below other work is taken back', async () => {
      const [one, two] = [await jugOf('lido-jug-1'), await jugOf('lido-jug-2')];
      const solidsG = (jug: { onHandG: number; strengthFrac: number }) =>
        jug.onHandG * jug.strengthFrac;
      await enter('lido-jug-1', { id: 'p1', kind: 'poured', massG: 200 });
      const blend = { kind: 'blended', fromJugId: 'lido-jug-2', massG: 300 };
      await enter('lido-jug-1', { id: 'b1', ...blend });
      await enter('lido-jug-2', { id: 'r1', kind: 'read', strengthFrac: 0.03 });
      await enter('lido-jug-1', { id: 'w1', kind: 'watered', massG: 100 });
      const back = (await enter('lido-jug-1', { id: 'u1', kind: 'undone', entryId: 'b1' })).body;
      expect(back.onHandG).to.be.closeTo(one.onHandG - 100, 1e-6);
      expect(solidsG(back)).to.be.closeTo(solidsG(one) - 200 * one.strengthFrac, 1e-6);
      const other = await jugOf('lido-jug-2');
      expect(other.onHandG).to.be.closeTo(two.onHandG, 1e-6);
      expect(other.strengthFrac).to.equal(0.03);
      const watered = (await get('/api/jugs/lido-jug-1/entries')).find(
        ({ id }: { id: string }) => id === 'w1',
      );
      // The row says what it makes of the jug without the blend.
      expect(watered.strengthFrac).to.be.closeTo(back.strengthFrac, 1e-12);
    });

    it('follows a blend into the other jug when something before it is taken back', async () => {
      const two = await jugOf('lido-jug-2');
      await enter('lido-jug-2', { id: 'w1', kind: 'watered', massG: 100 });
      const blend = { id: 'b1', kind: 'blended', fromJugId: 'lido-jug-2', massG: 300 };
      const before = await jugOf('lido-jug-1');
      await enter('lido-jug-1', blend);
      await enter('lido-jug-2', { id: 'u1', kind: 'undone', entryId: 'w1' });
      const { onHandG, strengthFrac } = await jugOf('lido-jug-1');
      expect(onHandG * strengthFrac).to.be.closeTo(
        before.onHandG * before.strengthFrac + 300 * two.strengthFrac,
        1e-6,
      );
    });

    it('says why something cannot be taken back, and changes nothing', async () => {
      const { onHandG } = await jugOf('lido-jug-1');
      const room = 3000 - onHandG;
      await enter('lido-jug-1', { id: 'p1', kind: 'poured', massG: 400 });
      await enter('lido-jug-1', { id: 'w1', kind: 'watered', massG: room + 390 });
      const before = await jugOf('lido-jug-1');
      const back = await enter('lido-jug-1', { id: 'u1', kind: 'undone', entryId: 'p1' });
      expect(back.body).to.include({ status: 409, code: 'not_possible_now' });
      expect(back.body.detail).to.match(/^It cannot be undone: \d+ g were added later/);
      expect(await jugOf('lido-jug-1')).to.deep.equal(before);
      await enter('lido-jug-1', { id: 'all', kind: 'poured', massG: before.onHandG });
      const thin = await enter('lido-jug-1', { id: 'u2', kind: 'undone', entryId: 'w1' });
      expect(thin.body.detail).to.match(/drawn off later, and without it only \d+ g were there/);
    });

    it('leaves the list once it is emptied, and keeps its ledger', async () => {
      const { onHandG } = await jugOf('lido-jug-1');
      await enter('lido-jug-1', { id: 'p1', kind: 'poured', massG: onHandG + 0.3 });
      expect(await jugOf('lido-jug-1')).to.equal(undefined);
      expect(await get('/api/jugs/lido-jug-1')).to.include({ id: 'lido-jug-1', onHandG: 0 });
      expect((await get('/api/jugs/lido-jug-1/entries'))[0]).to.include({ id: 'p1' });
      await enter('lido-jug-1', { id: 'u1', kind: 'undone', entryId: 'p1' });
      expect((await jugOf('lido-jug-1')).onHandG).to.equal(onHandG);
    });

    it('is counted, and discarded with the reason', async () => {
      const counted = { id: 'c1', kind: 'counted', massG: 900 };
      expect((await enter('lido-jug-1', counted)).body.onHandG).to.equal(900);
      const byLevel = { id: 'c2', kind: 'counted', volumeMl: 500 };
      const { onHandG, strengthFrac } = (await enter('lido-jug-1', byLevel)).body;
      // Coffee of 3 to 4 % is 1.0 to 1.6 % denser than water.
      expect(onHandG / 500).to.be.within(1.009, 1.017);
      const thrown = { id: 'd1', kind: 'discarded', massG: onHandG, reason: 'past its date' };
      expect((await enter('lido-jug-1', thrown)).body).to.include({ onHandG: 0, strengthFrac });
      const [row] = await get('/api/jugs/lido-jug-1/entries');
      expect(row).to.include({ kind: 'discarded', note: 'past its date' });
      const both = { id: 'c3', kind: 'counted', volumeMl: 500, massG: 500 };
      expect((await enter('lido-jug-1', both)).body.detail).to.contain('either massG or volumeMl');
      const none = { id: 'd2', kind: 'discarded', massG: 1 };
      expect((await enter('lido-jug-1', none)).status).to.equal(400);
    });

    it('refuses other work under an identity that is taken, whatever it is', async () => {
      const first = { id: 'p1', kind: 'poured', massG: 10, note: 'Deep End' };
      const done = (await enter('lido-jug-1', first)).body;
      expect((await enter('lido-jug-1', first)).body).to.deep.equal(done);
      for (const other of [
        { ...first, massG: 500 },
        { ...first, note: 'Tide Line' },
        { id: 'p1', kind: 'read', strengthFrac: 0.02 },
        { id: 'p1', kind: 'watered', massG: 10 },
      ]) {
        const refused = (await enter('lido-jug-1', other)).body;
        expect(refused).to.include({ status: 409, code: 'already_exists' });
      }
      expect((await enter('lido-jug-2', first)).body).to.include({ status: 409 });
      expect(await jugOf('lido-jug-1')).to.deep.equal(done);
    });
  });

  describe('the pantry', () => {
    const own = async (id: string) =>
      (await get('/api/pantry')).find((item: { id: string }) => item.id === id);
    const put = (at: string, version: number, body: object) =>
      request(server.app).put(at).set('If-Match', `"${version}"`).send(body);

    it('lists built-in, own and house-made parts, each with composition, allergens and source', async () => {
      const all = await get('/api/ingredients');
      const of = (id: string) => all.find((one: { id: string }) => one.id === id);
      expect(of('soy-drink').allergens).to.deep.equal(['soy']);
      expect(of('oat-drink').name).to.equal('Oat drink, barista');
      expect(of('salt-foam')).to.include({ kind: 'foam', overrunFrac: 0.8, mark: 'ours' });
      for (const one of all) {
        const sum = Object.values<number>(one.per100G).reduce((a, b) => a + b, 0);
        expect(sum).to.be.closeTo(100, 1e-9);
      }
    });

    it('pours house recipes and the shop’s own ingredients into a predicted drink', async () => {
      const drink = {
        cupMl: 300,
        concentrate: { strengthFrac: 0.035 },
        additions: [{ ingredient: 'rosemary-syrup', volumeMl: 20 }],
        fillWith: { ingredient: 'oat-drink' },
        target: { strengthFrac: 0.013 },
      };
      const { body } = await post('/api/predict/drink', drink);
      expect(body.status).to.equal('met');
      expect(body.allergens).to.deep.equal(['gluten']);
      expect(body.sugarG).to.be.above(11);
      const unknown = { ...drink, fillWith: { ingredient: 'moon-milk' } };
      expect((await post('/api/predict/drink', unknown)).body).to.include({ status: 400 });
    });

    it('keeps what goes into a drink, and says into which', async () => {
      const { version } = (await get('/api/house-recipes')).find(
        ({ id }: { id: string }) => id === 'salt-foam',
      );
      const gone = await request(server.app)
        .delete('/api/house-recipes/salt-foam')
        .set('If-Match', String(version));
      expect(gone.status).to.equal(409);
      expect(gone.body.detail).to.contain('Salt foam tide');
    });

    describe('what stands open', () => {
      const at = '2026-06-13T06:40:00.000Z';
      const openedOf = async (id: string) =>
        (await get('/api/opened')).find((one: { id: string }) => one.id === id);

      it('is opened, used up, and refused where another tablet was first', async () => {
        expect((await put('/api/opened/soy-drink', 0, { at })).body).to.include({ version: 1, at });
        const stale = await put('/api/opened/soy-drink', 0, { at });
        expect(stale.status).to.equal(412);
        expect(stale.body.current).to.include({ id: 'soy-drink', version: 1 });
        const done = await request(server.app).delete('/api/opened/soy-drink').set('If-Match', '1');
        expect(done.status).to.equal(200);
        expect(await openedOf('soy-drink')).to.equal(undefined);
      });

      it('is something that can be poured, since an instant', async () => {
        expect((await put('/api/opened/moon-milk', 0, { at })).status).to.equal(404);
        expect((await put('/api/opened/soy-drink', 0, { at: 'today' })).status).to.equal(400);
        expect((await put('/api/opened/soy-drink', 0, {})).status).to.equal(400);
      });

      it('goes with a part that is no longer made', async () => {
        await put('/api/opened/cup-syrup', 0, { at });
        const { version } = (await get('/api/house-recipes')).find(
          ({ id }: { id: string }) => id === 'cup-syrup',
        );
        await request(server.app)
          .delete('/api/house-recipes/cup-syrup')
          .set('If-Match', String(version));
        expect(await openedOf('cup-syrup')).to.equal(undefined);
      });
    });

    it('lets go of the shop’s own say on a built-in ingredient', async () => {
      const { version } = await own('oat-drink');
      const gone = await request(server.app)
        .delete('/api/pantry/oat-drink')
        .set('If-Match', String(version));
      expect(gone.status).to.equal(200);
      const all = await get('/api/ingredients');
      expect(all.find((one: { id: string }) => one.id === 'oat-drink').name).to.equal('Oat drink');
    });

    it('refuses a part that goes into itself, and keeps the one before', async () => {
      const { id, version, ...part } = (await get('/api/house-recipes')).find(
        (one: { id: string }) => one.id === 'cup-syrup',
      );
      const inputs = [{ ingredient: 'cup-syrup', amount: { massG: 10 } }];
      const answer = await put(`/api/house-recipes/${id}`, version, { ...part, inputs });
      expect(answer.body.detail).to.contain('goes into itself');
      expect(
        (await get('/api/house-recipes')).find((one: { id: string }) => one.id === id).version,
      ).to.equal(version);
    });
  });

  describe('a drink', () => {
    const menu = async (id: string) => {
      const {
        version,
        id: _,
        ...drink
      } = (await get('/api/drinks')).find((one: { id: string }) => one.id === id);
      return { version, drink };
    };
    const keep = (id: string, version: number | null, body: object) => {
      const sent = post(`/api/drinks/${id}/versions`, body);
      return version === null ? sent : sent.set('If-Match', String(version));
    };

    it('is kept as the usual with what changed, and counts once', async () => {
      const { version, drink } = await menu('lido-black');
      const target = { strengthFrac: 0.015, atMinutes: 4 };
      const body = { id: 'v1', drink: { ...drink, target }, change: 'stronger', forWhom: '' };
      expect((await keep('lido-black', version, body)).body).to.include({ version: version + 1 });
      expect((await keep('lido-black', version, body)).body).to.include({ version: version + 1 });
      const other = await keep('lido-black', version, { ...body, id: 'v2' });
      expect(other.status).to.equal(412);
      const [last] = await get('/api/drinks/lido-black/versions');
      expect(last).to.include({ change: 'stronger', forWhom: '' });
      expect(last.drink.target).to.deep.equal(target);
    });

    it('is kept for somebody without changing the usual', async () => {
      const { version, drink } = await menu('lido-black');
      const body = {
        id: 'v1',
        drink: { ...drink, price: 3.6 },
        change: 'two sizes',
        forWhom: 'window seat',
      };
      expect((await keep('lido-black', null, body)).status).to.equal(201);
      expect((await menu('lido-black')).version).to.equal(version);
      const [last] = await get('/api/drinks/lido-black/versions');
      expect(last).to.include({ forWhom: 'window seat' });
    });

    it('is new with version 0, and refused where an ingredient is not on the shelf', async () => {
      const { drink } = await menu('milk-tide');
      const body = { id: 'v1', drink: { ...drink, name: 'New one' }, change: 'new', forWhom: '' };
      const made = await keep('new-one', 0, body);
      expect(made.body).to.include({ id: 'new-one', version: 1, name: 'New one' });
      const diluents = [{ ingredient: 'moon-milk', tempC: 4, proportion: 1 }];
      const bad = await keep('other', 0, { ...body, id: 'v2', drink: { ...drink, diluents } });
      expect(bad.body.detail).to.contain('moon-milk');
    });

    it('is taken off the menu by whoever saw it as it is', async () => {
      const { version } = await menu('deep-end');
      const remove = (seen: number) =>
        request(server.app).delete('/api/drinks/deep-end').set('If-Match', String(seen));
      expect((await remove(version + 1)).status).to.equal(412);
      expect((await remove(version)).status).to.equal(200);
      expect((await get('/api/drinks')).map(({ id }: { id: string }) => id)).not.to.include(
        'deep-end',
      );
    });
  });
});

describe('a database from before drinks in full', () => {
  it('goes forward with its drinks completed, and back again', async () => {
    const dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-old-'));
    const sequelize = await connect(databaseFile(dataDir));
    const migrations = migrator(sequelize);
    await migrations.up({ to: '20261125-sample-sets' });
    const old = { name: 'Old', fillWith: { ingredient: 'water', tempC: 4 } };
    await sequelize.query(`INSERT INTO drinks (id, version, body) VALUES ('old', 3, :body)`, {
      replacements: { body: JSON.stringify(old) },
    });
    await migrations.up();
    await migrations.down({ to: '20261126-drinks-in-full' });
    const [[row]] = (await sequelize.query('SELECT body FROM drinks')) as [
      { body: string }[],
      unknown,
    ];
    expect(JSON.parse(row!.body)).to.deep.equal(old);
    await migrations.up();
    await sequelize.close();
    const db = await openDatabase(dataDir);
    expect(await db.drinks.get('shop', 'old')).to.deep.include({
      version: 3,
      diluents: [{ ingredient: 'water', tempC: 4, proportion: 1 }],
      servings: 1,
      serve: 'built',
    });
    await db.close();
    await rm(dataDir, { recursive: true });
  });
});
