import { expect } from 'chai';
import { strengthByDay } from '../../src/batch/strengthByDay.ts';
import { predictPlan } from '../../src/batch/predict.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import type { Plan } from '../../src/batch/schema.ts';
import { expectNear } from '../near.ts';
import { FRIDGE_PLAN } from './plans.ts';

const plan: Plan = { ...FRIDGE_PLAN, filtration: { method: 'on-grounds', rinseG: 0 } };

describe('strengthByDay', () => {
  const course = strengthByDay({ plan, model, fridgeC: 4 });

  it('begins with the strength that the plan gives, and lasts seven days counting the first', () => {
    const { outcome } = predictPlan({
      plan,
      model,
      vessel: { brimMl: 6100, shaken: false },
      horizonHours: 30,
    });
    expectNear(course[0]!.strengthFrac, outcome.strengthFrac, 1e-12);
    expect(course.map(({ days }) => days)).to.deep.equal([0, 1, 2, 3, 4, 5, 6]);
  });

  it('grows stronger every day, by less each day, and never past what the coffee gives', () => {
    const most = (0.215 * 5) / 5.5 / (5 + (0.215 * 5) / 5.5);
    let gained = Infinity;
    for (let i = 1; i < course.length; i++) {
      const gain = course[i]!.strengthFrac - course[i - 1]!.strengthFrac;
      expect(gain).to.be.within(0, gained);
      gained = gain;
    }
    expect(course.at(-1)!.strengthFrac).to.be.below(most);
  });
});
