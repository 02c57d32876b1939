import { expect } from 'chai';
import { useNewJug } from '../../src/jug/useNewJug.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser } from '../browser.ts';
import { jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useNewJug', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = () =>
    withApp({
      browser,
      path: '/jugs/new',
      jugs: [],
      answers: ({ path, method }) =>
        path === '/api/jugs' && method === 'POST' ? { status: 201, body: jugOf() } : null,
      use: () => ({ ...useNewJug(), stores: { notice: useNotice() } }),
    });
  const sent = () => browser.asked.find(({ method }) => method === 'POST')?.body;

  it('is as strong as its taste says, as its recipe says, or as it was read', async () => {
    const { form, change, known } = await open();
    expect(form.value.knownBy).to.equal('taste');
    expect(known.value!.range!.low).to.be.below(known.value!.range!.high);
    change({ knownBy: 'recipe', ratio: 8, hours: 12 });
    expect(known.value!.readBy).to.equal('prediction');
    change({ knownBy: 'reading' });
    expect(known.value).to.equal(null);
    change({ readFrac: 0.041 });
    expect(known.value).to.include({ strengthFrac: 0.041, range: null });
  });

  it('writes nothing before somebody has said how much, and then what was seen', async () => {
    const { change, add, stores } = await open();
    await add();
    expect(sent()).to.equal(undefined);
    change({ amount: 1200, seenAs: 'mass', rest: 2, vesselId: 'jug-3' });
    await add();
    expect(sent()).to.deep.include({
      label: 'Jug 3',
      vesselId: 'jug-3',
      onHandG: 1200,
      madeAt: '2026-06-13T06:40:00.000Z',
      estimate: { parts: { concentrate: 1, fill: 2 } },
    });
    expect(stores.notice.shown?.text).to.equal('Jug 3 is on hand.');
  });

  it('says when its jug does not hold so much', async () => {
    const { change, wrong } = await open();
    change({ amount: 1800, vesselId: 'jug-3' });
    expect(wrong.value).to.match(/Jug 3 takes 1\.50.L/);
    change({ amount: 1400 });
    expect(wrong.value).to.equal('');
  });
});
