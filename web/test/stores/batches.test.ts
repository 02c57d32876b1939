import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useBatches } from '../../src/stores/batches.ts';
import { installBrowser } from '../browser.ts';
import { batchOf } from '../documents.ts';

describe('useBatches', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const rows = [
    batchOf({ id: 'soon' }),
    batchOf({ id: 'first', status: 'strained', strainedAt: '2026-06-11T07:10:00.000Z' }),
    batchOf({ id: 'last', status: 'strained', strainedAt: '2026-06-12T07:10:00.000Z' }),
  ];
  beforeEach(() => {
    browser.asked.splice(0);
    browser.storage.clear();
    browser.answer(({ method }) => ({ status: 200, body: method === 'POST' ? rows[0] : rows }));
    setActivePinia(createPinia());
  });

  it('tell what steeps from what was strained, the latest first', async () => {
    const batches = useBatches();
    await batches.load();
    expect(batches.steeping.map(({ id }) => id)).to.deep.equal(['soon']);
    expect(batches.strained.map(({ id }) => id)).to.deep.equal(['last', 'first']);
  });

  it('start under their own identity, and read all again', async () => {
    const { id, plan } = batchOf();
    expect((await useBatches().start({ id, plan }, 'Slack Tide'))?.id).to.equal('soon');
    expect(browser.asked[0]).to.deep.include({ path: '/api/batches', body: { id, plan } });
    expect(browser.asked[1]).to.include({ method: 'GET' });
  });

  it('are strained in the version that was seen', async () => {
    const request = { jugs: [{ jugId: 'jug', massG: 2000 }] };
    await useBatches().strain(batchOf({ version: 3 }), request);
    expect(browser.asked[0]).to.deep.equal({
      path: '/api/batches/steeping/strain',
      method: 'POST',
      version: '"3"',
      body: request,
    });
  });
});
