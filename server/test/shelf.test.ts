import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect } from 'chai';
import { openDatabase } from '../src/database/database.ts';
import { createShelfService, ensureShop } from '../src/shelf/service.ts';

describe('a shop without data', () => {
  it('gets its row once, with a zone that a clock knows', async () => {
    const dataDir = await mkdtemp(path.join(tmpdir(), 'ratio-shop-'));
    const db = await openDatabase(dataDir);
    await ensureShop(db);
    await ensureShop(db);
    expect(await db.models.shops.count()).to.equal(1);
    const { zone } = await createShelfService(db).shop();
    expect(() => new Intl.DateTimeFormat('en', { timeZone: zone })).to.not.throw();
    await db.close();
    await rm(dataDir, { recursive: true });
  });
});
