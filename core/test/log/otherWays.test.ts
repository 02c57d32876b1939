import { expect } from 'chai';
import { planInput } from '../../src/batch/plan.ts';
import { brew } from '../../src/brew/brew.ts';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { otherWays } from '../../src/log/otherWays.ts';
import { usualPlan } from '../usualPlan.ts';

const waysOf = (plan = usualPlan()) => otherWays({ plan, model: USUAL_MODEL });

describe('otherWays', () => {
  // By hand, of solids that leave with the brew: a way that gives a tenth more of them saves 1 − 1/1.1.
  it('saves as much coffee as each way gives more solids of the same dose', () => {
    const plan = usualPlan();
    const solidsG = ({ waterG = plan.waterG, grind = plan.grind } = {}): number => {
      const { strengthFrac, brewG } = brew(planInput({ ...plan, waterG, grind }), USUAL_MODEL);
      return strengthFrac * brewG;
    };
    const { ways } = waysOf();
    const saved = (way: string): number => ways.find((one) => one.way === way)!.savedFrac;
    expect(saved('leaner')).to.be.closeTo(1 - solidsG() / solidsG({ waterG: 5100 }), 1e-12);
    expect(saved('finer')).to.be.closeTo(
      1 - solidsG() / solidsG({ grind: 'medium-coarse' }),
      1e-12,
    );
  });

  it('loses nothing to another way: leaner and rinsed are weaker, and both save', () => {
    const { strengthFrac, ways } = waysOf();
    for (const way of ways.filter(({ way: name }) => name === 'leaner' || name === 'rinse')) {
      expect(way.strengthFrac).to.be.below(strengthFrac);
      expect(way.savedFrac).to.be.above(0);
    }
  });

  it('offers no grind beyond the finest, and no squeezing of what is squeezed', () => {
    const plan = usualPlan({ grind: 'fine', filtration: { method: 'squeeze', rinseG: 0 } });
    expect(waysOf(plan).ways.map(({ way }) => way)).to.deep.equal(['leaner', 'rinse']);
  });
});
