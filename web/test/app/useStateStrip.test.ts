import { expect } from 'chai';
import { useStateStrip } from '../../src/app/useStateStrip.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { useJugs } from '../../src/events/jugs.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useStateStrip', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  it('says what is kept here, and what was refused, in one place', async () => {
    let isAway = true;
    let refreshed = 0;
    const { strip, isNews, tryNow, discard, stores } = await withApp({
      browser,
      path: '/plan',
      answers: ({ method }) => {
        if (method === 'GET') return null;
        return isAway
          ? { status: 0, body: null }
          : { status: 409, body: { detail: 'Only 960 g are in this jug.', status: 409 } };
      },
      use: () => ({
        ...useStateStrip(() => Promise.resolve(refreshed++)),
        stores: { drafts: useDraft(), jugs: useJugs() },
      }),
    });
    expect(strip.value).to.deep.include({ stopped: '', waiting: [], held: [], draftRefused: '' });
    expect(isNews.value).to.equal(false);
    const pour = { jug: jugOf(), id: 'p', massG: 2000, note: 'Lido black' };
    await stores.jugs.pour(pour);
    stores.drafts.fillIn();
    stores.drafts.setAmount('doseG', 700);
    await stores.drafts.save();
    expect(strip.value.stopped).to.contain('does not answer');
    expect(isNews.value).to.equal(true);
    expect(strip.value.waiting).to.deep.equal(['Lido black from Jug 1', 'The plan']);
    isAway = false;
    await tryNow();
    expect(refreshed).to.equal(1);
    expect(strip.value.held[0]).to.deep.include({ reason: 'Only 960 g are in this jug.' });
    expect(strip.value.draftRefused).to.equal('Only 960 g are in this jug.');
    discard(strip.value.held[0]!.id);
    expect(strip.value.held).to.deep.equal([]);
  });
});
