import { expect } from 'chai';
import { nextTick } from 'vue';
import { z } from 'zod';
import { useStored } from '../../src/composables/useStored.ts';
import { useSetAside } from '../../src/stores/setAside.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const hoursSchema = z.array(z.number().positive());
const open = (browser: ReturnType<typeof installBrowser>, kept?: string) =>
  withApp({
    browser,
    path: '/plan',
    use: () => {
      if (kept !== undefined) browser.storage.set('hours', kept);
      return { hours: useStored('hours', hoursSchema, [18]), aside: useSetAside() };
    },
  });

describe('useStored', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  it('begins with the usual and writes nothing until somebody changes it', async () => {
    const { hours } = await open(browser);
    expect(hours.value).to.deep.equal([18]);
    expect(browser.storage.has('hours')).to.equal(false);
    hours.value = [12, 24];
    await nextTick();
    expect(browser.storage.get('hours')).to.equal('[12,24]');
  });

  it('reads what it kept', async () => {
    expect((await open(browser, '[20]')).hours.value).to.deep.equal([20]);
  });

  for (const [what, text] of [
    ['another shape', '{"hours":18}'],
    ['a value out of range', '[-3]'],
    ['no JSON at all', 'eighteen'],
  ] as const)
    it(`sets ${what} aside as it was, and says so`, async () => {
      const { hours, aside } = await open(browser, text);
      expect(hours.value).to.deep.equal([18]);
      expect(aside.all).to.deep.equal([{ key: 'hours', text }]);
      expect(JSON.parse(browser.storage.get('ratio.setAside')!)).to.have.length(1);
    });
});

describe('useSetAside', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const aside = () => withApp({ browser, path: '/plan', use: () => useSetAside() });

  it('counts the same text once, exports all of it, and discards when it is told to', async () => {
    const store = await aside();
    store.add({ key: 'a', text: 'old' });
    store.add({ key: 'a', text: 'old' });
    store.add({ key: 'b', text: '{' });
    expect(JSON.parse(store.exported())).to.deep.equal([
      { key: 'a', text: 'old' },
      { key: 'b', text: '{' },
    ]);
    store.discard();
    expect(store.all).to.deep.equal([]);
    expect(browser.storage.get('ratio.setAside')).to.equal('[]');
  });
});
