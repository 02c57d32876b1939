import { expect } from 'chai';
import { useIngredients } from '../../../src/pages/ingredients/useIngredients.ts';
import { installBrowser } from '../../browser.ts';
import { withApp } from '../../withApp.ts';

describe('useIngredients', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = () =>
    withApp({
      browser,
      path: '/shelf/ingredients',
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
    expect(rows.value.map(({ id }) => id)).to.deep.equal(['almond-drink']);
  });

  it('says why a table cannot be, and adds nothing of it', async () => {
    const { form, told, add } = await open();
    Object.assign(form, { name: 'Odd', sugarG: 9, carbohydrateG: 4 });
    expect(told.value).to.have.property('wrong').that.contains('part of the carbohydrate');
    await add();
    expect(sent()).to.equal(undefined);
  });

  it('puts a package on the shelf with its composition and allergens', async () => {
    const { form, add } = await open();
    Object.assign(form, { name: 'Hazelnut drink', fatG: 1.6, carbohydrateG: 3.2, sugarG: 3.2 });
    form.allergens = ['nuts'];
    await add();
    expect(sent()).to.include({ version: '"0"' });
    const body = sent()!.body as { per100G: { sugarG: number }; allergens: string[] };
    expect(body.allergens).to.deep.equal(['nuts']);
    expect(body.per100G.sugarG).to.be.closeTo(3.2, 0.05);
    expect(form.name).to.equal('');
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
