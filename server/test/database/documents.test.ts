import { expect } from 'chai';
import type { Vessel } from '@ratio/core/brew';
import { openLidoServer, type LidoServer } from '../lidoServer.ts';

const LIDO = { shopId: 'lido', author: 'unsigned' };
const PIER = { shopId: 'pier', author: 'mara' };

describe('createDocuments', () => {
  let server: LidoServer;
  let jar: Omit<Vessel, 'id' | 'version'>;
  before(async () => {
    server = await openLidoServer();
    const { id: _, version: __, ...body } = await server.db.vessels.get('lido', 'tall-jar');
    jar = body;
  });
  after(() => server.close());
  const refusal = async (work: Promise<unknown>): Promise<string> =>
    work.then(
      () => 'done',
      ({ problem, code }: { problem?: { code: string }; code?: string }) =>
        problem?.code ?? code ?? '',
    );

  it('keeps each shop’s documents apart, even under one id', async () => {
    const { vessels } = server.db;
    await vessels.save(PIER, { id: 'tall-jar', seenVersion: 0, body: { ...jar, name: 'Pier' } });
    expect(await vessels.list('pier')).to.have.length(1);
    expect((await vessels.get('pier', 'tall-jar')).name).to.equal('Pier');
    expect((await vessels.get('lido', 'tall-jar')).name).to.equal(jar.name);
    await vessels.remove(PIER, { id: 'tall-jar', seenVersion: 1 });
    expect(await vessels.find('lido', 'tall-jar')).to.include({ version: 1 });
  });

  it('sets a damaged one aside and names it, while the others are there', async () => {
    const { coffees, sequelize, unreadable, write } = server.db;
    const before = await coffees.list('lido');
    const { id } = before[0]!;
    await write((transaction) =>
      sequelize.query(`UPDATE coffees SET body = '{"name": "Lot' WHERE id = '${id}'`, {
        transaction,
      }),
    );
    expect(await coffees.list('lido')).to.deep.equal(before.slice(1));
    expect([...unreadable]).to.deep.equal([`coffee ${id}`]);
    expect(await refusal(coffees.get('lido', id))).to.equal('not_possible_now');
  });

  it('writes down who wrote, and counts versions', async () => {
    const { vessels, sequelize } = server.db;
    for (const seenVersion of [0, 1, 2])
      await vessels.save(PIER, { id: 'bucket', seenVersion, body: jar });
    expect(await vessels.find('pier', 'bucket')).to.include({ version: 3 });
    const [rows] = await sequelize.query(
      "SELECT author, shop_id FROM vessels WHERE id = 'bucket' AND brim_ml > 0",
    );
    expect(rows).to.deep.equal([{ author: 'mara', shop_id: 'pier' }]);
  });

  it('refuses a write that saw another version, or none', async () => {
    const { vessels } = server.db;
    const save = (seenVersion: number | null) =>
      refusal(vessels.save(LIDO, { id: 'tall-jar', seenVersion, body: jar }));
    expect(await save(null)).to.equal('version_required');
    expect(await save(0)).to.equal('stale');
    expect(await save(7)).to.equal('stale');
    expect(await save(1)).to.equal('done');
  });

  it('says what is missing, and that what is gone is gone', async () => {
    const { vessels } = server.db;
    expect(await refusal(vessels.get('lido', 'teapot'))).to.equal('not_found');
    expect(await refusal(vessels.remove(LIDO, { id: 'teapot', seenVersion: 0 }))).to.equal(
      'not_found',
    );
    expect(await vessels.find('lido', 'teapot')).to.equal(null);
  });

  it('lets one of two hands that saw the same version win', async () => {
    const { vessels } = server.db;
    await vessels.save(PIER, { id: 'crate', seenVersion: 0, body: jar });
    const both = await Promise.all(
      ['left', 'right'].map((name) =>
        refusal(vessels.save(PIER, { id: 'crate', seenVersion: 1, body: { ...jar, name } })),
      ),
    );
    expect(both.sort()).to.deep.equal(['done', 'stale']);
    expect((await vessels.get('pier', 'crate')).version).to.equal(2);
  });

  it('states anew what follows from something else, without a version', async () => {
    const { jugs, write } = server.db;
    const { id, version, ...body } = (await jugs.list('lido'))[0]!;
    await write((transaction) =>
      jugs.update(LIDO, { id, body: { ...body, onHandG: 12 } }, transaction),
    );
    expect(await jugs.get('lido', id)).to.include({ version, onHandG: 12 });
  });

  it('lists by its columns: batches by the end, house recipes by name', async () => {
    const ends = (await server.db.batches.list('lido')).map(({ endsAt }) => endsAt);
    expect(ends).to.deep.equal(ends.toSorted());
    const names = (await server.db.houseRecipes.list('lido')).map(({ name }) => name);
    expect(names).to.deep.equal(names.toSorted((a, b) => a.localeCompare(b)));
  });

  it('has an index on every column that lists sort, filter or sum by', async () => {
    const [rows] = await server.db.sequelize.query(
      "SELECT name FROM sqlite_master WHERE type = 'index' AND name NOT LIKE 'sqlite%'",
    );
    const names = (rows as { name: string }[]).map(({ name }) => name);
    expect(names).to.include.members([
      'batches_ends_at',
      'batches_status',
      'jugs_on_hand_g',
      'jugs_made_at',
      'drinks_order',
      'drafts_saved_at',
      'house_recipes_name',
      'jug_entries_of',
      'batch_actuals_of',
      'drink_versions_of',
    ]);
  });
});
