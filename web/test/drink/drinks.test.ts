import { USUAL_MENU } from '@ratio/core/drink';
import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useDrinks } from '../../src/drink/drinks.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { lidoShelf } from '../lidoShelf.ts';

describe('useDrinks', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  async function open(answer: Handler) {
    browser.storage.clear();
    browser.asked.splice(0);
    browser.answer(answer);
    setActivePinia(createPinia());
    const drinks = useDrinks();
    await drinks.load();
    return drinks;
  }
  /** A shop that keeps what it is sent. */
  function empty(): Handler {
    const kept: object[] = [];
    return ({ path, method, body }) => {
      if (method !== 'POST') return { status: 200, body: path === '/api/drinks' ? kept : [] };
      const id = path.split('/')[3];
      const drink = { ...(body as { drink: object }).drink, id, version: 1 };
      kept.push(drink);
      return { status: 201, body: drink };
    };
  }

  it('are the usual ones where a shop has none, and its own where it has', async () => {
    const fresh = await open(empty());
    expect(fresh.drinks.map(({ name }) => name)).to.deep.equal(USUAL_MENU.map(({ name }) => name));
    const lido = await open(lidoShelf);
    expect(lido.usual).to.deep.equal([]);
  });

  it('are kept as they are shown, without those that were left out', async () => {
    const drinks = await open(empty());
    await drinks.remove(drinks.usual.at(-1)!);
    expect(drinks.usual).to.have.length(USUAL_MENU.length - 1);
    expect(browser.asked.some(({ method }) => method === 'DELETE')).to.equal(false);
    await drinks.keepUsual();
    expect(drinks.usual).to.deep.equal([]);
    expect(drinks.drinks).to.have.length(USUAL_MENU.length - 1);
    expect(drinks.drinks.every(({ version }) => version === 1)).to.equal(true);
  });
});
