import { expect } from 'chai';
import { nextTick } from 'vue';
import { useVariants } from '../../src/plan/useVariants.ts';
import { installBrowser } from '../browser.ts';
import { withPlan } from './planning.ts';

describe('useVariants', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = () => withPlan({ browser, use: useVariants });
  const row = (used: ReturnType<typeof useVariants>, label: string) =>
    used.rows.value.find((one) => one.label === label)!.cells;

  it('compares the draft with what was pinned, on the same rows', async () => {
    const { used, drafts } = await open();
    expect(used.rows.value).to.deep.equal([]);
    used.keep();
    drafts.takePlan({ ...drafts.plan, waterG: 6800 });
    expect(row(used, 'Ratio')).to.deep.equal(['1:8.0', '1:5.0']);
    const [draft, pinned] = row(used, 'Strength').map(parseFloat);
    expect(draft).to.be.below(pinned!);
    expect(used.others.value).to.have.length(1);
  });

  it('holds three at most: the oldest makes room', async () => {
    const { used, drafts } = await open();
    for (const doseG of [800, 810, 820, 830]) {
      drafts.takePlan({ ...drafts.plan, doseG });
      used.keep();
    }
    expect(used.variants.value.map(({ plan }) => plan.doseG)).to.deep.equal([810, 820, 830]);
    used.drop(0);
    expect(used.variants.value.map(({ plan }) => plan.doseG)).to.deep.equal([820, 830]);
  });

  it('takes a pinned one back as the draft, and keeps them through a reload', async () => {
    const { used, drafts } = await open();
    used.keep();
    drafts.takePlan({ ...drafts.plan, doseG: 500 });
    used.take(0);
    expect(drafts.plan.doseG).to.equal(850);
    await nextTick();
    expect(JSON.parse(browser.storage.get('ratio.variants')!).value).to.have.length(1);
  });

  it('leaves out one whose coffee is no longer on the shelf', async () => {
    const { used, drafts } = await open();
    drafts.takePlan({ ...drafts.plan, coffeeId: 'gone' });
    used.keep();
    expect(used.variants.value).to.deep.equal([]);
  });
});
