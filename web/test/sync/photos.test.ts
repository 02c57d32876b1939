import { expect } from 'chai';
import { indexedDB } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { useNotice } from '../../src/sync/notice.ts';
import { useOutbox } from '../../src/sync/outbox.ts';
import { usePhotos } from '../../src/sync/photos.ts';
import { installBrowser } from '../browser.ts';
import { until } from '../threads.ts';

const AT = '2026-06-13T06:40:00.000Z';
const OF = '/api/batches/one';
const photo = (text: string): Blob => new Blob([text], { type: 'image/jpeg' });
const taken = { at: AT, what: 'Photograph of Lot 14' };

describe('usePhotos', () => {
  let browser: ReturnType<typeof installBrowser>;
  let isThere: boolean;
  before(() => {
    browser = installBrowser();
    // Not by its automatic import: that takes the window of an earlier file for the whole browser.
    Object.assign(globalThis, { indexedDB });
  });
  beforeEach(async () => {
    isThere = true;
    browser.storage.clear();
    browser.asked.splice(0);
    browser.answer(({ path }) =>
      isThere ? { status: 201, body: { id: path } } : { status: 0, body: null },
    );
    setActivePinia(createPinia());
  });
  const sent = (): string[] =>
    browser.asked.filter(({ method }) => method === 'PUT').map(({ path }) => path);

  it('go to the server at once where it is there, with the moment at which they were taken', async () => {
    const { id, isSent } = await usePhotos().keep(OF, photo('a'), taken);
    expect(isSent).to.equal(true);
    expect(sent()).to.deep.equal([`${OF}/photos/${id}?at=${encodeURIComponent(AT)}`]);
    expect(usePhotos().waiting).to.deep.equal([]);
  });

  it('wait where it is not, through a reload, and arrive once and in order', async () => {
    isThere = false;
    const first = await usePhotos().keep(OF, photo('a'), taken);
    const later = { ...taken, at: '2026-06-13T06:41:00.000Z' };
    const second = await usePhotos().keep(OF, photo('b'), later);
    expect([first.isSent, second.isSent]).to.deep.equal([false, false]);
    expect(
      usePhotos()
        .waitingOf(OF)
        .map(({ id }) => id),
    ).to.deep.equal([first.id, second.id]);
    isThere = true;
    browser.asked.splice(0);
    setActivePinia(createPinia());
    usePhotos();
    await until(() => sent().length === 2);
    await usePhotos().send();
    expect(sent().map((path) => path.split(/[/?]/)[5])).to.deep.equal([first.id, second.id]);
    expect(usePhotos().waiting).to.deep.equal([]);
    setActivePinia(createPinia());
    await usePhotos().send();
    expect(sent()).to.have.length(2);
  });

  it('go behind what else waits: their batch may not be there yet', async () => {
    isThere = false;
    const write = { method: 'POST' as const, path: '/api/batches', body: {}, what: 'Started' };
    void useOutbox().write(write);
    await usePhotos().keep(OF, photo('a'), taken);
    expect(sent()).to.deep.equal([]);
    isThere = true;
    await useOutbox().send();
    await until(() => sent().length === 1);
    const order = browser.asked.map(({ method }) => method);
    expect(order.lastIndexOf('POST')).to.be.below(order.indexOf('PUT'));
  });

  it('say why one is refused, and go on with the next', async () => {
    isThere = false;
    await usePhotos().keep(OF, photo('a'), taken);
    browser.answer(({ path }) =>
      path.startsWith('/api/batches/one')
        ? { status: 429, body: { detail: 'A batch has 30 photographs at most.', code: 'too_many' } }
        : { status: 201, body: { id: path } },
    );
    const next = await usePhotos().keep('/api/batches/two', photo('b'), taken);
    expect(next.isSent).to.equal(true);
    expect(useNotice().shown?.text).to.equal(
      'Photograph of Lot 14 is not kept. A batch has 30 photographs at most.',
    );
  });
});
