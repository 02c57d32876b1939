import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { watch } from 'vue';
import { RequestProblem } from '../../src/sync/client.ts';
import { useDocuments } from '../../src/sync/useDocuments.ts';
import { useOutbox } from '../../src/sync/outbox.ts';
import { installBrowser, type Asked } from '../browser.ts';

interface Thing {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly openHours: number;
  readonly mill: { readonly name: string };
}
const shop: Thing = { id: 'x', version: 3, name: 'Lido', openHours: 7, mill: { name: 'Old' } };

describe('useOutbox', () => {
  let browser: ReturnType<typeof installBrowser>;
  /** What the pretended server holds, and whether it answers. */
  let stored: Thing | null;
  let isDown: boolean;
  let losesAnswers: boolean;
  before(() => {
    browser = installBrowser();
  });
  beforeEach(() => {
    browser.storage.clear();
    browser.asked.splice(0);
    stored = shop;
    isDown = false;
    losesAnswers = false;
    browser.answer(serve);
    setActivePinia(createPinia());
  });

  function serve({ method, version, body }: Asked): { status: number; body: unknown } {
    if (isDown) return { status: 0, body: null };
    if (method === 'GET') return { status: 200, body: stored ? [stored] : [] };
    if (method === 'POST') return { status: 409, body: { detail: 'Not in that state.' } };
    const seen = Number(version?.replaceAll('"', ''));
    if (seen !== (stored?.version ?? 0)) return { status: 412, body: { current: stored } };
    stored = { ...(body as Omit<Thing, 'id' | 'version'>), id: 'x', version: seen + 1 };
    return losesAnswers ? { status: 0, body: null } : { status: 200, body: stored };
  }
  const things = async () => {
    const documents = useDocuments<Thing>('/api/things');
    await documents.load();
    return documents;
  };
  const puts = () => browser.asked.filter(({ method }) => method === 'PUT');

  it('keeps a write through a reload until the server answers, and shows it meanwhile', async () => {
    const documents = await things();
    isDown = true;
    await documents.save({ ...shop, openHours: 6 });
    expect(documents.all.value[0]!.openHours).to.equal(6);
    // A reload: everything anew but what the browser kept.
    setActivePinia(createPinia());
    const again = useDocuments<Thing>('/api/things');
    await again.load();
    expect(again.all.value[0]!.openHours).to.equal(6);
    isDown = false;
    await useOutbox().send();
    expect(stored).to.include({ openHours: 6, version: 4 });
    expect(useOutbox().waiting).to.deep.equal([]);
  });

  it('shows a new document all the while, from before it is sent to after it is read again', async () => {
    stored = null;
    const documents = await things();
    const seen: number[] = [];
    watch(documents.all, (all) => seen.push(all.length), { flush: 'sync' });
    await documents.save({ ...shop, version: 0 });
    expect(new Set(seen)).to.deep.equal(new Set([1]));
  });

  it('sends in order, and nothing before what waits', async () => {
    const documents = await things();
    isDown = true;
    await documents.save({ ...shop, openHours: 6 });
    await documents.save({ ...documents.all.value[0]!, name: 'The lido' });
    isDown = false;
    await documents.save({ ...documents.all.value[0]!, mill: { name: 'New' } });
    expect(stored).to.deep.include({ openHours: 6, name: 'The lido', mill: { name: 'New' } });
    expect(useOutbox().held).to.deep.equal([]);
  });

  it('takes a write whose answer was lost for done, once', async () => {
    const documents = await things();
    losesAnswers = true;
    await documents.save({ ...shop, openHours: 6 });
    losesAnswers = false;
    await useOutbox().send();
    expect(stored!.version).to.equal(4);
    expect(puts()).to.have.length(2);
    expect(useOutbox().held).to.deep.equal([]);
  });

  it('merges by field what two tablets changed', async () => {
    const documents = await things();
    stored = { ...shop, version: 4, mill: { name: 'Theirs' } };
    await documents.save({ ...shop, openHours: 6 });
    expect(stored).to.deep.equal({ ...shop, version: 5, openHours: 6, mill: { name: 'Theirs' } });
  });

  it('holds what both changed, with both versions, until somebody decides', async () => {
    const documents = await things();
    stored = { ...shop, version: 4, openHours: 8, mill: { name: 'Theirs' } };
    const refused = await documents
      .save({ ...shop, openHours: 6 })
      .catch((error: unknown) => error);
    expect(refused).to.be.instanceOf(RequestProblem);
    const [held] = useOutbox().held;
    expect(held).to.deep.include({ fields: ['openHours'], current: stored });
    useOutbox().insist(held!);
    await useOutbox().send();
    expect(stored).to.include({ openHours: 6, version: 5 });
    expect(useOutbox().held).to.deep.equal([]);
  });

  it('lets go of what somebody gives up', async () => {
    const documents = await things();
    stored = { ...shop, version: 4, openHours: 8 };
    await documents.save({ ...shop, openHours: 6 }).catch(() => undefined);
    useOutbox().discard(useOutbox().held[0]!);
    expect(useOutbox().held).to.deep.equal([]);
    expect(stored).to.include({ openHours: 8 });
  });

  it('holds what is refused after a reload, for nobody waits for it any more, and goes on', async () => {
    isDown = true;
    const outbox = useOutbox();
    const post = { method: 'POST' as const, path: '/api/x', body: {}, what: 'A pour' };
    expect(await outbox.write(post)).to.deep.equal({ kept: true });
    const documents = useDocuments<Thing>('/api/things');
    await documents.save({ ...shop, name: 'After it' });
    isDown = false;
    await outbox.send();
    expect(outbox.held[0]).to.deep.include({ reason: 'Not in that state.', fields: [] });
    expect(stored!.name).to.equal('After it');
  });

  it('keeps on where the server cannot decide: a full disk, a sign-in', async () => {
    const outbox = useOutbox();
    for (const status of [507, 503, 401, 429]) {
      browser.answer(() => ({ status, body: { detail: `Answer ${status}.` } }));
      const post = { method: 'POST' as const, path: '/api/x', body: {}, what: 'A pour' };
      expect(await outbox.write(post)).to.deep.equal({ kept: true });
      expect(outbox.stopped).to.equal(`Answer ${status}.`);
    }
    expect(outbox.waiting).to.have.length(4);
  });

  it('sets aside what it cannot read of its own', () => {
    browser.storage.set('ratio.outbox', '{"waiting": 3}');
    setActivePinia(createPinia());
    expect(useOutbox().waiting).to.deep.equal([]);
    expect(browser.storage.get('ratio.setAside')).to.contain('waiting');
  });
});
