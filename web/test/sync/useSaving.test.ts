import { expect } from 'chai';
import { useNotice } from '../../src/sync/notice.ts';
import { useSaving } from '../../src/sync/useSaving.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useSaving', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (reload: () => Promise<unknown> = () => Promise.resolve()) =>
    withApp({
      browser,
      path: '/shelf',
      use: () => ({ saving: useSaving(reload), notice: useNotice() }),
    });
  const fails = () => Promise.reject(new Error('No room.'));

  it('says what was done, and undoes it as the write says', async () => {
    const { saving, notice } = await open();
    let stored = 'before';
    const isSaved = await saving({
      does: async () => {
        stored = 'after';
        return { text: 'Renamed.', undo: async () => (stored = 'before') };
      },
    });
    expect([isSaved, stored]).to.deep.equal([true, 'after']);
    expect(notice.notice).to.include({ tone: 'done', text: 'Renamed.' });
    await notice.notice!.undo!();
    expect(stored).to.equal('before');
  });

  it('says why it failed behind what was not saved, offers no undo, and reads again', async () => {
    let reads = 0;
    const { saving, notice } = await open(async () => (reads += 1));
    expect(await saving({ failed: 'Jar: not saved.', does: fails })).to.equal(false);
    expect(notice.notice).to.include({ tone: 'wrong' });
    expect(notice.notice!.text).to.match(/^Jar: not saved\. ./);
    expect(notice.notice).not.to.have.property('undo');
    expect(reads).to.equal(1);
  });

  it('goes on after one that failed, even where reading again fails too', async () => {
    const { saving, notice } = await open(fails);
    const done = { text: 'Second.', undo: () => Promise.resolve() };
    const both = [saving({ does: fails }), saving({ does: () => Promise.resolve(done) })];
    expect(await Promise.all(both)).to.deep.equal([false, true]);
    expect(notice.notice!.text).to.equal('Second.');
  });
});
