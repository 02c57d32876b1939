import { expect } from 'chai';
import { EXPLAINED, explainPlan } from '../../src/batch/explain.ts';
import { markText } from '../../src/explanation.ts';
import { predictPlan } from '../../src/batch/predict.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { expectNear } from '../near.ts';
import { FRIDGE_PLAN as plan } from './plans.ts';

const result = predictPlan({
  plan,
  model,
  vessel: { brimMl: 6100, shaken: false },
  horizonHours: 30,
});
const explained = explainPlan({ plan, model, pricePerKg: 31, result });
const lastNumber = (text: string): number => Number(/= ([\d.]+)[^=]*$/.exec(text)![1]);

describe('explainPlan', () => {
  for (const key of EXPLAINED)
    it(`${key}: names every value that it uses with a source and a mark`, () => {
      const { uses, equation, method } = explained[key];
      expect(equation).to.have.length.above(2);
      expect(method).to.match(/\.$/);
      for (const { source, mark, value } of uses) {
        expect(source).to.have.length.above(4);
        expect(value).to.match(/\d/);
        expect(markText(mark)).to.have.length.above(2);
      }
    });

  it('fills in numbers that come to what the page shows', () => {
    const { outcome } = result;
    expectNear(lastNumber(explained.extraction.filledIn), 100 * outcome.extractionYieldFrac, 2e-3);
    expectNear(lastNumber(explained.strength.filledIn), 100 * outcome.strengthFrac, 2e-3);
    expectNear(lastNumber(explained.brew.filledIn), outcome.brewG, 1e-3);
    expectNear(lastNumber(explained.retained.filledIn), outcome.retainedG, 1e-3);
    expectNear(lastNumber(explained.caffeine.filledIn), outcome.caffeineMgPerG, 5e-3);
    expectNear(lastNumber(explained.cost.filledIn), (31 * 900) / outcome.brewMl, 1e-3);
    expectNear(lastNumber(explained.level.filledIn), outcome.slurryMl, 1e-3);
  });
});
