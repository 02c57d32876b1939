import { expect } from 'chai';
import { ask, newId, RequestProblem, sentenceOf, Unreachable } from '../../src/sync/client.ts';
import { installBrowser } from '../browser.ts';

describe('ask', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  beforeEach(() => browser.asked.splice(0));
  const failing = async (work: Promise<unknown>): Promise<unknown> =>
    work.then(
      () => null,
      (error: unknown) => error,
    );

  it('sends a body as JSON, with the version that was seen', async () => {
    browser.answer(() => ({ status: 201, body: { ok: true } }));
    expect(await ask('/api/x', { method: 'PUT', body: { a: 1 }, version: 3 })).to.deep.equal({
      ok: true,
    });
    expect(browser.asked).to.deep.equal([
      { path: '/api/x', method: 'PUT', version: '"3"', body: { a: 1 } },
    ]);
  });

  it('turns a problem document into its sentence', async () => {
    browser.answer(() => ({
      status: 409,
      body: { detail: 'Only 40 g are in this jug.', status: 409, code: 'not_possible_now' },
    }));
    const error = await failing(ask('/api/x'));
    expect(error).to.be.instanceOf(RequestProblem);
    expect(sentenceOf(error)).to.equal('Only 40 g are in this jug.');
  });

  it('says that nothing is lost where no answer comes', async () => {
    browser.answer(() => ({ status: 0, body: null }));
    const error = await failing(ask('/api/x'));
    expect(error).to.be.instanceOf(Unreachable);
    expect(sentenceOf(error)).to.contain('Nothing is lost');
  });

  it('counts an answer that is none of the server’s as none', async () => {
    browser.answer(() => ({ status: 200, body: 'Sign in to this network' }));
    const error = await failing(ask('/api/x'));
    expect(error).to.be.instanceOf(Unreachable);
    expect(sentenceOf(error)).to.contain('cannot be read');
  });

  it('makes identities that the server accepts, each once', () => {
    const ids = new Set(Array.from({ length: 200 }, newId));
    expect(ids.size).to.equal(200);
    for (const id of ids) expect(id).to.match(/^[a-z0-9][a-z0-9-]{0,63}$/);
  });
});
