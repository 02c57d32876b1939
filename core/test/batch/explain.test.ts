import { expect } from 'chai';
import fc from 'fast-check';
import { EXPLAINED, explainPlan } from '../../src/batch/explain.ts';
import { markText } from '../../src/explanation.ts';
import { predictPlan } from '../../src/batch/predict.ts';
import { USUAL_MODEL as model } from '../../src/brew/model.ts';
import { FILTRATION_METHODS } from '../../src/brew/filtration.ts';
import { GRIND_NAMES } from '../../src/coffee/grinds.ts';
import type { Plan } from '../../src/batch/schema.ts';
import { checkEquations } from '../equations.ts';
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
      for (const { source, mark, value, why } of uses) {
        expect(source).to.have.length.above(4);
        if (why !== undefined) expect(EXPLAINED).to.include(why);
        expect(value).to.match(/\d/);
        expect(markText(mark)).to.have.length.above(2);
      }
    });

  it('leads from cost to brew, from there to extraction, and ends in what was typed', () => {
    const walked = (key: (typeof EXPLAINED)[number]) =>
      explained[key].uses.flatMap(({ why }) => why ?? []);
    expect(walked('cost')).to.deep.equal(['brew']);
    expect(walked('brew')).to.deep.equal(['extraction']);
    expect(walked('strength')).to.deep.equal(['extraction']);
    expect(walked('caffeine')).to.deep.equal(['extraction']);
    // The ratio, the coffee and the water are of a hand.
    expect(walked('extraction')).to.deep.equal([]);
  });

  it('fills in equations that hold and end in what the page shows, whatever the batch (property)', () => {
    const plans = fc.record({
      doseG: fc.oneof(
        fc.double({ min: 5, max: 120, noNaN: true }),
        fc.double({ min: 120, max: 20_000, noNaN: true }),
      ),
      ratio: fc.double({ min: 1, max: 20, noNaN: true }),
      rinse: fc.constantFrom(0, 0.7, 3),
      hours: fc.constantFrom(0.5, 8, 18),
      method: fc.constantFrom(...FILTRATION_METHODS),
      grind: fc.constantFrom(...GRIND_NAMES),
      lossFrac: fc.constantFrom(0, 0.012, -0.02),
    });
    fc.assert(
      fc.property(plans, ({ doseG, ratio, rinse, hours, method, grind, lossFrac }) => {
        const lossy = { ...model, lossFrac };
        const own: Plan = {
          ...plan,
          doseG,
          waterG: doseG * ratio,
          grind,
          steep: [{ place: 'fridge', tempC: 4, hours }],
          filtration: { method, rinseG: rinse * doseG },
        };
        const of = predictPlan({
          plan: own,
          model: lossy,
          vessel: { brimMl: 6100, shaken: false },
          horizonHours: 30,
        });
        const all = explainPlan({ plan: own, model: lossy, pricePerKg: 31, result: of });
        for (const key of EXPLAINED) {
          const { filledIn } = all[key];
          if (key === 'cost' && of.outcome.brewMl === 0) continue;
          expect(checkEquations(filledIn, key), filledIn).to.be.above(0);
        }
        const { outcome } = of;
        const ends: [text: string, shown: number][] = [
          [all.extraction.filledIn, 100 * outcome.extractionYieldFrac],
          [all.strength.filledIn, 100 * outcome.strengthFrac],
          [all.brew.filledIn, outcome.brewG],
          [all.retained.filledIn, outcome.retainedG],
          [all.caffeine.filledIn, outcome.caffeineMgPerG],
          [all.level.filledIn, outcome.slurryMl],
        ];
        for (const [text, shown] of ends)
          expect(lastNumber(text), text).to.be.closeTo(shown, Math.max(0.011, 1e-3 * shown));
      }),
      { numRuns: 150 },
    );
  });
});
