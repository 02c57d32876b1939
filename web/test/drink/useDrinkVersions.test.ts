import type { DrinkVersion } from '@ratio/core/drink';
import { expect } from 'chai';
import { nextTick, ref, shallowRef } from 'vue';
import { lidoDrinks } from '../../../demo/lido.ts';
import { useDrinkVersions } from '../../src/drink/useDrinkVersions.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const { id: drinkId, ...drink } = lidoDrinks.find(({ id }) => id === 'lido-black')!;
const version = (id: string, over: Partial<DrinkVersion>): DrinkVersion => ({
  id,
  drinkId,
  drink,
  change: 'new on the menu',
  forWhom: '',
  at: '2026-06-12T15:00:00.000Z',
  author: 'unsigned',
  ...over,
});

describe('useDrinkVersions', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const settled = () => new Promise((resolve) => setTimeout(resolve, 5));
  async function open(answer: { status: number; body: unknown }, isShown = true) {
    const shown = ref(isShown);
    const versions = await withApp({
      browser,
      path: '/pour',
      answers: ({ path }) => (path.endsWith('/versions') ? answer : null),
      use: () => useDrinkVersions(shallowRef({ ...drink, id: drinkId, version: 1 }), shown),
    });
    await settled();
    return { ...versions, shown };
  }
  const fetched = () => browser.asked.filter(({ path }) => path.endsWith('/versions')).length;

  it('is fetched when somebody looks, not before', async () => {
    const { shown, state } = await open({ status: 200, body: [] }, false);
    expect(fetched()).to.equal(0);
    shown.value = true;
    await nextTick();
    await settled();
    expect(fetched()).to.equal(1);
    expect(state.value).to.equal('ready');
  });

  it('says when, for whom, what changed, and what it aimed at, in each kind of target', async () => {
    const { rows } = await open({
      status: 200,
      body: [
        version('a', {}),
        version('b', { forWhom: 'the window seat', change: 'stronger' }),
        version('c', { drink: { ...drink, target: { parts: { concentrate: 1, fill: 2 } } } }),
        version('d', { drink: { ...drink, target: { caffeineMg: 150 } } }),
        version('e', {
          drink: { ...drink, target: { concentrateMl: 60, writtenIn: 'volume' } },
        }),
      ],
    });
    expect(rows.value[0]).to.include({ day: 'Fri 12 Jun', whose: 'the usual' });
    expect(rows.value[1]).to.include({ whose: 'for the window seat', change: 'stronger' });
    expect(rows.value.slice(1).map(({ target }) => target)).to.deep.equal([
      rows.value[0]!.target,
      '1 to 2',
      '150 mg',
      '60\u202fmL',
    ]);
  });

  it('says why it cannot be read', async () => {
    const { state, failure } = await open({ status: 0, body: null });
    expect(state.value).to.equal('failed');
    expect(failure.value).to.contain('does not answer');
  });

  it('offers what three people asked for, of the drink in hand alone', async () => {
    const sweeter = {
      ...drink,
      additions: [{ ingredient: 'simple-syrup', volumeMl: 7.5, tempC: 20 }],
    };
    const asked = (n: number) =>
      Array.from({ length: n }, (_, i) =>
        version(`asked-${i}`, { drink: sweeter, forWhom: 'this once' }),
      );
    const two = await open({ status: 200, body: asked(2) });
    expect(two.asked.value).to.deep.equal([]);
    const three = await open({ status: 200, body: asked(3) });
    expect(three.asked.value).to.deep.equal([{ way: 'sweeter', people: 3 }]);
    const other = await open({
      status: 200,
      body: asked(3).map((one) => ({ ...one, drinkId: 'milk-tide' })),
    });
    expect(other.asked.value).to.deep.equal([]);
  });
});
