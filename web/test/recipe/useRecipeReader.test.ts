import { expect } from 'chai';
import { useRecipeReader } from '../../src/recipe/useRecipeReader.ts';
import { installBrowser } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useRecipeReader', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = () => withApp({ browser, path: '/plan/recipe', use: useRecipeReader });
  const { plan } = batchOf();

  it('begins with two recipes that are not what they seem', async () => {
    const { recipes } = await open();
    expect(recipes.value).to.have.length(2);
    for (const { read, wrong } of recipes.value) {
      expect(read?.status).to.equal('read');
      expect(wrong).to.equal('');
    }
  });

  it('says what it cannot read, and is silent about an empty one', async () => {
    const { recipes, set } = await open();
    set(0, 'a pinch of salt');
    set(1, '   ');
    expect(recipes.value[0]!.wrong).not.to.equal('');
    expect(recipes.value[1]).to.deep.equal({ text: '   ', read: null, wrong: '' });
    set(0, '1 g coffee, 100 L water, 18 h in the fridge');
    expect(recipes.value[0]!.wrong).to.match(/ratio|amounts/i);
  });

  it('holds up to four side by side, and drops one without the others', async () => {
    const { recipes, add, set, remove, full } = await open();
    add();
    add();
    expect(full.value).to.equal(true);
    set(3, '200 g coffee, 1 L water, 16 h in the fridge');
    remove(0);
    expect(full.value).to.equal(false);
    expect(recipes.value.at(-1)!.text).to.match(/^200 g/);
  });

  it('makes a plan of it, in the smallest vessel that it goes into', async () => {
    const { recipes, set, planOf } = await open();
    set(0, '800 g coarse coffee, 4 L water, 16 to 20 h in the fridge');
    const made = planOf(recipes.value[0]!.read!, plan)!;
    expect(made).to.include({ doseG: 800, grind: 'coarse' });
    expect(made.waterG).to.be.closeTo(4000, 10);
    expect(made.steep).to.deep.equal([{ place: 'fridge', tempC: 4, hours: 18 }]);
    expect(made.vesselId).to.equal('tall-jar');
  });

  it('takes warm water for a warm steep, and the counter for one that names no fridge', async () => {
    const { recipes, set, planOf } = await open();
    set(0, '100 g coffee, 700 ml water, 12 hours at room temperature');
    const made = planOf(recipes.value[0]!.read!, plan)!;
    expect(made.steep[0]).to.include({ place: 'counter', hours: 12 });
  });

  it('takes what the text does not say from the shop’s defaults, and nothing from the plan before', async () => {
    const { recipes, set, planOf } = await open();
    set(0, '100 g coffee, 700 g water');
    const before = {
      ...plan,
      grind: 'fine' as const,
      waterC: 60,
      wetting: 'pour' as const,
      bed: 'held' as const,
      agitationHours: [2],
      filtration: { method: 'squeeze' as const, rinseG: 500 },
    };
    expect(planOf(recipes.value[0]!.read!, before)).to.deep.include({
      coffeeId: plan.coffeeId,
      doseG: 100,
      waterG: 700,
      grind: 'coarse',
      waterC: 12,
      wetting: 'stages',
      bed: 'loose',
      agitationHours: [],
      filtration: { method: 'drain', rinseG: 0 },
    });
  });

  it('takes what it does say: places in sequence, straining, a rinse', async () => {
    const { recipes, set, planOf } = await open();
    set(
      0,
      '100 g medium coffee, 700 g water at 20 °C, 4 h on the counter then 12 h in the fridge, squeeze, rinse with 100 g water',
    );
    const made = planOf(recipes.value[0]!.read!, plan)!;
    expect(made).to.deep.include({ grind: 'medium', waterC: 20 });
    expect(made.filtration).to.deep.equal({ method: 'squeeze', rinseG: 100 });
    expect(made.steep.map(({ place, hours }) => [place, hours])).to.deep.equal([
      ['counter', 4],
      ['fridge', 12],
    ]);
  });

  it('asks how large the vessel is, and reads on with the answer', async () => {
    const { recipes, set, answer } = await open();
    set(0, '100 g coffee in a jar, fill it up with water, 16 h');
    const { read } = recipes.value[0]!;
    if (read?.status !== 'unread') throw new Error(read?.status);
    expect(read.choices).to.include('a 2 L jar');
    answer(0, 'a 2 L jar');
    const again = recipes.value[0]!.read;
    if (again?.status !== 'read') throw new Error(again?.status);
    expect(again.water.massG.value).to.be.closeTo((2000 - 77) * 0.9982, 2);
  });

  it('makes no plan of what it cannot read', async () => {
    const { planOf } = await open();
    expect(planOf({ status: 'unread', message: '' } as never, plan)).to.equal(null);
  });
});
