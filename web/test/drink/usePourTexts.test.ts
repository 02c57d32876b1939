import { expect } from 'chai';
import { usePour } from '../../src/drink/usePour.ts';
import { usePourTexts } from '../../src/drink/usePourTexts.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('usePourTexts', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (drink: string) =>
    withApp({
      browser,
      path: `/pour?drink=${drink}`,
      use: () => {
        const page = usePour();
        return { page, texts: usePourTexts(page) };
      },
    });

  it('says what rounding to the bar’s tools does, nothing where nothing is rounded', async () => {
    const { page, texts } = await open('milk-tide');
    expect(texts.rounding.value).to.match(
      /^Rounded to the tools it is 1\.\d\d\s% \((as solved|[+−]0\.\d\d)\), (at the fill line|\d.*(over|under) the line)\.$/,
    );
    page.measuring.value = 'exact';
    expect(texts.rounding.value).to.equal('');
  });

  it('says how warm a hot cup is, and how hot to pour for a warm one', async () => {
    const { texts } = await open('towel-hot');
    expect(texts.hotText.value).to.match(/^In the cup \d+\s°C, before the mug takes its part\. /);
    expect((await open('lido-black')).texts.hotText.value).to.equal('');
  });

  it('says what is left of the price', async () => {
    const { page, texts } = await open('lido-black');
    const { price } = page.cost.value!;
    expect(texts.margin.value).to.equal(`${(100 * (1 - price / 3.4)).toFixed(0)} %`);
    page.hand.change({ price: 0 });
    expect(texts.margin.value).to.equal('');
  });
});
