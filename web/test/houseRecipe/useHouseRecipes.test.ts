import { expect } from 'chai';
import { useHouseRecipes } from '../../src/houseRecipe/useHouseRecipes.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useHouseRecipes', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (part: string) =>
    withApp({
      browser,
      path: `/shelf/house-recipes?recipe=${part}`,
      use: useHouseRecipes,
      answers: ({ method, body }) =>
        method === 'PUT'
          ? { status: 200, body: { ...(body as object), id: part, version: 2 } }
          : null,
    });
  const sent = () => browser.asked.filter(({ method }) => method === 'PUT');

  it('says what the week takes of a part and where it goes', async () => {
    const { need, goesInto, made } = await open('rosemary-syrup');
    expect(goesInto.value).to.deep.equal(['Salt foam tide']);
    // 30 a week, 15 mL of 50 % sugar each: 18.4 g (NBS Circular 440, the model within 1 %).
    expect(need.value!.needG).to.be.closeTo(30 * 18.4, 6);
    expect(need.value!.factor).to.be.closeTo(need.value!.needG / made.value!.yieldG, 1e-12);
  });

  it('counts coffee cubes by the ice that the week takes', async () => {
    const { need } = await open('coffee-cubes');
    expect(need.value!.needG).to.equal(15 * 130);
  });

  it('saves a change with the version that was seen, and scales every amount', async () => {
    const { change, scale } = await open('cup-syrup');
    change({ name: 'Plain syrup' }, 'renamed');
    scale(2, 'made twice');
    await new Promise((resolve) => setTimeout(resolve, 0));
    const [renamed, doubled] = sent();
    expect(renamed).to.include({ path: '/api/house-recipes/cup-syrup', version: '"1"' });
    expect(renamed!.body).to.include({ name: 'Plain syrup' });
    expect((doubled!.body as { inputs: unknown[] }).inputs[0]).to.deep.equal({
      ingredient: 'granulated-sugar',
      amount: { volumeMl: 1000 },
    });
  });

  it('begins a new house recipe: cubes from what is left of the jug in hand', async () => {
    const { add } = await open('cup-syrup');
    await add();
    await add('Coffee cubes');
    const [syrup, cubes] = sent();
    expect(syrup!.body).to.include({ name: 'Plain syrup' });
    expect(cubes!.path).to.match(/^\/api\/house-recipes\/[a-z0-9-]{36}$/);
    expect(cubes!.version).to.equal('"0"');
    expect((cubes!.body as { process: object }).process).to.include({
      method: 'freeze',
      strengthFrac: 0.035,
      caffeineMgPerG: 2.1,
    });
  });

  it('says that an amount would be too much, and changes nothing', async () => {
    const { scale, recipe } = await open('cup-syrup');
    const before = recipe.value;
    // 500 mL of sugar times 101 is above 50 L.
    scale(101, 'made from what is left');
    expect(sent()).to.deep.equal([]);
    expect(recipe.value).to.equal(before);
    expect(useNotice().shown?.text).to.contain('not made from what is left');
    scale(100, 'made from what is left');
    await new Promise((resolve) => setTimeout(resolve, 0));
    expect(sent()).to.have.length(1);
  });
});
