import { expect } from 'chai';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { jarOf } from '../../src/brew/vessel.ts';
import { nextBatch } from '../../src/day/nextBatch.ts';
import { usualPlan } from '../usualPlan.ts';

const plan = usualPlan();
const jar = (id: string, brimMl: number, bagHoldsG: number | null = null) => ({
  ...jarOf({ id, version: 1, name: id, brimMl }),
  bagHoldsG,
});
const vessels = [jar('small', 3000), jar('large', 12_000), jar('middle', 6100)];
const next = (neededG: number, of = vessels) =>
  nextBatch({ neededG, plan, model: USUAL_MODEL, vessels: of });

describe('nextBatch', () => {
  it('takes the smallest vessel that is large enough, and what is needed', () => {
    const found = next(2000)!;
    expect(found.plan.vesselId).to.equal('middle');
    expect(found.covers).to.equal(true);
    expect(found.brewG).to.be.within(2000, 2040);
    expect(found.plan.waterG / found.plan.doseG).to.be.closeTo(5, 1e-9);
    expect(next(1200)!.plan.vesselId).to.equal('small');
  });

  // By hand: 12 L less 15 % headspace is 10,200 mL; a gram at 1:5 takes 5/0.9995 + 0.77 = 5.77 mL: 1760 g.
  it('fills the largest one where none is large enough, and says that it does not cover', () => {
    const found = next(50_000)!;
    expect(found.plan.vesselId).to.equal('large');
    expect(found.covers).to.equal(false);
    expect(found.plan.doseG).to.equal(1760);
  });

  it('puts no more into a bag than it holds', () => {
    expect(next(50_000, [jar('bagged', 12_000, 900)])!.plan.doseG).to.equal(900);
  });

  it('finds nothing where no vessel is free', () => {
    expect(next(2000, [])).to.equal(null);
  });
});
