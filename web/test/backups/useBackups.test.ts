import { expect } from 'chai';
import { useBackups } from '../../src/backups/useBackups.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const COPY = {
  name: '2026-06-13T06-40-00-000Z-hand.sqlite',
  by: 'hand',
  at: '2026-06-13T06:40:00.000Z',
  bytes: 81_920,
};

describe('useBackups', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (refused = false) =>
    withApp({
      browser,
      path: '/shelf/backups',
      answers: ({ path, method }) => {
        if (!path.startsWith('/api/backups')) return null;
        if (method === 'GET') return { status: 200, body: [COPY] };
        return refused
          ? { status: 409, body: { detail: 'The copy is damaged.', status: 409 } }
          : { status: 201, body: path.endsWith('/restore') ? { name: COPY.name } : COPY };
      },
      use: () => ({ ...useBackups(), notice: useNotice() }),
    });

  it('makes a copy, and says which', async () => {
    const backups = await open();
    await backups.make();
    expect(backups.notice.shown?.text).to.equal(`Copied and checked: ${COPY.name}.`);
    expect(backups.backups.value).to.deep.equal([COPY]);
    expect(backups.busy.value).to.equal(false);
  });

  it('says why where a copy is not taken, and takes none', async () => {
    const backups = await open(true);
    await backups.restore(COPY as never);
    expect(backups.notice.shown).to.include({ tone: 'wrong', text: 'The copy is damaged.' });
    expect(backups.restoring.value).to.equal(false);
  });

  it('does not say that there is no copy where none can be read', async () => {
    const backups = await withApp({
      browser,
      path: '/shelf/backups',
      answers: ({ path }) =>
        path.startsWith('/api/backups')
          ? { status: 500, body: { detail: 'The folder of copies cannot be read.', status: 500 } }
          : null,
      use: () => useBackups(),
    });
    expect(backups.state.value).to.equal('loading');
    await backups.load();
    expect(backups.state.value).to.equal('failed');
    expect(backups.failure.value).to.equal('The folder of copies cannot be read.');
  });
});
