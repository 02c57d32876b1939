import { expect } from 'chai';
import { ask } from '../../src/sync/client.ts';
import {
  beginFirstAnswers,
  endFirstAnswers,
  firstReadAfter,
  waitedMs,
} from '../../src/sync/firstAnswers.ts';
import type * as FirstAnswers from '../../src/sync/firstAnswers.ts';
import { installBrowser } from '../browser.ts';

describe('the first answers', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  afterEach(() => endFirstAnswers());
  function server(start: { status: number; body: unknown }): () => string[] {
    browser.asked.splice(0);
    browser.answer(({ path }) => (path === '/api/start' ? start : { status: 200, body: [2] }));
    return () => browser.asked.map(({ method, path }) => `${method} ${path}`);
  }

  it('are taken once, and only to what is read', async () => {
    const asked = server({ status: 200, body: { '/api/jugs': [1], '/api/batches': [1] } });
    beginFirstAnswers();
    expect(await ask('/api/jugs')).to.deep.equal([1]);
    expect(await ask('/api/jugs')).to.deep.equal([2]);
    expect(await ask('/api/batches', { method: 'POST' })).to.deep.equal([2]);
    expect(asked()).to.deep.equal(['GET /api/start', 'GET /api/jugs', 'POST /api/batches']);
  });

  it('say how long they waited for the script that takes them, and after which change they were read', async () => {
    server({ status: 200, body: { after: 'run.7', '/api/shop': {}, '/api/jugs': [1] } });
    beginFirstAnswers();
    expect(waitedMs('/api/shop')).to.equal(0);
    await new Promise((resolve) => setTimeout(resolve, 50));
    await ask('/api/shop');
    expect(waitedMs('/api/shop')).to.be.within(30, 500);
    expect(firstReadAfter()).to.equal('run.7');
    await ask('/api/shop');
    expect(waitedMs('/api/shop')).to.equal(0);
  });

  describe('where the document asked for the first ones', () => {
    afterEach(() => void Reflect.deleteProperty(performance, 'getEntriesByType'));
    /** A module that has asked for none yet, on a page whose document asked 1.5 s ago. */
    async function fresh(): Promise<typeof FirstAnswers> {
      const came = { name: 'http://lido:4870/api/start', responseEnd: performance.now() - 1500 };
      Object.assign(performance, { getEntriesByType: () => [came] });
      return (await import(
        `../../src/sync/firstAnswers.ts?${Math.random()}`
      )) as typeof FirstAnswers;
    }
    const SHOP = { status: 200, body: { '/api/shop': {} } };
    async function waited(page: typeof FirstAnswers, start: typeof SHOP): Promise<number> {
      server(start);
      page.beginFirstAnswers();
      await page.firstAnswer('/api/shop');
      return page.waitedMs('/api/shop');
    }

    it('were here before a script ran: those alone', async () => {
      const page = await fresh();
      expect(await waited(page, SHOP)).to.be.within(1500, 1900);
      expect(await waited(page, SHOP)).to.be.below(400);
    });

    it('are of the moment where the first did not come', async () => {
      const page = await fresh();
      await waited(page, { ...SHOP, status: 0 });
      expect(await waited(page, SHOP)).to.be.below(400);
    });
  });

  it('are past when the page stands', async () => {
    server({ status: 200, body: { '/api/jugs': [1] } });
    beginFirstAnswers();
    endFirstAnswers();
    expect(await ask('/api/jugs')).to.deep.equal([2]);
  });

  for (const [name, start] of [
    ['none come', { status: 0, body: null }],
    ['the server has none', { status: 404, body: {} }],
    ['one cannot be read', { status: 200, body: { '/api/jugs': 'malformed' } }],
  ] as const)
    it(`are done without where ${name}`, async () => {
      server(start);
      beginFirstAnswers();
      expect(await ask('/api/jugs')).to.deep.equal([2]);
    });
});
