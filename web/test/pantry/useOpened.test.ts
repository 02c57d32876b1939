import { expect } from 'chai';
import { useNotice } from '../../src/sync/notice.ts';
import { usePantry } from '../../src/pantry/pantry.ts';
import { useOpened } from '../../src/pantry/useOpened.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { withApp } from '../withApp.ts';

describe('useOpened', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const saves: Handler = ({ path, body }) => ({
    status: 200,
    body: { ...(body as object), id: path.split('/').at(-1), version: 2 },
  });
  const open = (answer: Handler = saves) =>
    withApp({
      browser,
      path: '/shelf/ingredients',
      answers: (request) => (request.method === 'GET' ? null : answer(request)),
      use: () => ({ opened: useOpened(), pantry: usePantry(), notice: useNotice() }),
    });
  const writes = () => browser.asked.filter(({ method }) => method !== 'GET');

  it('opens one where none stood open; the undo takes it away again', async () => {
    const { opened, pantry, notice } = await open();
    await opened.start(pantry.pantry['soy-drink']!);
    expect(notice.notice).to.include({ tone: 'done', text: 'Soy drink: opened today.' });
    await notice.notice!.undo!();
    expect(writes().map(({ method, path, version }) => [method, path, version])).to.deep.equal([
      ['PUT', '/api/opened/soy-drink', '"0"'],
      ['DELETE', '/api/opened/soy-drink', '"0"'],
    ]);
  });

  it('uses one up; the undo opens it since when it stood open', async () => {
    const { opened, pantry, notice } = await open();
    await opened.useUp(pantry.pantry['whole-milk']!);
    expect(notice.notice!.text).to.equal('Whole milk: used up.');
    await notice.notice!.undo!();
    const [gone, back] = writes();
    expect(gone).to.include({ method: 'DELETE', path: '/api/opened/whole-milk', version: '"1"' });
    expect(back!.body).to.deep.equal({ at: '2026-06-12T07:10:00.000Z' });
  });

  it('calls what the house makes made', async () => {
    const { opened, pantry, notice } = await open();
    await opened.start(pantry.pantry['salt-foam']!);
    expect(notice.notice!.text).to.equal('Sea salt cream foam: made today.');
  });

  it('says that another tablet was first, and reads again what stands open', async () => {
    const stale = { status: 412, body: { code: 'stale', detail: 'Somebody else was first.' } };
    const { opened, pantry, notice } = await open(() => stale);
    browser.asked.splice(0);
    await opened.start(pantry.pantry['whole-milk']!);
    expect(notice.notice).to.include({ tone: 'wrong', text: 'Somebody else was first.' });
    expect(browser.asked.map(({ path }) => path)).to.include('/api/opened');
  });
});
