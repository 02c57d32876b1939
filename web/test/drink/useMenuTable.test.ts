import { expect } from 'chai';
import { computed } from 'vue';
import { useMenuTable } from '../../src/drink/useMenuTable.ts';
import { useMenu } from '../../src/drink/menu.ts';
import { usePantry } from '../../src/pantry/pantry.ts';
import { installBrowser } from '../browser.ts';
import { lidoShelf } from '../lidoShelf.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useMenuTable', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (strengthFrac = 0.035) =>
    withApp({
      browser,
      path: '/pour/menu',
      jugs: [jugOf({ strengthFrac })],
      use: () => {
        const menu = useMenu();
        const table = useMenuTable(computed(() => menu.rows));
        const line = (id: string) => table.lines.value.find((one) => one.id === id)!;
        return { ...table, line, menu, pantry: usePantry() };
      },
    });

  it('tells caffeine, energy and sugar of one share of a jug for six', async () => {
    const { line, menu } = await open();
    const { solution } = menu.rows.find(({ drink }) => drink.id === 'deck-jug')!;
    expect(line('deck-jug').servings).to.equal(6);
    expect(line('deck-jug').caffeine).to.equal((solution.caffeineMg / 6).toFixed(0));
  });

  it('says what is short and what it needs, rounded as the page shows it', async () => {
    const { line } = await open(0.014);
    expect(line('lido-black').isShort).to.equal(true);
    expect(line('lido-black').state).to.match(/^short, needs 1\.\d\d %$/);
    expect(line('lido-black').wantedFrac).to.equal(0.0145);
    expect((await open()).line('lido-black').state).to.equal('met');
  });

  it('marks a cost that leaves something out, and gives no margin then', async () => {
    const { line, pantry } = await open();
    expect(line('milk-tide').cost).to.match(/^€\d\.\d\d$/);
    const { id, version, ...milk } = pantry.items.find((item) => item.id === 'whole-milk')!;
    const items = pantry.items.map((item) =>
      item.id === id ? { ...milk, id, version, pricePerKg: null } : item,
    );
    browser.answer((request) =>
      request.path === '/api/pantry' ? { status: 200, body: items } : lidoShelf(request),
    );
    await pantry.load();
    expect(line('milk-tide').cost).to.match(/^€\d\.\d\d \+$/);
    expect(line('milk-tide').costWithout).to.equal('without Whole milk');
    expect(line('milk-tide').margin).to.equal('–');
  });

  it('names each caution once, with its drinks; allergens have their own column', async () => {
    const { cautions, line } = await open();
    const texts = cautions.value.map(({ text }) => text);
    expect(new Set(texts).size).to.equal(texts.length);
    expect(cautions.value.find(({ text }) => text.includes('quinine'))!.drinks).to.deep.equal([
      'Noon tonic',
    ]);
    expect(texts.some((text) => text.startsWith('Contains'))).to.equal(false);
    expect(line('oat-breakwater').allergens).to.equal('gluten');
    expect(line('lido-black').allergens).to.equal('–');
  });
});
