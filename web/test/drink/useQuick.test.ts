import { expect } from 'chai';
import { nextTick } from 'vue';
import { useQuick } from '../../src/drink/useQuick.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useQuick', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (query = '') => withApp({ browser, path: `/pour/quick${query}`, use: useQuick });

  it('brings a cup to a strength: without ice by hand', async () => {
    const { toStrength } = await open('?from=3.5&cup=300&ice=0&to=1.4');
    // 300 mL of 1.4 % hold 4.2 g: 120 g of 3.5 %.
    expect(toStrength.value.concentrateG).to.be.closeTo(120, 1.5);
    expect(toStrength.value.strengthFrac).to.be.closeTo(0.014, 1e-9);
  });

  it('tells the strength of these amounts: one to one is half', async () => {
    const { ofAmounts } = await open('?way=amounts&from=4&coffee=100&fill=100&ice=0');
    expect(ofAmounts.value.strengthFrac).to.be.closeTo(0.0202, 1e-4);
    expect(ofAmounts.value.levelMl).to.be.closeTo(200, 1);
  });

  it('lives in its address, and takes the usual for what an address gets wrong', async () => {
    const { quick, set } = await open('?from=lots&cup=1e9&with=tar&to=1.2');
    expect(quick.value).to.include({ from: 3.5, cup: 350, with: 'water', to: 1.2 });
    set({ cup: 500 });
    await nextTick();
    await new Promise((resolve) => setTimeout(resolve, 0));
    expect(quick.value).to.include({ cup: 500, to: 1.2 });
  });
});
