import { expect } from 'chai';
import { useMenuFrom } from '../../src/drink/useMenuFrom.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useDrinks } from '../../src/drink/drinks.ts';
import { useJugs } from '../../src/events/jugs.ts';
import { useMenu } from '../../src/drink/menu.ts';
import { installBrowser } from '../browser.ts';
import { batchOf, jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';
import { lidoCoffees } from '../../../demo/lido.ts';

const batch = batchOf();
const { plan } = batch;

describe('useMenuFrom', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const JUGS = [jugOf(), jugOf({ id: 'two', label: 'Jug 2', madeAt: '2026-06-13T06:00:00.000Z' })];
  const open = (jugs = JUGS) =>
    withApp({
      browser,
      path: '/pour/menu',
      jugs,
      answers: ({ path }) => (path === LATELY_PATH ? { status: 200, body: [batch] } : null),
      use: () => ({
        from: useMenuFrom(),
        batches: useBatches(),
        menu: useMenu(),
        drinks: useDrinks(),
        jugs: useJugs(),
      }),
    });

  it('is from what is assumed where that is in hand, and says so in a sentence', async () => {
    const empty = await open([]);
    expect(empty.from.sources.value.map(({ title }) => title)).to.deep.equal([
      'an assumed concentrate',
    ]);
    const id = empty.from.source.value.id;
    // Beside a jug that was noted since, as on Pour.
    const { from, jugs } = await open();
    jugs.choose(id);
    expect([from.source.value.id, jugs.isAssumed]).to.deep.equal([id, true]);
    from.take('one');
    expect(from.sources.value.map((one) => one.id)).to.deep.equal(['one', 'two']);
  });

  it('offers jugs, then what still steeps, and begins with the jug in hand', async () => {
    const { from, batches } = await open();
    await batches.load();
    expect(from.sources.value.map(({ id }) => id)).to.deep.equal(['one', 'two', 'steeping']);
    expect(from.source.value.id).to.equal('one');
    from.take('two');
    expect(from.source.value.id).to.equal('two');
  });

  it('solves the menu from a batch, and says what its low end would lose', async () => {
    const { from, batches, menu } = await open();
    await batches.load();
    from.take('steeping');
    const { source, rows, atRisk } = from;
    expect(source.value).to.include({ label: 'Batch of Sat 08:10', onHandG: 2000 });
    const { pricePerKg } = lidoCoffees.find(({ id }) => id === plan.coffeeId)!;
    expect(source.value.pricePerKg).to.be.closeTo((pricePerKg! * plan.doseG) / 2000, 1e-9);
    const black = rows.value.find(({ drink }) => drink.id === 'lido-black')!;
    expect(black.solution.status).to.equal('met');
    expect(black.left).to.equal(Math.floor(2000 / black.solution.concentrateG));
    // Night swim is 1.70 %, without ice: 1.75 % gives it, 1.55 % cannot.
    expect(atRisk.value).to.include('Night swim, nitrogen');
    // It is only looked at: what is in hand stays.
    expect(menu.rows[0]!.input.concentrate.strengthFrac).to.equal(0.035);
  });

  it('solves again for the ice of the day, and for each drink’s own when it is over', async () => {
    const { from, drinks } = await open();
    const of = (id: string) => from.rows.value.find(({ drink }) => drink.id === id)!;
    const usual = of('lido-black').solution;
    drinks.iceTodayC = 0;
    const wet = of('lido-black').solution;
    // Wet ice melts more, so that more coffee goes in for the same strength.
    expect(wet.timeline()[4]!.meltedG).to.be.above(usual.timeline()[4]!.meltedG);
    expect(wet.concentrateG).to.be.above(usual.concentrateG);
    expect(wet.strengthFrac).to.be.closeTo(usual.strengthFrac, 1e-9);
    expect(of('towel-hot').input.glass.ice).to.equal(null);
    drinks.iceTodayC = null;
    expect(of('lido-black').solution.concentrateG).to.equal(usual.concentrateG);
  });
});
