import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useShop } from '../../src/shop/shop.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { lidoShelf } from '../lidoShelf.ts';

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
    expect(batches.past.map(({ id }) => id)).to.deep.equal(['last', 'first']);
  });

  it('start under their own identity, and read all again', async () => {
    const { id, plan, startedAt } = batchOf();
    expect((await useBatches().start({ id, plan, startedAt }, 'Lot 14'))?.id).to.equal('soon');
    const body = { id, plan, startedAt };
    expect(browser.asked[0]).to.deep.include({ path: '/api/batches', body });
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

  it('is read again where it changed while it was read for the first time', async () => {
    const batches = useBatches();
    const path = '/api/batches/soon';
    let photos: readonly { id: string }[] = [];
    browser.answer((request) => ({
      status: 200,
      body: request.path === path ? { ...rows[0], actuals: [], probes: [], photos } : rows,
    }));
    const first = batches.loadInFull('soon');
    photos = [{ id: 'bag' }];
    await Promise.all([first, batches.load('soon')]);
    expect(browser.asked.filter((request) => request.path === path)).to.have.length(2);
    expect(batches.inFull.get('soon')!.photos).to.have.length(1);
  });

  describe('what is noted of one', () => {
    const row = (id: string) => ({
      id,
      batchId: 'soon',
      kind: 'done',
      at: '2026-06-13T06:00:00.000Z',
      step: id,
      note: '',
      author: 'unsigned',
      massG: null,
      tempC: null,
      strengthFrac: null,
    });
    const note = (id: string) => ({
      id,
      kind: 'done' as const,
      step: id,
      note: '',
      instrumentId: null,
      at: '2026-06-13T06:00:00.000Z',
    });
    const inFull = (...ids: string[]) => ({ ...batchOf({ id: 'soon' }), actuals: ids.map(row) });
    const noted = (batches: ReturnType<typeof useBatches>) =>
      batches.observationsOf('soon').map(({ id }) => id);

    it('is there at once, and once, whether the server has answered or not', async () => {
      const batches = useBatches();
      browser.answer(lidoShelf);
      await useShop().load();
      browser.answer(() => ({ status: 200, body: inFull('weigh') }));
      await batches.loadInFull('soon');
      browser.answer(() => ({ status: 0, body: null }));
      await batches.note('soon', note('grind'), 'Ground');
      await batches.note('soon', note('tare'), 'Tared');
      expect(noted(batches)).to.deep.equal(['weigh', 'grind', 'tare']);
    });

    it('is not lost to an older answer that comes late', async () => {
      const batches = useBatches();
      browser.answer(() => ({ status: 200, body: inFull('weigh', 'grind') }));
      await batches.loadInFull('soon');
      browser.answer(() => ({ status: 200, body: inFull('weigh') }));
      await batches.loadInFull('soon');
      expect(noted(batches)).to.deep.equal(['weigh', 'grind']);
    });

    it('is read again for the one that changed alone', async () => {
      const batches = useBatches();
      browser.answer(({ path }) => ({
        status: 200,
        body: path === LATELY_PATH ? rows : { ...inFull('weigh'), id: path.split('/').at(-1) },
      }));
      await batches.loadInFull('soon');
      await batches.loadInFull('first');
      browser.asked.splice(0);
      await batches.load('soon');
      expect(browser.asked.map(({ path }) => path).toSorted()).to.deep.equal([
        '/api/batches/soon',
        LATELY_PATH,
      ]);
    });
  });

  describe('while the server is away', () => {
    const away: Handler = (request) =>
      request.method === 'POST' ? { status: 0, body: null } : lidoShelf(request);
    async function open() {
      browser.storage.clear();
      browser.answer(away);
      setActivePinia(createPinia());
      await useShop().load();
      return useBatches();
    }

    it('are there as soon as they are started, with what they lead to', async () => {
      const batches = await open();
      const { plan } = batchOf();
      const startedAt = '2026-06-12T16:00:00.000Z';
      expect(await batches.start({ id: 'kept', plan, startedAt }, 'Lot 14')).to.equal(null);
      const [kept] = batches.steeping;
      expect(kept).to.include({ id: 'kept', version: 1, startedAt, status: 'steeping' });
      expect(batches.isUnsent('kept')).to.equal(true);
      expect(kept!.predicted.strengthFrac).to.be.above(0.02);
      expect(batches.inVessel(plan.vesselId, plan, Date.parse(startedAt))?.id).to.equal('kept');
    });

    it('steep no more once they are strained', async () => {
      const batches = await open();
      browser.answer((request) => {
        if (request.method !== 'GET') return away(request);
        if (request.path === LATELY_PATH) return { status: 200, body: [batchOf()] };
        return request.path === '/api/batches/steeping'
          ? { status: 200, body: { ...batchOf(), actuals: [], probes: [], photos: [] } }
          : away(request);
      });
      await batches.load();
      await batches.loadInFull('steeping');
      expect(batches.steeping).to.have.length(1);
      await batches.strain(batchOf(), { jugs: [{ jugId: 'j', massG: 500 }] });
      expect(batches.steeping).to.deep.equal([]);
    });
  });
});
