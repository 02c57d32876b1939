import { expect } from 'chai';
import { drinkCautions } from '../../src/drink/cautions.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { expectNear } from '../near.ts';
import { added, cubes, lidoDrink } from './drinks.ts';

/** Water and coffee of 4 °C, g/mL (CRC Handbook for water; solids add a little). */
const WATER = 1.0;
const COFFEE = 1.0132;

describe('a drink by hand', () => {
  const amounts = (concentrateMl: number, waterMl: number, over = {}) =>
    lidoDrink({
      diluents: [],
      additions: [added('water', waterMl)],
      target: { concentrateMl },
      ...over,
    });

  it('of these amounts tells its strength: one to one is half as strong', () => {
    const { solution, drink } = both(amounts(120, 120, { glass: glassOf(350, null) }));
    expect(solution.status).to.equal('met');
    expectNear(solution.concentrateMl, 120, 1e-9);
    // By hand: 121.6 g of 3.5 % and 120 g of water, 4.256 g of solids in 241.6 g.
    const [c, w] = [120 * COFFEE, 120 * WATER];
    expect(solution.strengthFrac).to.be.closeTo((0.035 * c) / (c + w), 2e-5);
    expect(solution.levelMl).to.be.closeTo(240, 1);
    expect(drink.additions[0]!.volumeMl).to.equal(120);
  });

  it('tells the glass that it needs where they do not fit, and keeps the amounts as they were told', () => {
    const { solution, drink } = both(amounts(120, 180, { glass: glassOf(250, null) }));
    expect(solution.status).to.equal('no_room');
    expectNear(solution.concentrateMl, 120, 1e-9);
    expect(solution.levelMl).to.be.closeTo(300, 1);
    const [caution] = drinkCautions({ input: drink, solution, servings: 1, serve: 'built' });
    expect(caution!.text).to.match(/stand (49|50) mL over the line. They need a glass of 300 mL/);
  });

  it('where coffee takes the rest, it reaches the line over the ice and what else is in it', () => {
    const syrup = [added('simple-syrup', 15, 20)];
    const drink = lidoDrink({ diluents: [], additions: syrup, target: { rest: 'concentrate' } });
    const solution = solveDrink(drink);
    expect(solution.status).to.equal('met');
    expectNear(solution.levelMl, 350, 1e-9);
    expect(solution.fillG).to.equal(0);
    // 150 g of ice take about 150 mL below the line, the syrup 15: about 185 mL are left.
    expect(solution.concentrateMl).to.be.within(180, 190);
  });

  it('two thirds of the glass are two thirds of the glass', () => {
    const drink = lidoDrink({ target: { glassFrac: 2 / 3 } }, { cupMl: 300, ice: null });
    const solution = solveDrink(drink);
    expectNear(solution.concentrateMl, 200, 1e-9);
    expect(solution.fillMl).to.be.closeTo(100, 0.5);
    const tooMuch = lidoDrink({ target: { glassFrac: 2 / 3 } }, { cupMl: 300, ice: cubes(250) });
    expect(solveDrink(tooMuch).status).to.equal('no_room');
  });

  it('to a strength without anything that takes the rest stands below the line', () => {
    const drink = lidoDrink({ diluents: [], additions: [added('whole-milk', 100)] });
    const solution = solveDrink(drink);
    expect(solution.status).to.equal('met');
    expectNear(solution.strengthFrac, 0.014, 1e-8);
    expect(solution.levelMl).to.be.below(350);
    expect(solution.fillG).to.equal(0);
  });
});

const glassOf = (cupMl: number, ice: null) => ({
  cupMl,
  ice,
  roomC: 22,
  stirredDown: false,
  chilledToC: null,
});
const both = (drink: ReturnType<typeof lidoDrink>) => ({ drink, solution: solveDrink(drink) });
