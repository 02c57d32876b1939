import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useEventState } from '../../src/events/eventState.ts';
import { useDrinks } from '../../src/drink/drinks.ts';
import { onHandMl, useJugs } from '../../src/events/jugs.ts';
import { useMenu } from '../../src/drink/menu.ts';
import { usePantry } from '../../src/pantry/pantry.ts';
import { useShop } from '../../src/shop/shop.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { lidoDrinks } from '../../../demo/lido.ts';
import { lidoShelf } from '../lidoShelf.ts';

describe('jugs and the menu from them', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  beforeEach(async () => {
    browser.storage.clear();
    browser.asked.splice(0);
    const rows = [
      jugOf({ id: 'empty', onHandG: 0 }),
      jugOf({ id: 'oldest' }),
      jugOf({ id: 'weak', strengthFrac: 0.012 }),
    ];
    browser.answer((request) => {
      if (request.path.endsWith('/entries')) return { status: 201, body: rows[1] };
      return request.path === '/api/jugs' ? { status: 200, body: rows } : lidoShelf(request);
    });
    setActivePinia(createPinia());
    await Promise.all([useShop().load(), usePantry().load(), useDrinks().load(), useJugs().load()]);
  });

  it('offer the oldest that holds something, unless another was picked', () => {
    const jugs = useJugs();
    expect(jugs.chosen?.id).to.equal('oldest');
    jugs.choose('weak');
    expect(jugs.chosen?.id).to.equal('weak');
    jugs.choose('gone');
    expect(jugs.chosen?.id).to.equal('oldest');
  });

  it('hold less room than their grams: coffee is denser than water', () => {
    expect(onHandMl(jugOf({ onHandG: 1013 }))).to.be.within(995, 1001);
  });

  it('send a draw with its own identity, so that a second try counts once', async () => {
    await useJugs().pour({
      jug: jugOf({ id: 'oldest' }),
      id: 'draw-1',
      massG: 88,
      note: 'Lido black',
    });
    const [sent] = browser.asked.filter(({ method }) => method === 'POST');
    expect(sent).to.deep.include({
      path: '/api/jugs/oldest/entries',
      body: {
        id: 'draw-1',
        kind: 'poured',
        massG: 88,
        note: 'Lido black',
        at: '2026-06-13T06:40:00.000Z',
      },
    });
  });

  it('show a count that waits for the server, and what is poured from it since', async () => {
    browser.answer((request) =>
      request.method === 'POST' ? { status: 0, body: null } : lidoShelf(request),
    );
    const jugs = useJugs();
    const jug = jugOf({ id: 'oldest', onHandG: 3000 });
    useEventState().$patch({ jugs: [jug] });
    await jugs.enter(jug, { id: 'count', kind: 'counted', massG: 1200, note: '' });
    await jugs.pour({ jug, id: 'draw', massG: 100, note: 'Lido black' });
    expect(jugs.onHand.map(({ onHandG }) => onHandG)).to.deep.equal([1100]);
  });

  it('solve the whole menu, and again when a weaker jug is taken', () => {
    const menu = useMenu();
    expect(menu.rows).to.have.length(lidoDrinks.length);
    const outOfReach = () => menu.rows.filter(({ solution }) => solution.status !== 'met');
    const before = outOfReach().length;
    useJugs().choose('weak');
    expect(outOfReach().length).to.be.above(before);
    for (const { solution } of outOfReach()) expect(solution.needsStrengthFrac).to.be.above(0.012);
  });

  it('say what a drink costs, what is left of its price, and how many the jug holds', () => {
    const black = useMenu().rows.find(({ drink }) => drink.id === 'lido-black')!;
    const { concentrateG } = black.solution;
    // Water and ice cost nothing; the concentrate 8 a kilogram.
    expect(black.cost).to.deep.equal({ price: (concentrateG * 8) / 1000, unknown: [] });
    expect(black.marginFrac).to.be.closeTo(1 - black.cost.price / 3.4, 1e-12);
    expect(black.left).to.equal(Math.floor(1000 / concentrateG));
    expect(useMenu().leftInAll.get('lido-black')).to.equal(black.left);
  });

  it('count a drink over all jugs, each by what it holds', () => {
    const menu = useMenu();
    for (const { id } of lidoDrinks) {
      const each = useJugs().onHand.map(({ id: jugId }) => {
        useJugs().choose(jugId);
        return menu.rows.find(({ drink }) => drink.id === id)!.left;
      });
      expect(each).to.have.length(2);
      expect(menu.leftInAll.get(id), id).to.equal(each[0]! + each[1]!);
    }
  });

  it('leave a drink out while one of its ingredients is not on the shelf', async () => {
    const menu = useMenu();
    const known = menu.rows.length;
    browser.answer((request) =>
      request.path === '/api/house-recipes' ? { status: 200, body: [] } : lidoShelf(request),
    );
    await usePantry().load();
    // Reduced coconut, rosemary syrup with its foam, coffee cubes.
    expect(menu.rows).to.have.length(known - 3);
  });
});
