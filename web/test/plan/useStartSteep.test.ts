import { expect } from 'chai';
import { useStartSteep } from '../../src/plan/useStartSteep.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useStartSteep', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (start: Handler) =>
    withApp({
      browser,
      path: '/plan',
      answers: (request) =>
        request.path === '/api/batches' && request.method === 'POST' ? start(request) : null,
      use: () => ({ ...useStartSteep(), drafts: useDraft(), notice: useNotice() }),
    });

  it('starts the draft under its own identity, says when it is strained, and begins another', async () => {
    const page = await open(() => ({ status: 201, body: batchOf() }));
    const { id, plan } = page.drafts.draft;
    await page.start();
    const sent = browser.asked.find(({ method }) => method === 'POST')!;
    expect(sent.body).to.deep.equal({ id, plan, startedAt: '2026-06-13T06:40:00.000Z' });
    expect(page.notice.notice!.text).to.equal('Steeping: Lot 14, natural. Strain Sun 01:40.');
    expect(page.drafts.draft).to.include({ version: 0, startAt: null });
    expect(page.drafts.draft.id).not.to.equal(id);
    expect(page.starting.value).to.equal(false);
  });

  it('keeps the draft and its identity where the server refuses, so that a second try counts once', async () => {
    const page = await open(() => ({
      status: 422,
      body: { detail: 'It does not go into Tall jar 6 L.' },
    }));
    const { id } = page.drafts.draft;
    await page.start();
    expect(page.notice.notice).to.include({
      tone: 'wrong',
      text: 'It does not go into Tall jar 6 L.',
    });
    expect(page.drafts.draft.id).to.equal(id);
  });
});
