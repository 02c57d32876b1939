import { expect } from 'chai';
import { ref } from 'vue';
import { useBatchSheet } from '../../src/plan/useBatchSheet.ts';
import { usePlan } from '../../src/plan/usePlan.ts';
import { useSettings } from '../../src/shop/settings.ts';
import { installBrowser } from '../browser.ts';
import { withPlan } from './planning.ts';

describe('useBatchSheet', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = (plan = {}) =>
    withPlan({
      browser,
      plan,
      use: () => {
        const { result } = usePlan();
        const timeline = ref([{ what: 'start', when: 'Sat 07:40' }]);
        return useBatchSheet({ result, timeline });
      },
    });

  it('tells every amount in both systems, the tablet’s own first', async () => {
    const { used } = await open();
    const [coffee, water] = used.value!.amounts;
    expect(coffee!.what).to.match(/^Coffee, coarse, mill /);
    expect(coffee).to.include({ amount: '850\u202fg', also: '30.0\u202foz' });
    expect(water!.what).to.match(/^Water at 12\s°C$/);
    useSettings().units = 'us';
    expect(used.value!.amounts[0]).to.include({ amount: '30.0\u202foz', also: '850\u202fg' });
  });

  it('lists the clock, then how it is wetted and strained', async () => {
    const { used } = await open();
    expect(used.value!.steps.map(({ when }) => when)).to.deep.equal(['Sat 07:40', 'Wet', 'Strain']);
  });

  it('names the rinse where there is one, and the range of what is expected', async () => {
    const plain = await open();
    expect(plain.used.value!.amounts.map(({ what }) => what)).not.to.include('Rinse');
    const { used } = await open({ filtration: { method: 'drain', rinseG: 500 } });
    expect(used.value!.amounts.find(({ what }) => what === 'Rinse')!.amount).to.match(/^500\sg$/);
    const strength = used.value!.expected.find(({ what }) => what === 'Strength')!.amount;
    const range = used.value!.expected.at(-1)!.amount.split(' and ').map(parseFloat);
    expect(parseFloat(strength)).to.be.within(range[0]!, range[1]!);
  });
});
