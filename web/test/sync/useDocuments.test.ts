import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { RequestProblem } from '../../src/sync/client.ts';
import { useConnection } from '../../src/sync/connection.ts';
import { useDocuments } from '../../src/sync/useDocuments.ts';
import { installBrowser } from '../browser.ts';

const spoon = { id: 'spoon', version: 2, name: 'Bar spoon' };
type Thing = typeof spoon;

describe('useDocuments', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  beforeEach(() => {
    browser.asked.splice(0);
    browser.storage.clear();
    setActivePinia(createPinia());
  });
  const things = () => useDocuments<Thing>('/api/things');

  it('reads all of a kind', async () => {
    browser.answer(() => ({ status: 200, body: [spoon] }));
    const documents = things();
    await documents.load();
    expect(documents.all.value).to.deep.equal([spoon]);
  });

  it('writes with the version that was seen, then reads again', async () => {
    browser.answer(({ method }) => ({ status: 200, body: method === 'PUT' ? spoon : [spoon] }));
    const documents = things();
    expect(await documents.save({ ...spoon, version: 1 })).to.deep.equal(spoon);
    expect(browser.asked).to.deep.equal([
      { path: '/api/things/spoon', method: 'PUT', version: '"1"', body: { name: 'Bar spoon' } },
      { path: '/api/things', method: 'GET', version: null, body: undefined },
    ]);
  });

  it('removes what was seen', async () => {
    browser.answer(({ method }) => ({
      status: 200,
      body: method === 'DELETE' ? { id: 'spoon' } : [],
    }));
    const documents = things();
    await documents.remove(spoon);
    expect(browser.asked[0]).to.include({ method: 'DELETE', version: '"2"' });
    expect(documents.all.value).to.deep.equal([]);
  });

  it('keeps what it has where a write is refused, or an answer cannot be read', async () => {
    const documents = things();
    browser.answer(() => ({ status: 200, body: [spoon] }));
    await documents.load();
    browser.answer(() => ({ status: 412, body: { detail: 'Somebody else was first.' } }));
    const refused = await documents.save(spoon).catch((error: unknown) => error);
    expect(refused).to.be.instanceOf(RequestProblem);
    browser.answer(() => ({ status: 200, body: 'malformed' }));
    await documents.load();
    expect(useConnection().away).to.equal(true);
    expect(documents.all.value).to.deep.equal([spoon]);
  });
});
