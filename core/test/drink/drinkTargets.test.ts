import { expect } from 'chai';
import fc from 'fast-check';
import { allergensOf } from '../../src/drink/cautions.ts';
import { alcoholByVolumeFrac } from '../../src/drink/alcohol.ts';
import { drinkCost } from '../../src/drink/cost.ts';
import { drinkingWindow } from '../../src/drink/drinkingWindow.ts';
import { diluentTempC } from '../../src/drink/diluentTemp.ts';
import { bulkOf, siphonPlan } from '../../src/drink/bulk.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { coffeeOf, massG, mix, NOTHING } from '../../src/matter/composition.ts';
import { INGREDIENTS, ofMass } from '../../src/pantry/ingredients.ts';
import { densityGPerMl } from '../../src/matter/properties.ts';
import { expectNear } from '../near.ts';
import { added, cubes, filled, lidoDrink } from './drinks.ts';

describe('targets of a drink', () => {
  it('by caffeine: concentrate, coffee ice and liqueur together', () => {
    const ice = { ...cubes(100), coffeeFrac: 0.02 };
    const drink = lidoDrink(
      { target: { caffeineMg: 250 }, additions: [added('coffee-liqueur', 20)] },
      { ice },
    );
    const { status, caffeineMg, concentrateG, levelMl } = solveDrink(drink);
    expect(status).to.equal('met');
    expectNear(caffeineMg, 250, 1e-9);
    expectNear(levelMl, 350, 1e-9);
    // By hand: 100 g · 2 % / 3.5 % · 2.1 mg/g = 120 mg in the ice; 20 mL of liqueur bring about 6 mg.
    expectNear(concentrateG * 2.1, 250 - 120 - 6, 0.01);
  });

  it('by hand: so much concentrate, and the filler takes the rest', () => {
    const drink = lidoDrink({ target: { concentrateMl: 90 } });
    const { status, concentrateMl, fillMl, levelMl } = solveDrink(drink);
    expect(status).to.equal('met');
    expectNear(concentrateMl, 90, 1e-12);
    expect(fillMl).to.be.above(100);
    expectNear(levelMl, 350, 1e-9);
  });

  it('by hand: more than fits is cut at the line, and said', () => {
    const drink = lidoDrink({ target: { concentrateMl: 340 } });
    const { status, concentrateMl, fillMl, levelMl } = solveDrink(drink);
    expect({ status, fillMl }).to.deep.equal({ status: 'no_room', fillMl: 0 });
    expect(concentrateMl).to.be.below(340);
    expectNear(levelMl, 350, 1e-9);
  });

  it('more caffeine than the glass can hold names the jug that would do', () => {
    const drink = lidoDrink({ target: { caffeineMg: 600 } });
    const weak = solveDrink(drink);
    expect(weak.status).to.equal('too_weak');
    const strengthFrac = weak.needsStrengthFrac!;
    const caffeineMgPerG = (2.1 * strengthFrac) / 0.035;
    const concentrate = { strengthFrac, tempC: 4, caffeineMgPerG };
    expectNear(solveDrink({ ...drink, concentrate }).caffeineMg, 600, 1e-9);
  });

  it('several diluents share the rest in their proportion by volume', () => {
    const drink = lidoDrink({ diluents: [filled('oat-drink', 4, 2), filled('water', 4, 1)] });
    const { diluents, fillMl, fillG, strengthFrac } = solveDrink(drink);
    expectNear(diluents[0]!.volumeMl, (2 / 3) * fillMl, 1e-12);
    expectNear(diluents[1]!.volumeMl, fillMl / 3, 1e-12);
    expectNear(diluents[0]!.massG + diluents[1]!.massG, fillG, 1e-12);
    expectNear(strengthFrac, 0.014, 1e-9);
  });

  it('foam stands on top: it feeds, and neither thins nor fills the drink', () => {
    const foam = { ...INGREDIENTS['heavy-cream'], overrunFrac: 0.8 };
    const plain = solveDrink(lidoDrink());
    const topped = solveDrink(
      lidoDrink({ additions: [{ ingredient: foam, volumeMl: 45, tempC: 4 }] }),
    );
    expectNear(topped.concentrateG, plain.concentrateG, 1e-12);
    // 45 mL of foam are 25 mL of cream, about 24.9 g.
    expectNear(massG(topped.topping), 24.9, 0.01);
    expectNear(topped.energyKcal - plain.energyKcal, (24.9 * 343) / 100, 0.06);
  });

  it('chilled before the ice melts less of it and needs less concentrate', () => {
    const warm = lidoDrink({ diluents: [filled('water', 18)] });
    const chilled = { ...warm, glass: { ...warm.glass, chilledToC: 1 } };
    const [a, b] = [solveDrink(warm), solveDrink(chilled)];
    expect(b.timeline[4]!.meltedG).to.be.below(a.timeline[4]!.meltedG);
    expect(b.concentrateG).to.be.below(a.concentrateG);
  });

  it('pours more concentrate for any higher target, of each kind (property)', () => {
    const target = (kind: number, x: number) =>
      [
        { strengthFrac: 0.004 + 0.018 * x, atMinutes: 4 },
        { caffeineMg: 20 + 180 * x },
        { concentrateMl: 10 + 150 * x },
        { parts: { concentrate: 0.2 + 3 * x, fill: 1 } },
      ][kind]!;
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        fc.double({ min: 0.001, max: 0.05, noNaN: true }),
        (kind, x, more) => {
          const at = (y: number) => solveDrink(lidoDrink({ target: target(kind, y) }));
          expect(at(x + more).concentrateG).to.be.above(at(x).concentrateG);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('scales with the glass: twice of everything is twice of each part, at the same strength as poured', () => {
    const at0 = { strengthFrac: 0.015, atMinutes: 0 };
    const one = solveDrink(lidoDrink({ target: at0, additions: [added('honey', 8)] }));
    const two = solveDrink(
      lidoDrink({ target: at0, additions: [added('honey', 16)] }, { cupMl: 700, ice: cubes(300) }),
    );
    expectNear(two.concentrateG, 2 * one.concentrateG, 1e-9);
    expectNear(two.fillG, 2 * one.fillG, 1e-9);
    expectNear(two.sugarG, 2 * one.sugarG, 1e-9);
  });
});

describe('a hot drink', () => {
  const hot = (fillC: number) =>
    lidoDrink(
      { diluents: [filled('water', fillC)], target: { parts: { concentrate: 1, fill: 1 } } },
      { ice: null, cupMl: 300 },
    );

  it('one to one of 4 °C concentrate and 92 °C water comes to 47.6 °C', () => {
    // By hand: a mL of concentrate is 1.0126 g · 4.038 J/(g K) = 4.09 J/K, of water at 92 °C
    // 0.9640 g · 4.167 = 4.02 J/K; (4.09 · 4 + 4.02 · 92)/(4.09 + 4.02) = 47.6 °C.
    expect(solveDrink(hot(92)).mixed.tempC).to.be.closeTo(47.6, 0.1);
  });

  it('says how hot the water must be for a cup of 45 °C, and it is so', () => {
    const tempC = diluentTempC({ drink: hot(92), cupC: 45 })!;
    expect(solveDrink(hot(tempC)).mixed.tempC).to.be.closeTo(45, 1e-3);
  });

  it('says that boiling water does not bring one to one to 62 °C', () => {
    expect(diluentTempC({ drink: hot(92), cupC: 62 })).to.equal(null);
  });
});

describe('alcohol in the cup', () => {
  // OIML alcoholometric tables, 20 °C (memory): percent by volume, by mass, and density. Ethanol and
  // water shrink when they mix, which additive volumes leave out: the tolerance is that shrinking.
  const table: [volPct: number, massPct: number, gPerMl: number, within: number][] = [
    [10, 8.01, 0.9848, 0.01],
    [20, 16.21, 0.9736, 0.02],
    [40, 33.3, 0.948, 0.035],
  ];
  for (const [volPct, massPct, gPerMl, within] of table)
    it(`${volPct} % vol is ${massPct} % by mass and ${gPerMl} g/mL, within ${(100 * within).toFixed(1)} %`, () => {
      const composition = { ...NOTHING, ethanolG: massPct, waterG: 100 - massPct };
      expectNear(densityGPerMl({ composition, tempC: 20 }), gPerMl, within);
      const glass = lidoDrink({}, { ice: null }).glass;
      const frac = alcoholByVolumeFrac({ glass, mixed: { composition, tempC: 20 }, minutes: 0 });
      expectNear(frac, volPct / 100, within);
    });

  it('40 mL of a 40 % spirit in a 200 mL drink without ice is 8 % vol', () => {
    const drink = lidoDrink({ additions: [added('spirit-40', 40, 20)] }, { ice: null, cupMl: 200 });
    expectNear(solveDrink(drink).alcoholFrac, 0.08, 0.035);
  });

  it('falls while the ice melts', () => {
    const drink = lidoDrink({ additions: [added('spirit-40', 40, 20)] });
    const late = { ...drink, target: { strengthFrac: 0.012, atMinutes: 20 } };
    const early = { ...drink, target: { strengthFrac: 0.012, atMinutes: 0 } };
    expect(solveDrink(late).alcoholFrac).to.be.below(solveDrink(early).alcoholFrac);
  });
});

describe('drinkingWindow', () => {
  const falling = [0, 10, 20, 30].map((minutes) => ({
    minutes,
    strengthFrac: 0.016 - 0.0001 * minutes,
  }));

  it('runs from where the strength comes within 8 % to where it leaves it again', () => {
    const window = drinkingWindow({ timeline: falling, strengthFrac: 0.0142, atMinutes: 18 })!;
    expectNear(window.fromMinutes, (0.016 - 0.0142 * 1.08) / 0.0001, 1e-9);
    expectNear(window.toMinutes, (0.016 - 0.0142 * 0.92) / 0.0001, 1e-9);
  });

  it('is none where the drink is off at its minute', () => {
    expect(drinkingWindow({ timeline: falling, strengthFrac: 0.0142, atMinutes: 2 })).to.equal(
      null,
    );
  });

  it('lasts longer over coffee ice than over water ice', () => {
    const ends = [0, 0.014].map((coffeeFrac) => {
      const drink = lidoDrink({}, { ice: { ...cubes(150), coffeeFrac } });
      const { timeline } = solveDrink(drink);
      return drinkingWindow({ timeline, strengthFrac: 0.014, atMinutes: 4 })!.toMinutes;
    });
    expect(ends[1]).to.be.above(ends[0]!);
  });
});

describe('in bulk', () => {
  it('makes a keg in the proportion of one glass, and as many glasses as it holds', () => {
    const drink = lidoDrink({ additions: [added('simple-syrup', 15)] });
    const solution = solveDrink(drink);
    const bulk = bulkOf({ drink, solution, volumeMl: 9500 })!;
    const perGlass = solution.concentrateMl + 15 + solution.fillMl;
    expectNear(bulk.perGlassMl, perGlass, 1e-12);
    expect(bulk.glasses).to.equal(Math.floor(9500 / perGlass));
    expectNear(
      bulk.ingredients.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
      9500,
      1e-12,
    );
    expectNear(bulk.concentrateG / 9500, solution.concentrateG / perGlass, 1e-12);
  });

  it('keeps no longer than its milk', () => {
    const drink = lidoDrink({ diluents: [filled('whole-milk')] });
    const bulk = bulkOf({ drink, solution: solveDrink(drink), volumeMl: 2000 })!;
    expect(bulk.keepDays).to.equal(4);
  });

  it('fills a litre siphon with 0.8 L: three glasses of 250 mL, one charger each (common practice)', () => {
    const plan = siphonPlan({
      siphonMl: 1000,
      chargesPerFill: 1,
      chargePrice: 0.75,
      perGlassMl: 250,
      count: 10,
    });
    expect(plan).to.deep.equal({
      fillMl: 800,
      glassesPerFill: 3,
      fills: 4,
      charges: 4,
      price: 3,
    });
  });
});

describe('drinkCost', () => {
  it('adds up the parts, water for nothing, and names what has no price', () => {
    const milk = { ...INGREDIENTS['whole-milk'], pricePerKg: 1.2 };
    const drink = lidoDrink({
      diluents: [{ ingredient: milk, tempC: 4, proportion: 1 }],
      additions: [added('simple-syrup', 15), added('water', 20)],
    });
    const solution = solveDrink(drink);
    const { price, unknown } = drinkCost({ drink, solution, concentratePricePerKg: 8 });
    expectNear(price, (solution.concentrateG * 8 + solution.fillG * 1.2) / 1000, 1e-9);
    expect(unknown).to.deep.equal(['Simple syrup, 1:1']);
  });

  it('counts coffee cubes as the concentrate that is in them', () => {
    const ice = { ...cubes(100), coffeeFrac: 0.035 };
    const drink = lidoDrink({ target: { concentrateMl: 0 } }, { ice });
    const { price } = drinkCost({
      drink,
      solution: solveDrink(drink),
      concentratePricePerKg: 8,
    });
    expectNear(price, 0.8, 1e-9);
  });
});

describe('coffee cubes made by the house', () => {
  const part = {
    ...INGREDIENTS['instant-coffee'],
    id: 'cubes',
    name: 'Coffee cubes',
    caffeineMgPerG: 1.5,
    pricePerKg: 4,
    allergens: ['milk'] as const,
  };
  const ice = { ...cubes(100), coffeeFrac: 0.024, recipe: part };
  const drink = lidoDrink({ target: { concentrateMl: 0 } }, { ice });
  const solution = solveDrink(drink);

  it('bring their own caffeine, cost and allergens', () => {
    expectNear(solution.caffeineMg, 150, 1e-9);
    expectNear(drinkCost({ drink, solution, concentratePricePerKg: 8 }).price, 0.4, 1e-9);
    expect(allergensOf(drink)).to.deep.equal(['milk']);
  });

  it('over milk without any concentrate the drink grows stronger by the minute', () => {
    const { timeline } = solution;
    for (let i = 1; i <= 30; i++)
      expect(timeline[i]!.strengthFrac).to.be.above(timeline[i - 1]!.strengthFrac);
  });
});

describe('mixtures against dairy tables (memory)', () => {
  it('equal masses of 36 % cream and whole milk are 19.7 % fat, like light cream, near 1.012 g/mL', () => {
    const half = mix([
      ofMass({ ingredient: INGREDIENTS['heavy-cream'], massG: 50 }),
      ofMass({ ingredient: INGREDIENTS['whole-milk'], massG: 50 }),
    ]);
    expectNear(half.fatG, 19.7, 0.005);
    expectNear(densityGPerMl({ composition: half, tempC: 20 }), 1.012, 0.01);
  });

  it('coffee and milk add their solids: 100 g of 3 % and 100 g of milk are 1.5 %', () => {
    const coffee = coffeeOf({ massG: 100, strengthFrac: 0.03 });
    const latte = mix([coffee, ofMass({ ingredient: INGREDIENTS['whole-milk'], massG: 100 })]);
    expectNear(latte.coffeeG / massG(latte), 0.015, 1e-12);
  });
});
