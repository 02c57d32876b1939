import { expect } from 'chai';
import { ask } from '../../src/api/client.ts';
import { beginFirstAnswers, endFirstAnswers } from '../../src/api/firstAnswers.ts';
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

  it('are past when the page stands', async () => {
    server({ status: 200, body: { '/api/jugs': [1] } });
    beginFirstAnswers();
    endFirstAnswers();
    expect(await ask('/api/jugs')).to.deep.equal([2]);
  });

  for (const [name, start] of [
    ['none come', { status: 0, body: null }],
    ['the server has none', { status: 404, body: {} }],
    ['one cannot be read', { status: 200, body: { '/api/jugs': 'rubbish' } }],
  ] as const)
    it(`are done without where ${name}`, async () => {
      server(start);
      beginFirstAnswers();
      expect(await ask('/api/jugs')).to.deep.equal([2]);
    });
});
