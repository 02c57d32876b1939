import { expect } from 'chai';
import { ref } from 'vue';
import { usePlanVessels } from '../../../src/pages/plan/usePlanVessels.ts';
import { useStores } from '../../../src/stores/useStores.ts';
import { lidoShop } from '../../../../demo/lido.ts';
import { installBrowser } from '../../browser.ts';
import { batchOf } from '../../documents.ts';
import { withApp } from '../../withApp.ts';

const MORNING = Date.parse('2026-06-13T06:40:00Z');

describe('usePlanVessels', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = async (fridgeL: number | null = null) => {
    const page = await withApp({
      browser,
      path: '/plan',
      answers: ({ path }) => {
        if (path === '/api/batches') return { status: 200, body: [batchOf()] };
        const now = { now: new Date(MORNING).toISOString(), clockFrozen: true };
        return path === '/api/shop'
          ? { status: 200, body: { ...lidoShop, version: 1, ...now, fridgeL } }
          : null;
      },
      use: () => ({ ...usePlanVessels(ref(MORNING)), stores: useStores() }),
    });
    await page.stores.batches.load();
    page.stores.drafts.restart();
    return page;
  };

  it('begins a plan in the smallest vessel that is free and holds it', async () => {
    const { stores, wrong, others } = await open();
    expect(stores.drafts.plan.vesselId).to.equal('other-tall-jar');
    expect([wrong.value, others.value]).to.deep.equal(['', []]);
  });

  it('says until when one is in use, and which others are free and large enough', async () => {
    const { stores, wrong, others, options } = await open();
    stores.drafts.change({ vesselId: 'tall-jar' });
    expect(wrong.value).to.contain('Holds Lot 14 until Sat 08:10');
    expect(others.value.map(({ id }) => id)).to.deep.equal([
      'other-tall-jar',
      'bag-bucket',
      'any-vessel',
    ]);
    const reasons = new Map(options.value.map(({ value, reason }) => [value, reason]));
    expect(reasons.get('tall-jar')).to.equal('in use until Sat 08:10');
    expect(reasons.get('small-jar')).to.contain('too small');
    expect([...reasons.keys()]).not.to.include('jug-1');
  });

  it('says when the fridge is full, where somebody told what it takes', async () => {
    expect((await open()).fridge.value).to.equal('');
    expect((await open(20)).fridge.value).to.equal('');
    // 6.1 L steep in it already, and this one takes 6.1 L more.
    expect((await open(10)).fridge.value).to.contain('takes 10 L, and with this one 12.2 L');
  });
});
