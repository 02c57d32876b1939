import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { shopSchema } from '@ratio/core/shop';
import { expect } from 'chai';
import { openDatabase, type Database } from '../../src/database/database.ts';
import { openShop } from '../../src/shop/openShop.ts';

describe('openShop', () => {
  let dataDir: string;
  let db: Database;
  beforeEach(async () => {
    dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-shop-'));
    db = await openDatabase(dataDir);
  });
  afterEach(async () => {
    await db.close();
    await rm(dataDir, { recursive: true });
  });
  async function addPier(): Promise<void> {
    const { id: _, version: __, ...body } = await openShop({ db, shopId: null });
    await db.shops.save(
      { shopId: 'pier', author: 'unsigned' },
      { id: 'pier', seenVersion: 0, body: { ...body, name: 'The pier' } },
    );
  }

  it('makes the first shop of an empty database, once', async () => {
    const made = await openShop({ db, shopId: null });
    expect(shopSchema.safeParse(made).success).to.equal(true);
    expect(await openShop({ db, shopId: null })).to.deep.equal(made);
  });

  it('makes it under the name that it was given', async () => {
    expect((await openShop({ db, shopId: 'harbour' })).id).to.equal('harbour');
    expect((await openShop({ db, shopId: null })).id).to.equal('harbour');
  });

  it('asks which of several, and takes the one that is named', async () => {
    await addPier();
    const asked = await openShop({ db, shopId: null }).catch((error: Error) => error.message);
    expect(asked).to.match(/several shops. Set RATIO_SHOP to one of: pier, shop/);
    expect((await openShop({ db, shopId: 'pier' })).name).to.equal('The pier');
  });

  it('makes none under a slip of the name', async () => {
    await openShop({ db, shopId: null });
    const asked = await openShop({ db, shopId: 'shopp' }).catch((error: Error) => error.message);
    expect(asked).to.match(/holds no shop “shopp”. RATIO_SHOP can be: shop/);
    expect(await db.shops.shopIds()).to.deep.equal(['shop']);
  });
});
