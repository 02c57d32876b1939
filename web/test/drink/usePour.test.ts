import { expect } from 'chai';
import { usePour } from '../../src/drink/usePour.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('usePour', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const pour = (drink: string, jugs = [jugOf()]) =>
    withApp({ browser, path: `/pour?drink=${drink}`, use: usePour, jugs });

  it('solves the drink that the address asks for, from the jug in hand', async () => {
    const { drink, solution, minute } = await pour('noon-tonic');
    expect(drink.value?.name).to.equal('Noon tonic');
    expect(minute.value).to.equal(3);
    expect(solution.value?.strengthFrac).to.be.closeTo(0.0105, 1e-9);
  });

  it('builds in order, rounded to the bar’s tools, times the glasses', async () => {
    const page = await pour('milk-tide');
    expect(page.build.value.map(({ name }) => name)).to.deep.equal([
      'Simple syrup, 1:1',
      'Ice',
      'Concentrate',
      'Whole milk',
    ]);
    expect(page.build.value[0]).to.include({ amount: '15\u202fmL', also: '2 pumps' });
    page.count.value = 2;
    expect(page.build.value[0]).to.include({ amount: '30\u202fmL', also: '2 × 2 pumps' });
    page.measuring.value = 'exact';
    expect(page.measured.value).to.equal(null);
  });

  it('follows a dragged syrup, a dragged ice and a dragged line', async () => {
    const page = await pour('milk-tide');
    page.setLayer('addition-0', 22);
    page.setIce(97.6);
    page.setCup(399.6);
    expect(page.drink.value).to.deep.include({ cupMl: 400 });
    expect(page.drink.value?.additions[0]?.volumeMl).to.equal(22);
    expect(page.solution.value?.iceG).to.equal(98);
    expect(page.solution.value?.strengthFrac).to.be.closeTo(0.0135, 1e-9);
  });

  it('aims at what a dragged concentrate comes to, in the kind of target that the drink has', async () => {
    const page = await pour('lido-black');
    page.setLayer('concentrate', 100);
    expect(page.solution.value?.concentrateMl).to.be.closeTo(100, 1e-6);
    page.setLayer('diluent-0', 90);
    expect(page.solution.value?.fillMl).to.be.closeTo(90, 0.5);

    page.hand.change({ target: { caffeineMg: 150 } });
    page.setLayer('concentrate', 50);
    expect(page.drink.value?.target)
      .to.have.property('caffeineMg')
      .closeTo(50 * 1.013 * 2.1, 1);
    page.hand.change({ target: { parts: { concentrate: 1, fill: 1 } } });
    page.setLayer('concentrate', 60);
    expect(page.drink.value?.target).to.have.property('parts');
    expect(page.solution.value?.concentrateMl).to.be.closeTo(60, 2);
  });

  it('shares the rest otherwise when the edge between two diluents is dragged', async () => {
    const page = await pour('oat-breakwater');
    const before = page.solution.value!.fillMl;
    page.setLayer('diluent-1', before / 2);
    const [oat, water] = page.solution.value!.diluents;
    expect(oat!.volumeMl).to.be.closeTo(water!.volumeMl, before * 0.02);
  });

  it('draws coffee ice beside water ice, both at the target at its minute', async () => {
    const { otherIce, solution } = await pour('lido-black');
    expect(otherIce.value?.name).to.equal('coffee ice');
    expect(otherIce.value!.timeline[4]!.strengthFrac).to.be.closeTo(
      solution.value!.timeline()[4]!.strengthFrac,
      1e-6,
    );
    expect(otherIce.value!.timeline[30]!.strengthFrac).to.be.above(
      solution.value!.timeline()[30]!.strengthFrac,
    );
  });

  it('says what would reach a drink out of reach', async () => {
    const { remedies } = await pour('lido-black', [jugOf({ strengthFrac: 0.0148 })]);
    expect(remedies.value.map(({ name }) => name)).to.include.members([
      'stronger_batch',
      'coffee_ice',
    ]);
  });

  it('applies a remedy by one tap: a change of the drink, or a jug that is strong enough', async () => {
    const weak = jugOf({ id: 'weak', strengthFrac: 0.0148 });
    const strong = jugOf({ id: 'strong', label: 'Jug 2', madeAt: '2026-06-13T06:00:00.000Z' });
    const { remedies, applyRemedy, solution, hand, jugs } = await pour('lido-black', [
      weak,
      strong,
    ]);
    expect(solution.value!.status).to.equal('too_weak');
    applyRemedy('coffee_ice');
    expect(solution.value!.status).to.equal('met');
    expect(hand.edited.value!.ice).to.include({ coffeeFrac: 0.0148 });
    hand.asUsual();
    expect(remedies.value.find(({ name }) => name === 'stronger_batch')!.text).to.match(/: Jug 2$/);
    applyRemedy('stronger_batch');
    expect(jugs.chosen!.id).to.equal('strong');
    expect(solution.value!.status).to.equal('met');
  });

  it('dilutes a keg for as many glasses as it holds, the ice left for the glass', async () => {
    const { bulk, hand, solution } = await pour('lido-black');
    hand.change({ serve: 'keg' });
    const { concentrateMl, fillMl } = solution.value!;
    expect(bulk.value).to.include({ serve: 'keg', volumeMl: 9500, plan: null });
    expect(bulk.value!.perGlassMl).to.be.closeTo(concentrateMl + fillMl, 0.5);
    expect(bulk.value!.glasses).to.equal(Math.floor(9500 / bulk.value!.perGlassMl));
  });

  it('fills a siphon to four fifths and counts its glasses', async () => {
    const { bulk } = await pour('night-swim');
    expect(bulk.value).to.include({ serve: 'siphon', volumeMl: 800, glasses: 3 });
    expect(bulk.value?.plan).to.include({ charges: 1, price: 0.75 });
  });

  it('says how hot the water must be for a warm cup, or that none is hot enough', async () => {
    const { hot } = await pour('towel-hot');
    expect(hot.value?.cupC).to.be.within(40, 75);
  });
});

describe('useDrinkInHand', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  it('keeps a changed drink for somebody: the change in words, the version that was seen', async () => {
    const page = await withApp({
      browser,
      path: '/pour?drink=milk-tide',
      use: usePour,
      answers: ({ path, method, body }) =>
        method === 'POST' && path.endsWith('/versions')
          ? {
              status: 201,
              body: { ...(body as { drink: object }).drink, id: 'milk-tide', version: 1 },
            }
          : null,
    });
    page.hand.adjust('stronger');
    page.hand.adjust('sweeter');
    expect(page.hand.changes.value).to.have.length(2);
    await page.hand.keep('the window seat');
    const sent = browser.asked.find(({ method }) => method === 'POST')!;
    expect(sent).to.include({ path: '/api/drinks/milk-tide/versions', version: '"1"' });
    expect(sent.body).to.include({ forWhom: 'the window seat' });
    expect((sent.body as { change: string }).change).to.match(
      /target 1\.35 % at 4 min → 1\.40 % at 4 min; Simple syrup, 1:1 15.mL → 23.mL/,
    );
    expect(page.hand.edited.value).to.equal(null);
  });

  it('loses nothing of a change that could not be kept', async () => {
    const page = await withApp({
      browser,
      path: '/pour?drink=lido-black',
      use: usePour,
      answers: ({ method }) => (method === 'POST' ? { status: 0, body: null } : null),
    });
    page.hand.adjust('weaker');
    await page.hand.keep('');
    expect(page.drink.value?.target).to.include({ strengthFrac: 0.014 });
    expect(browser.storage.get('ratio.outbox')).to.contain('0.014');
  });

  it('gives a change up where one of its parts has left the shelf', async () => {
    const page = await withApp({ browser, path: '/pour?drink=lido-black', use: usePour });
    page.hand.change({ diluents: [{ ingredient: 'gone', tempC: 4, proportion: 1 }] });
    expect(page.drink.value?.diluents[0]?.ingredient).to.equal('water');
  });

  it('starts a new one at the end of the menu', async () => {
    const page = await withApp({ browser, path: '/pour', use: usePour });
    page.hand.startNew();
    expect(page.hand.isNew.value).to.equal(true);
    expect(page.drink.value?.order).to.equal(14);
    expect(page.solution.value?.status).to.equal('met');
  });
});
