import { expect } from 'chai';
import { createPinia, setActivePinia } from 'pinia';
import { useNotice } from '../../src/sync/notice.ts';

describe('useNotice', () => {
  let notices: ReturnType<typeof useNotice>;
  beforeEach(() => {
    setActivePinia(createPinia());
    notices = useNotice();
  });

  it('shows the last thing that happened, until it is closed', () => {
    notices.say({ tone: 'done', text: 'Poured.' });
    notices.say({ tone: 'wrong', text: 'Not saved.' });
    expect(notices.shown).to.deep.equal({ text: 'Not saved.', tone: 'wrong', canUndo: false });
    notices.dismiss();
    expect(notices.shown).to.equal(null);
  });

  it('undoes by the function that came with it, and says that it did', async () => {
    const undone: string[] = [];
    notices.say({ tone: 'done', text: 'Poured.', undo: async () => void undone.push('pour') });
    expect(notices.shown!.canUndo).to.equal(true);
    await notices.undo();
    expect(undone).to.deep.equal(['pour']);
    expect(notices.shown).to.deep.equal({ text: 'Undone: Poured.', tone: 'done', canUndo: false });
  });

  it('says why an undo failed', async () => {
    notices.say({
      tone: 'done',
      text: 'Poured.',
      undo: async () => {
        throw new Error('The jug was emptied meanwhile.');
      },
    });
    await notices.undo();
    expect(notices.shown).to.include({ tone: 'wrong', text: 'The jug was emptied meanwhile.' });
  });

  it('undoes nothing where nothing can be', async () => {
    await notices.undo();
    notices.say({ tone: 'done', text: 'Read.' });
    await notices.undo();
    expect(notices.shown!.text).to.equal('Read.');
  });
});
