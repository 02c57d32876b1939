import { expect } from 'chai';
import fc from 'fast-check';
import type { Plan } from '../../src/batch/schema.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { compareBatches, comparedPlan } from '../../src/learn/compare.ts';
import { fitLog } from '../../src/learn/fit.ts';
import { measureNext } from '../../src/learn/measureNext.ts';
import { expectNear } from '../near.ts';
import { usualPlan } from '../usualPlan.ts';

const side = (part: Partial<Plan>, more: { yieldTimes?: number; strengthFrac?: number } = {}) => ({
  ...comparedPlan(usualPlan(part), {
    ...USUAL_MODEL,
    equilibriumYieldFrac: USUAL_MODEL.equilibriumYieldFrac * (more.yieldTimes ?? 1),
  }),
  strengthFrac: more.strengthFrac ?? null,
});

describe('compareBatches', () => {
  it('finds nothing where nothing differs, and leaves what was found unexplained', () => {
    const { explained, predictedFrac, foundFrac, unexplainedFrac } = compareBatches(
      side({}, { strengthFrac: 0.035 }),
      side({}, { strengthFrac: 0.0315 }),
    );
    expect(explained).to.deep.equal([]);
    expect(predictedFrac).to.equal(0);
    expectNear(foundFrac!, Math.log(0.9), 1e-12);
    expectNear(unexplainedFrac!, Math.log(0.9), 1e-12);
  });

  it('puts a single difference down to itself alone', () => {
    const { explained, predictedFrac } = compareBatches(side({}), side({ waterG: 5100 }));
    expect(explained[0]!.what).to.equal('ratio');
    // A fuller vessel follows its place a little more slowly, and that is all besides.
    for (const { byFrac } of explained.slice(1)) expect(Math.abs(byFrac)).to.be.below(0.005);
    expect(predictedFrac).to.be.below(-0.1);
  });

  // What Shapley's value promises: it adds up, and turned around it turns its sign.
  it('adds up to what the model predicts, in whatever order, and the other way about', () => {
    fc.assert(
      fc.property(
        fc.record({
          grind: fc.constantFrom('coarse' as const, 'medium' as const, 'extra-coarse' as const),
          doseG: fc.integer({ min: 600, max: 1000 }),
          waterG: fc.integer({ min: 3500, max: 6000 }),
          hours: fc.integer({ min: 8, max: 26 }),
          tempC: fc.constantFrom(4, 22),
          yieldTimes: fc.double({ min: 0.9, max: 1.1, noNaN: true }),
        }),
        ({ hours, tempC, yieldTimes, ...part }) => {
          const other = side(
            {
              ...part,
              coffeeId: 'lot-2',
              steep: [{ place: tempC === 4 ? 'fridge' : 'counter', tempC, hours }],
            },
            { yieldTimes },
          );
          const there = compareBatches(side({}), other);
          const back = compareBatches(other, side({}));
          const sum = there.explained.reduce((all, { byFrac }) => all + byFrac, 0);
          expect(sum).to.be.closeTo(there.predictedFrac, 1e-12);
          expect(there.predictedFrac).to.be.closeTo(-back.predictedFrac, 1e-9);
          for (const { what, byFrac } of there.explained)
            expect(back.explained.find((one) => one.what === what)!.byFrac).to.be.closeTo(
              -byFrac,
              1e-9,
            );
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('measureNext', () => {
  const known = fitLog([]).learned.anyCoffee;
  const measured = measureNext({ known, plan: usualPlan({}), model: USUAL_MODEL });

  it('never widens what is known, and puts the best first', () => {
    for (const { nowFrac, thenFrac } of measured) expect(thenFrac).to.be.at.most(nowFrac);
    const left = measured.map(({ thenFrac }) => thenFrac);
    expect(left).to.deep.equal(left.toSorted((a, b) => a - b));
  });

  it('asks for the coffee itself where nothing was read of it', () => {
    expect(['mid-steep', 'after-strain']).to.include(measured[0]!.what);
  });

  it('asks for the mill or a probe once the coffee is known', () => {
    const sure = { value: 0, sigma: 0.005 };
    const later = measureNext({
      known: { yieldLog: sure, rateLog: sure, correlationFrac: 0 },
      plan: usualPlan({}),
      model: USUAL_MODEL,
    });
    expect(['mill', 'probe']).to.include(later[0]!.what);
  });
});
