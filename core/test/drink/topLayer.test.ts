import { expect } from 'chai';
import { buildOrder, topLayer } from '../../src/drink/build.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { added, filled, lidoDrink } from './drinks.ts';

const topOf = (drink: ReturnType<typeof lidoDrink>) => {
  const { iceG, concentrateMl, diluents } = solveDrink(drink);
  const steps = buildOrder({ iceG, concentrateMl, diluents, additions: drink.additions });
  return topLayer({ steps, concentrateFrac: drink.concentrate.strengthFrac });
};

describe('topLayer', () => {
  it('is the concentrate over tonic, which goes in first', () => {
    expect(topOf(lidoDrink({ diluents: [filled('tonic-water')] }))).to.deep.equal({
      name: 'concentrate',
      strengthFrac: 0.035,
    });
  });

  it('is milk over coffee, without coffee in it, and never the foam', () => {
    const milk = lidoDrink({ diluents: [filled('whole-milk')] });
    expect(topOf(milk)).to.deep.equal({ name: 'whole milk', strengthFrac: 0 });
    expect(topOf({ ...milk, additions: [added('simple-syrup', 10)] })?.name).to.equal('whole milk');
  });

  it('is none in a glass of ice alone', () => {
    expect(topLayer({ steps: [{ kind: 'ice', massG: 100 }], concentrateFrac: 0.035 })).to.equal(
      null,
    );
  });
});
