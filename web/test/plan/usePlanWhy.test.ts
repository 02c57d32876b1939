import type { MonteCarloResult } from '@ratio/core/brew';
import { expect } from 'chai';
import { shallowRef } from 'vue';
import { usePlan } from '../../src/plan/usePlan.ts';
import { usePlanWhy } from '../../src/plan/usePlanWhy.ts';
import { installBrowser } from '../browser.ts';
import { until } from '../threads.ts';
import { withPlan } from './planning.ts';

const range = (low: number, high: number) => ({
  low,
  high,
  contributions: [
    { input: 'equilibriumYieldFrac', shareFrac: 0.6 },
    { input: 'retained', shareFrac: 0.01 },
  ],
});

describe('usePlanWhy', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const sampled = {
    draws: 5000,
    strengthFrac: range(0.029, 0.036),
    extractionYieldFrac: range(0.16, 0.2),
    brewMl: range(2480.4, 2710.6),
  } as unknown as MonteCarloResult;
  const open = async (drawn: MonteCarloResult | null = sampled) =>
    (
      await withPlan({
        browser,
        use: () => usePlanWhy({ result: usePlan().result, sampled: shallowRef(drawn) }),
      })
    ).used;

  it('says nothing until somebody asks', async () => {
    const why = await open();
    expect(why.explained.value).to.equal(null);
    expect(why.rangeText.value).to.equal('');
    expect(why.narrowedBy.value).to.deep.equal([]);
  });

  it('explains each number with its equation and this batch’s numbers', async () => {
    const why = await open();
    for (const number of [
      'extraction',
      'strength',
      'brew',
      'retained',
      'caffeine',
      'cost',
    ] as const) {
      why.asked.value = number;
      await until(() => why.explained.value !== null);
      expect(why.explained.value![number].equation, number).not.to.equal('');
      expect(why.explained.value![number].filledIn, number).to.match(/\d/);
    }
  });

  it('writes each range in its own unit, and what would narrow it', async () => {
    const why = await open();
    why.asked.value = 'strength';
    expect(why.rangeText.value).to.equal(
      '2.90\u202f% to 3.60\u202f%, 5th to 95th percentile of 5000 draws',
    );
    why.asked.value = 'extraction';
    expect(why.rangeText.value).to.match(/^16\.00\u202f% to 20\.00\u202f%, /);
    why.asked.value = 'brew';
    expect(why.rangeText.value).to.match(/^2\.48\u202fL to 2\.71\u202fL, /);
    expect(why.narrowedBy.value).to.have.length(1);
    expect(why.narrowedBy.value[0]).to.match(/^60 % of its variance would go: /);
  });

  it('has no range of what is not drawn, or before anything is', async () => {
    const why = await open();
    why.asked.value = 'cost';
    expect(why.rangeText.value).to.equal('');
    const early = await open(null);
    early.asked.value = 'strength';
    await until(() => early.explained.value !== null);
    expect(early.rangeText.value).to.equal('');
    expect(early.explained.value).not.to.equal(null);
  });
});
