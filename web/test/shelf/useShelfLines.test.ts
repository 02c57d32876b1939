import { expect } from 'chai';
import { lidoCoffees, lidoShop, lidoVessels } from '../../../demo/lido.ts';
import { useShelfLines } from '../../src/shelf/useShelfLines.ts';
import { useSettings } from '../../src/shop/settings.ts';
import { useShop } from '../../src/shop/shop.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useShelfLines', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = () =>
    withApp({
      browser,
      path: '/shelf',
      use: () => ({ lines: useShelfLines(), settings: useSettings(), shop: useShop() }),
    });
  const coffee = { ...lidoCoffees[0]!, version: 1 };
  const shop = { ...lidoShop, version: 1 };

  it('says what a coffee is, and what nobody knows of it', async () => {
    const { lines } = await open();
    expect(lines.coffee(coffee)).to.equal('medium · roasted Thu 4 Jun · €31.00 a kg');
    expect(lines.coffee({ ...coffee, decafFrac: 1, robustaFrac: 0.2 })).to.match(
      /^medium · 20\s% robusta · 100\s% decaf · /,
    );
    expect(lines.coffee({ ...coffee, roastedOn: null, pricePerKg: null })).to.equal(
      'medium · roast date not known · price not known',
    );
  });

  it('says what a vessel holds in the measures of the tablet, and where it fits', async () => {
    const { lines, settings } = await open();
    const vessel = lidoVessels.find(({ use }) => use === 'steep')!;
    const line = (over: Partial<typeof vessel>) =>
      lines.vessel({ ...vessel, version: 1, kind: 'jar', brimMl: 6100, ...over });
    expect(line({ fitsFridge: true, shaken: true })).to.match(
      /^jar · 6\.10\sL to the brim · fits the fridge · will be shaken$/,
    );
    expect(line({ fitsFridge: false, shaken: false })).to.match(/not in the fridge$/);
    expect(line({ use: 'jug' })).to.match(/to the brim$/);
    settings.toggleUnits();
    expect(line({ use: 'jug' })).to.match(/^jar · 6\.45\sqt to the brim$/);
  });

  it('says the shop’s mill, hours and defaults', async () => {
    const { lines } = await open();
    const settings = { ...shop.mill.settings, coarse: '26', medium: '' };
    expect(lines.mill({ ...shop, mill: { ...shop.mill, settings } })).to.contain('coarse 26');
    expect(lines.mill({ ...shop, mill: { ...shop.mill, settings } })).not.to.match(/\bmedium /);
    expect(lines.rooms({ ...shop, openHours: 7.5, closeHours: 18 })).to.match(
      /open 07:30 to 18:00$/,
    );
    const defaults = { ...shop.defaults, grind: 'coarse', ratio: 8, hours: 14, place: 'counter' };
    expect(lines.defaults({ ...shop, defaults } as typeof shop)).to.equal(
      'coarse · 1:8 · 14 h on the counter',
    );
  });
});
