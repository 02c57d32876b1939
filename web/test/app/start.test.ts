import { expect } from 'chai';
import { useStart } from '../../src/app/start.ts';
import { useOutbox } from '../../src/sync/outbox.ts';
import { useShop } from '../../src/shop/shop.ts';
import { LATELY_PATH } from '../../src/events/batches.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const NOBODY = {
  needsSignIn: true,
  name: 'unsigned',
  role: 'pours',
  device: null,
  people: [],
  signInHere: true,
};
const SIGN_IN = {
  type: 'about:blank',
  title: 'Sign in first',
  status: 401,
  detail: 'Sign in, or pair this tablet, before anything else.',
  code: 'sign_in',
};

describe('useStart', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const settled = () => new Promise((resolve) => setTimeout(resolve, 20));

  it('reads the whole shop before a page is shown', async () => {
    const { start, shop } = await withApp({
      browser,
      path: '/plan',
      use: () => ({ start: useStart(), shop: useShop() }),
    });
    expect(start.state).to.equal('loading');
    await settled();
    expect(start.state).to.equal('ready');
    expect(shop.document?.id).to.equal('lido');
    expect(new Set(browser.asked.map(({ path }) => path))).to.include.all.keys(
      '/api/shop',
      '/api/pantry',
      '/api/drinks',
      LATELY_PATH,
      '/api/jugs',
      '/api/drafts',
    );
  });

  it('reads again where something that was kept from before is under way', async () => {
    let reads = 0;
    const { start } = await withApp({
      browser,
      path: '/plan',
      answers: ({ path, method }) => {
        if (path === LATELY_PATH && method === 'GET') reads += 1;
        // Still under way while the shop is read.
        return method === 'POST' ? { status: 0, body: null } : null;
      },
      use: () => {
        const path = '/api/batches/x/actuals';
        void useOutbox().write({ method: 'POST', path, body: {}, what: 'Given up' });
        return { start: useStart() };
      },
    });
    await settled();
    await settled();
    expect(start.state).to.equal('ready');
    expect(reads).to.equal(2);
  });

  it('asks for a sign-in once the server wants one in the middle of the day', async () => {
    let isForgotten = false;
    const { start, shop } = await withApp({
      browser,
      path: '/plan',
      answers: ({ path }) => {
        if (!isForgotten) return null;
        if (path === '/api/session') return { status: 200, body: NOBODY };
        return { status: 401, body: SIGN_IN };
      },
      use: () => ({ start: useStart(), shop: useShop() }),
    });
    await settled();
    isForgotten = true;
    await shop.load().catch(() => undefined);
    await settled();
    expect(start.state).to.equal('signIn');
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
    expect(start.state).to.equal('failed');
    expect(start.failure).to.contain('Nothing is lost');
    isDown = false;
    await start.load();
    expect(start.state).to.equal('ready');
  });
});
