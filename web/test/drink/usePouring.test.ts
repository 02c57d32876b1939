import { massOfStoredG } from '@ratio/core/matter';
import { expect } from 'chai';
import { usePour } from '../../src/drink/usePour.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('usePouring', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const accepts: Handler = () => ({ status: 201, body: jugOf() });
  const open = (entries: Handler = accepts, jug = jugOf()) =>
    withApp({
      browser,
      path: '/pour?drink=lido-black',
      jugs: [jug],
      answers: (request) => (request.path.endsWith('/entries') ? entries(request) : null),
      use: () => ({ page: usePour(), notice: useNotice() }),
    });
  const sent = () =>
    browser.asked
      .filter(({ method }) => method === 'POST')
      .map(({ body }) => body as { id: string; kind: string; massG?: number; note?: string });

  it('takes the concentrate of so many glasses out of the jug, and says how much', async () => {
    const { page, notice } = await open();
    page.measuring.value = 'exact';
    page.count.value = 3;
    await page.pour();
    const { concentrateG } = page.solution.value!;
    expect(sent()[0]).to.include({ kind: 'poured', note: '3 × Lido black' });
    expect(sent()[0]!.massG).to.be.closeTo(3 * concentrateG, 1e-9);
    expect(notice.notice!.text).to.match(/^3 × Lido black: \d+\smL from Jug 1\.$/);
  });

  it('books what the chosen tool pours: six by the jigger are six times its mark', async () => {
    const { page, notice } = await open();
    page.count.value = 6;
    const markMl = page.measured.value!.concentrate.volumeMl;
    expect(page.solution.value!.concentrateMl).not.to.be.closeTo(markMl, 0.1);
    await page.pour();
    // The strength of the jug in hand is 3.5 %.
    const massG = massOfStoredG({ volumeMl: 6 * markMl, strengthFrac: 0.035 });
    expect(sent()[0]!.massG).to.be.closeTo(massG, 0.5);
    expect(notice.notice!.text).to.contain(`${6 * markMl}\u202fmL from Jug 1`);
  });

  it('names and remembers the drink that was poured, whatever is in hand when the answer comes', async () => {
    const { page, notice } = await open();
    page.hand.adjust('stronger');
    const pouring = page.pour();
    page.hand.choose('milk-tide');
    await pouring;
    expect(notice.notice!.text).to.match(/^Lido black: /u);
    const [version] = browser.asked.filter(({ path }) => path.endsWith('/versions'));
    expect(version!.path).to.equal('/api/drinks/lido-black/versions');
  });

  it('undoes the row that it made', async () => {
    const { page, notice } = await open();
    await page.pour();
    await notice.undo();
    expect(sent()[1]).to.deep.include({ kind: 'undone', entryId: sent()[0]!.id });
  });

  it('keeps a pour that no answer came to, sends it again under its identity, and the next under its own', async () => {
    let isDown = true;
    const { page, notice } = await open((request) =>
      isDown ? { status: 0, body: null } : accepts(request),
    );
    await page.pour();
    expect(notice.notice!.text).to.contain('Kept here until the server is back');
    isDown = false;
    await page.pour();
    const [lost, again, next] = sent().map(({ id }) => id);
    expect(again).to.equal(lost);
    expect(next).not.to.equal(lost);
  });

  it('counts what the jug still holds, and sees that it is too little', async () => {
    const { page } = await open(accepts, jugOf({ onHandG: 200 }));
    page.measuring.value = 'exact';
    const { concentrateG } = page.solution.value!;
    expect(page.left.value).to.equal(Math.floor(200 / concentrateG));
    expect(page.enough.value).to.equal(true);
    page.count.value = page.left.value + 1;
    expect(page.enough.value).to.equal(false);
  });

  it('notes what was asked for after a sip, once for each pour, and only of a changed drink', async () => {
    const versions = () =>
      browser.asked.filter(
        ({ path, method }) => method === 'POST' && path === '/api/drinks/lido-black/versions',
      );
    const { page } = await open();
    await page.pour();
    expect(versions()).to.have.length(0);
    page.hand.adjust('stronger');
    await page.pour();
    expect(versions()[0]!.body).to.include({ forWhom: 'this once' });
    expect((versions()[0]!.body as { change: string }).change).to.match(/^target /u);
  });

  it('has poured even where that is refused, and says so', async () => {
    const { page, notice } = await withApp({
      browser,
      path: '/pour?drink=lido-black',
      jugs: [jugOf()],
      answers: ({ path, method }) => {
        if (path.endsWith('/entries')) return { status: 201, body: jugOf() };
        if (method === 'POST') return { status: 409, body: { detail: 'Not now.' } };
        return null;
      },
      use: () => ({ page: usePour(), notice: useNotice() }),
    });
    page.hand.adjust('sweeter');
    await page.pour();
    expect(sent()[0]).to.include({ kind: 'poured' });
    expect(notice.notice!.text).to.match(/is poured; that it was asked for is not noted/u);
  });
});
