import { expect } from 'chai';
import { useEdits } from '../../src/sync/useEdits.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

interface Crate {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly price: number;
}

/** Crates that live here, as a server would keep them. */
function crates() {
  const kept = new Map<string, Crate>([['a', { id: 'a', version: 1, name: 'Crate', price: 5 }]]);
  const steps: string[] = [];
  return {
    kept,
    steps,
    documents: {
      load: async () => void steps.push('load'),
      save: async (crate: Crate) => {
        const next = { ...crate, version: crate.version + 1 };
        kept.set(crate.id, next);
        steps.push(`save ${crate.id} at ${crate.version}`);
        return next;
      },
      remove: async ({ id, version }: { id: string; version: number }) => {
        kept.delete(id);
        steps.push(`remove ${id} at ${version}`);
      },
    },
  };
}

describe('useEdits', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  async function open() {
    const store = crates();
    const used = await withApp({
      browser,
      path: '/shelf',
      use: () => ({
        edits: useEdits<Crate>(store.documents, (id) => store.kept.get(id)),
        notice: useNotice(),
      }),
    });
    return { ...store, ...used };
  }

  it('changes a document on what it is now, and undoes with the version after', async () => {
    const { edits, notice, kept, steps } = await open();
    expect(await edits.change(kept.get('a')!, { price: 6 }, 'price')).to.equal(true);
    expect(kept.get('a')).to.include({ price: 6, version: 2 });
    expect(notice.notice!.text).to.equal('Crate: price');
    await notice.undo();
    expect(kept.get('a')).to.include({ price: 5, version: 3 });
    expect(steps.filter((step) => step.startsWith('save'))).to.deep.equal([
      'save a at 1',
      'save a at 2',
    ]);
    expect(notice.notice!.text).to.equal('Undone: Crate: price');
  });

  it('keeps a change that came meanwhile beside its own', async () => {
    const { edits, kept } = await open();
    const seen = kept.get('a')!;
    kept.set('a', { ...seen, name: 'Blue crate', version: 4 });
    await edits.change(seen, { price: 9 }, 'price');
    expect(kept.get('a')).to.include({ price: 9, name: 'Blue crate', version: 5 });
  });

  it('adds a new one, and takes it away again', async () => {
    const { edits, notice, kept } = await open();
    await edits.add({ id: 'b', version: 3, name: 'Box', price: 1 });
    expect(kept.get('b')).to.include({ version: 1 });
    expect(notice.notice!.text).to.equal('Box is on the shelf.');
    await notice.undo();
    expect(kept.has('b')).to.equal(false);
  });

  it('removes, and brings back as a new one', async () => {
    const { edits, notice, kept } = await open();
    await edits.remove(kept.get('a')!);
    expect(kept.size).to.equal(0);
    await notice.undo();
    expect(kept.get('a')).to.include({ name: 'Crate', version: 1 });
  });

  it('offers no undo of what cannot be removed', async () => {
    const { documents } = crates();
    const { edits, notice } = await withApp({
      browser,
      path: '/shelf',
      use: () => ({
        edits: useEdits<Crate>({ load: documents.load, save: documents.save }, () => null),
        notice: useNotice(),
      }),
    });
    await edits.add({ id: 'c', version: 0, name: 'Sack', price: 2 });
    expect(notice.shown!.canUndo).to.equal(false);
  });

  it('says what was not saved, reads again, and answers that it was not', async () => {
    const { edits, notice, kept, documents, steps } = await open();
    documents.save = async () => {
      throw new Error('The server does not answer.');
    };
    const { edits: failing } = await withApp({
      browser,
      path: '/shelf',
      use: () => ({ edits: useEdits<Crate>(documents, (id) => kept.get(id)), notice: useNotice() }),
    });
    expect(await failing.change(kept.get('a')!, { price: 7 }, 'price')).to.equal(false);
    expect(useNotice().notice).to.include({
      tone: 'wrong',
      text: 'Crate: price: not saved. The server does not answer.',
    });
    expect(steps.at(-1)).to.equal('load');
    expect([edits, notice]).to.have.length(2);
  });
});
