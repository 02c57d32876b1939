import { useEventState } from '../../src/events/eventState.ts';
import { expect } from 'chai';
import { ref } from 'vue';
import { usePlanVessels } from '../../src/plan/usePlanVessels.ts';
import { useBatches } from '../../src/events/batches.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { LATELY_PATH } from '../../src/events/batches.ts';
import { lidoShop } from '../../../demo/lido.ts';
import { installBrowser } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

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
        if (path === LATELY_PATH) return { status: 200, body: [batchOf()] };
        const now = { now: new Date(MORNING).toISOString(), clockFrozen: true };
        return path === '/api/shop'
          ? { status: 200, body: { ...lidoShop, version: 1, ...now, fridgeL } }
          : null;
      },
      use: () => ({
        ...usePlanVessels(ref(MORNING)),
        stores: { batches: useBatches(), drafts: useDraft() },
      }),
    });
    await page.stores.batches.load();
    page.stores.drafts.restart();
    return page;
  };

  it('begins a plan in the smallest vessel that is free and holds it', async () => {
    const { stores, choice } = await open();
    expect(stores.drafts.plan.vesselId).to.equal('other-tall-jar');
    expect([choice.value.wrong, choice.value.others]).to.deep.equal(['', []]);
  });

  it('says until when one is in use, and which others are free and large enough', async () => {
    const { stores, choice } = await open();
    stores.drafts.change({ vesselId: 'tall-jar' });
    expect(choice.value.wrong).to.contain('Holds Lot 14 until Sat 08:10');
    expect(choice.value.others.map(({ id }) => id)).to.deep.equal([
      'other-tall-jar',
      'bag-bucket',
      'any-vessel',
    ]);
    const reasons = new Map(choice.value.vessels.map(({ value, reason }) => [value, reason]));
    expect(reasons.get('tall-jar')).to.equal('in use until Sat 08:10');
    expect(reasons.get('small-jar')).to.contain('too small');
    expect([...reasons.keys()]).not.to.include('jug-1');
  });

  it('says when the fridge is full, where somebody told what it takes', async () => {
    expect((await open()).choice.value.fridge).to.equal('');
    expect((await open(20)).choice.value.fridge).to.equal('');
    // 6.1 L steep in it already, and this one takes 6.1 L more.
    expect((await open(10)).choice.value.fridge).to.contain('takes 10 L, and with this one 12.2 L');
  });

  it('says that no clean bag is left, after which batch, and that they are washed by one tap', async () => {
    const { stores, choice, washed } = await open();
    stores.drafts.takePlan({ ...stores.drafts.plan, bed: 'held', doseG: 850, waterG: 4250 });
    // Three bags of 500 g, and none of them is in use: 850 g take two.
    expect(choice.value.filter).to.equal('');
    const held = { ...batchOf().plan, bed: 'held' as const, doseG: 850 };
    const before = batchOf({
      id: 'before',
      coffeeName: 'Lot 9',
      plan: held,
      status: 'strained',
      needsCleaning: true,
    });
    useEventState().$patch({ batches: [before] });
    expect(choice.value.filter).to.equal(
      'It takes 2 bags, and 1 of 3 is free: not washed since Lot 9.',
    );
    expect(choice.value.filterUnwashed).to.equal(true);
    browser.answer(() => ({ status: 0, body: null }));
    await washed();
    expect(browser.asked.find(({ method }) => method === 'POST')).to.deep.include({
      path: '/api/batches/before/actuals',
    });
    useEventState().$patch({ batches: [batchOf({ plan: held })] });
    expect(choice.value.filter).to.equal('It takes 2 bags, and 1 of 3 is free: the others steep.');
    expect(choice.value.filterUnwashed).to.equal(false);
    stores.drafts.takePlan({ ...stores.drafts.plan, doseG: 2000, waterG: 9000 });
    expect(choice.value.filter).to.contain('It takes 4 bags, and the shelf has 3.');
  });
});
