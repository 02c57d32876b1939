import { expect } from 'chai';
import { useShelfEdits } from '../../src/shelf/useShelfEdits.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { useShop } from '../../src/shop/shop.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { withApp } from '../withApp.ts';

const BAG = {
  name: 'Breakwater, washed',
  roast: 'light',
  roastedOn: '2026-06-10',
  pricePerKg: null,
} as const;

describe('useShelfEdits', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const saves: Handler = ({ path, body }) => ({
    status: 200,
    body: { ...(body as object), id: path.split('/').at(-1), version: 2 },
  });
  const open = (answer: Handler = saves) =>
    withApp({
      browser,
      path: '/shelf',
      answers: (request) => (request.method === 'PUT' ? answer(request) : null),
      use: () => ({ edits: useShelfEdits(), shop: useShop(), notice: useNotice() }),
    });
  const puts = () => browser.asked.filter(({ method }) => method === 'PUT');

  it('saves a change with the version that was seen, and takes it back with the next', async () => {
    const { edits, shop, notice } = await open();
    const coffee = shop.coffees[0]!;
    await edits.coffee(coffee, { pricePerKg: 31 }, 'price');
    expect(notice.notice!.text).to.equal(`${coffee.name}: price`);
    await notice.notice!.undo!();
    const [changed, back] = puts();
    expect(changed).to.include({ path: `/api/coffees/${coffee.id}`, version: '"1"' });
    expect(changed!.body).to.include({ pricePerKg: 31, name: coffee.name });
    expect(back).to.include({ version: '"2"' });
    expect(back!.body).to.include({ pricePerKg: coffee.pricePerKg });
  });

  it('loses neither of two changes that follow each other before the first is answered', async () => {
    let coffees: object[] = [];
    const { edits, shop } = await withApp({
      browser,
      path: '/shelf',
      use: () => ({ edits: useShelfEdits(), shop: useShop() }),
      answers: ({ method, path, body, version }) => {
        if (path === '/api/coffees' && coffees.length > 0) return { status: 200, body: coffees };
        if (method !== 'PUT') return null;
        const saved = {
          ...(body as object),
          id: 'lot-14',
          version: Number(version!.slice(1, -1)) + 1,
        };
        coffees = [saved];
        return { status: 200, body: saved };
      },
    });
    const coffee = shop.coffees.find(({ id }) => id === 'lot-14')!;
    await Promise.all([
      edits.coffee(coffee, { pricePerKg: 33 }, 'price'),
      edits.coffee(coffee, { roast: 'light' }, 'roast'),
    ]);
    expect(puts().map(({ version }) => version)).to.deep.equal(['"1"', '"2"']);
    expect(puts()[1]!.body).to.include({ pricePerKg: 33, roast: 'light' });
  });

  it('says what was not saved and why, and reads the shelf again', async () => {
    const { edits, shop, notice } = await open(() => ({
      status: 412,
      body: { code: 'stale', detail: 'Somebody else changed this first.' },
    }));
    browser.asked.splice(0);
    await edits.vessel(shop.vessels[0]!, { brimMl: 7000 }, 'size');
    expect(notice.notice).to.include({ tone: 'wrong' });
    expect(notice.notice!.text).to.contain('size: not saved. Somebody else changed this first.');
    expect(browser.asked.map(({ path }) => path)).to.include('/api/vessels');
  });

  it('puts a new coffee and a new jar on the shelf, each with an identity of its own', async () => {
    const { edits } = await open();
    await edits.addCoffee(BAG);
    await edits.addVessel('steep');
    const [coffee, vessel] = puts();
    expect(coffee!.path).to.match(/^\/api\/coffees\/[a-z0-9-]{36}$/);
    expect(coffee).to.include({ version: '"0"' });
    expect(coffee!.body).to.include({ ...BAG, decafFrac: 0 });
    expect(vessel!.path).to.match(/^\/api\/vessels\/[a-z0-9-]{36}$/);
  });

  it('says so where nothing answers', async () => {
    const { edits, notice } = await open(() => ({ status: 0, body: null }));
    await edits.addCoffee(BAG);
    expect(notice.notice!.text).to.contain('Kept here until the server is back');
  });
});
