import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { useStored } from '../../src/sync/useStored.ts';
import { checkKept } from '../../src/sync/checkKept.ts';
import { keptText } from '../../src/sync/ours.ts';
import { useSetAside } from '../../src/sync/setAside.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const open = (browser: ReturnType<typeof installBrowser>, kept?: string) =>
  withApp({
    browser,
    path: '/plan',
    use: async () => {
      if (kept !== undefined) browser.storage.set('ratio.samples.hours', kept);
      await checkKept();
      return { hours: useStored('ratio.samples.hours', [18]), aside: useSetAside() };
    },
  });

describe('useStored', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const kept = () => browser.storage.get('ratio.samples.hours');

  it('begins with the usual and writes nothing until somebody changes it', async () => {
    const { hours } = await open(browser);
    expect(hours.value).to.deep.equal([18]);
    expect(kept()).to.equal(undefined);
    hours.value = [12, 24];
    await nextTick();
    expect(kept()).to.equal(keptText([12, 24]));
  });

  for (const [what, text] of [
    ['itself', keptText([20])],
    ['a program that said no shapes', '[20]'],
    ['one of other shapes', '{"by":"of-before","value":[20]}'],
  ] as const)
    it(`reads what ${what} kept`, async () => {
      const { hours, aside } = await open(browser, text);
      expect(hours.value).to.deep.equal([20]);
      expect(kept()).to.equal(keptText([20]));
      expect(aside.all).to.deep.equal([]);
    });

  for (const [what, text] of [
    ['another shape', '{"hours":18}'],
    ['another shape by another program', '{"by":"of-before","value":{"hours":18}}'],
    ['a value out of range', '[-3]'],
    ['no JSON at all', 'eighteen'],
    ['what is cut off', keptText([20]).slice(0, -3)],
  ] as const)
    it(`sets ${what} aside as it was, and says so`, async () => {
      const { hours, aside } = await open(browser, text);
      expect(hours.value).to.deep.equal([18]);
      expect(aside.all).to.deep.equal([{ key: 'ratio.samples.hours', text }]);
      expect(JSON.parse(browser.storage.get('ratio.setAside')!)).to.have.length(1);
    });

  it('sets aside what nobody knows any more, and leaves what is checked elsewhere', async () => {
    browser.storage.clear();
    browser.storage.set('ratio.gone', '1');
    browser.storage.set('ratio.outbox', '{"waiting":[],"held":[]}');
    browser.storage.set('ratio.last./api/jugs', '[]');
    browser.storage.set('another', 'page’s own');
    setActivePinia(createPinia());
    await checkKept();
    expect(useSetAside().all).to.deep.equal([{ key: 'ratio.gone', text: '1' }]);
    expect([...browser.storage.keys()]).to.have.members([
      'ratio.outbox',
      'ratio.last./api/jugs',
      'another',
      'ratio.setAside',
    ]);
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
