import { expect } from 'chai';
import { useStart } from '../../src/composables/useStart.ts';
import { useShop } from '../../src/stores/shop.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useStart', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

  it('reads the whole shop before a page is shown', async () => {
    const { start, shelf } = await withApp({
      browser,
      path: '/plan',
      use: () => ({ start: useStart(), shelf: useShop() }),
    });
    expect(start.state.value).to.equal('loading');
    await settled();
    expect(start.state.value).to.equal('ready');
    expect(shelf.shop?.id).to.equal('lido');
    expect(new Set(browser.asked.map(({ path }) => path))).to.include.all.keys(
      '/api/shop',
      '/api/pantry',
      '/api/drinks',
      '/api/batches',
      '/api/jugs',
      '/api/drafts',
    );
  });

  it('says why it could not, and tries again', async () => {
    let isDown = false;
    const start = await withApp({
      browser,
      path: '/plan',
      answers: () => (isDown ? { status: 0, body: null } : null),
      use: () => {
        isDown = true;
        return useStart();
      },
    });
    await settled();
    expect(start.state.value).to.equal('failed');
    expect(start.failure.value).to.contain('Nothing is lost');
    isDown = false;
    await start.load();
    expect(start.state.value).to.equal('ready');
  });
});
