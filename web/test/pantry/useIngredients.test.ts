import { expect } from 'chai';
import { useIngredients } from '../../src/pantry/useIngredients.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useIngredients', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (query = '') =>
    withApp({
      browser,
      path: `/shelf/ingredients${query}`,
      use: useIngredients,
      answers: ({ method, body }) =>
        method === 'PUT'
          ? { status: 200, body: { ...(body as object), id: 'x', version: 1 } }
          : null,
    });
  const sent = () => browser.asked.find(({ method }) => method === 'PUT');

  it('finds by name, kind and allergen', async () => {
    const { sought, rows } = await open();
    sought.value = 'drink nuts';
    expect(rows.value.map(({ id }) => id)).to.deep.equal(['almond-drink', 'barista-almond-drink']);
  });

  it('begins with what the address asks for', async () => {
    const { rows } = await open('?find=Soy%20drink');
    expect(rows.value.map(({ id }) => id)).to.deep.equal(['soy-drink', 'barista-soy-drink']);
  });

  it('says why a table cannot be, and adds nothing of it', async () => {
    const { form, fromPackage, add } = await open();
    Object.assign(form.value, { name: 'Odd', sugarG: 9, carbohydrateG: 4 });
    expect(fromPackage.value).to.have.property('wrong').that.contains('part of the carbohydrate');
    await add();
    expect(sent()).to.equal(undefined);
  });

  it('puts a package on the shelf with its composition and allergens', async () => {
    const { form, add } = await open();
    const table = { fatG: 1.6, carbohydrateG: 3.2, sugarG: 3.2 };
    Object.assign(form.value, { ...table, name: 'Hazelnut drink', allergens: ['nuts'] });
    await add();
    expect(sent()).to.include({ version: '"0"' });
    const body = sent()!.body as { per100G: { sugarG: number }; allergens: string[] };
    expect(body.allergens).to.deep.equal(['nuts']);
    expect(body.per100G.sugarG).to.be.closeTo(3.2, 0.05);
    expect(form.value.name).to.equal('');
  });

  it('takes a table in hand, and saves what the package says under the same id', async () => {
    const { rows, form, edit, add } = await open();
    edit(rows.value.find(({ id }) => id === 'cocoa-powder')!);
    expect(form.value).to.include({ name: 'Cocoa powder, unsweetened', per: '100 g' });
    form.value.fatG = 12;
    await add();
    expect(sent()).to.include({ path: '/api/pantry/cocoa-powder' });
    const body = sent()!.body as { per100G: { fatG: number }; looseGPerMl: number };
    expect(body.per100G.fatG).to.be.closeTo(12, 1e-9);
    // What a package does not say stays as it was.
    expect(body.looseGPerMl).to.equal(0.365);
    expect(form.value.id).to.equal(null);
  });

  it('lists what stands open first, the soonest past above the others', async () => {
    const { rows, open: opened } = await open();
    expect(rows.value.slice(0, 2).map(({ id }) => id)).to.deep.equal([
      'coconut-drink',
      'heavy-cream',
    ]);
    expect(opened.lifeOf('coconut-drink')).to.include({ lastDay: '2026-06-12', daysLeft: -1 });
    expect(opened.lifeOf('heavy-cream')).to.include({ daysLeft: 0 });
    expect(opened.lifeOf('honey')).to.equal(null);
  });

  it('lists the shop’s own before what is only built in, so that what was just put there is in sight', async () => {
    const { rows, open: opened, ownOf } = await open();
    const rank = (id: string): number => (opened.lifeOf(id) ? 0 : ownOf(id) ? 1 : 2);
    const ranks = rows.value.map(({ id }) => rank(id));
    expect(new Set(ranks)).to.deep.equal(new Set([0, 1, 2]));
    expect(ranks).to.deep.equal(ranks.toSorted());
  });

  it('opens a new one where one stands open, by the shop’s clock', async () => {
    const { rows, open: opened } = await open();
    await opened.start(rows.value.find(({ id }) => id === 'coconut-drink')!);
    expect(sent()).to.include({ path: '/api/opened/coconut-drink', version: '"1"' });
    expect(sent()!.body).to.deep.equal({ at: '2026-06-13T06:40:00.000Z' });
  });

  it('keeps the shop’s price of a built-in ingredient as its own say', async () => {
    const { rows, save, ownOf } = await open();
    const honey = rows.value.find(({ id }) => id === 'honey')!;
    expect(ownOf('honey')).to.equal(undefined);
    await save(honey, { pricePerKg: 9 }, 'price');
    expect(sent()).to.include({ path: '/api/pantry/honey', version: '"0"' });
    expect(sent()!.body).to.include({ pricePerKg: 9, name: 'Honey' });
  });
});
