import { expect } from 'chai';
import fc from 'fast-check';
import { INGREDIENTS, type Ingredient } from '../../src/pantry/ingredients.ts';
import { makeHouseRecipe, weigh } from '../../src/pantry/makeHouseRecipe.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { largestAmount, scaleHouseRecipe } from '../../src/pantry/scaleHouseRecipe.ts';
import { houseRecipeSchema, type HouseRecipe } from '../../src/pantry/houseRecipeSchema.ts';
import { startingProcess } from '../../src/pantry/startingRecipes.ts';
import { expectNear } from '../near.ts';

type Told = Omit<Partial<HouseRecipe>, 'inputs'> & {
  inputs?: [id: string, amount: { massG: number } | { volumeMl: number }][];
};

const recipe = ({ inputs = [], ...over }: Told): HouseRecipe =>
  houseRecipeSchema.parse({
    id: 'part',
    version: 1,
    name: 'A part',
    inputs: inputs.map(([ingredient, amount]) => ({ ingredient, amount })),
    process: { method: 'mix' },
    lifeDays: null,
    note: '',
    ...over,
  });
const g = (massG: number) => ({ massG });
const ml = (volumeMl: number) => ({ volumeMl });
const infuse = (over: object = {}) => ({
  method: 'infuse' as const,
  with: 'rosemary',
  leftG: null,
  loses: 'steam' as const,
  match: { ingredient: 'granulated-sugar', ratio: 1, by: 'mass' as const },
  ...over,
});

describe('syrup', () => {
  it('equal parts by mass is half sugar', () => {
    const made = makeHouseRecipe(
      recipe({
        inputs: [
          ['granulated-sugar', g(500)],
          ['water', g(500)],
        ],
      }),
      INGREDIENTS,
    );
    expectNear(made.sugarFrac, 0.4995, 1e-9);
    expectNear(made.yieldG, 1000, 1e-12);
    // NBS Circular 440: 50 % sucrose 1.2296 g/mL at 20 °C, the model within 1 %.
    expectNear(made.yieldMl, 1000 / 1.2296, 0.01);
    expect(made.ingredient.kind).to.equal('syrup');
  });

  it('equal parts by volume is not: a cup of loose sugar weighs 0.85 of a cup of water', () => {
    const made = makeHouseRecipe(
      recipe({
        inputs: [
          ['granulated-sugar', ml(500)],
          ['water', ml(500)],
        ],
      }),
      INGREDIENTS,
    );
    // By hand: 425 g of sugar and 499 g of water, 46 %.
    expectNear(made.sugarFrac, 0.46, 0.002);
  });
});

describe('infused syrup', () => {
  it('expects 85 % to be left until it is weighed (common practice)', () => {
    const made = makeHouseRecipe(
      recipe({ inputs: [['water', g(1000)]], process: infuse() }),
      INGREDIENTS,
    );
    expectNear(made.lostG, 150, 1e-12);
    expectNear(made.inputs.at(-1)!.massG, 850, 1e-12);
  });

  it('matches sugar to what is really left, not to what went in', () => {
    const made = makeHouseRecipe(
      recipe({ inputs: [['water', g(1000)]], process: infuse({ leftG: 780 }) }),
      INGREDIENTS,
    );
    expectNear(made.inputs.at(-1)!.massG, 780, 1e-12);
    expectNear(made.yieldG, 1560, 1e-12);
    expectNear(made.sugarFrac, 0.4995, 1e-9);
  });

  it('matches by volume too: as many cups of loose sugar as cups of liquid', () => {
    const match = { ingredient: 'granulated-sugar', ratio: 1, by: 'volume' as const };
    const made = makeHouseRecipe(
      recipe({ inputs: [['water', g(1000)]], process: infuse({ leftG: 800, match }) }),
      INGREDIENTS,
    );
    const liquidMl = weigh({ ingredient: INGREDIENTS.water, amount: g(800) }).volumeMl;
    expectNear(made.inputs.at(-1)!.massG, 0.85 * liquidMl, 1e-9);
  });
});

describe('what an infusion loses', () => {
  const coffeeAndWater: Told = {
    inputs: [
      ['instant-coffee', g(50)],
      ['water', g(950)],
    ],
  };
  const none = { ingredient: 'granulated-sugar', ratio: 0, by: 'mass' as const };
  const perSolids = (made: ReturnType<typeof makeHouseRecipe>): number =>
    made.ingredient.caffeineMgPerG / made.strengthFrac;

  for (const loses of ['steam', 'liquid'] as const)
    it(`caffeine goes with the solids where ${loses} is lost`, () => {
      const process = infuse({ leftG: 685, match: none, loses });
      const made = makeHouseRecipe(recipe({ ...coffeeAndWater, process }), INGREDIENTS);
      const before = makeHouseRecipe(recipe(coffeeAndWater), INGREDIENTS);
      expectNear(perSolids(made), perSolids(before), 1e-9);
    });

  it('a simmered syrup loses water and keeps its sugar; a steeped one loses syrup', () => {
    const syrup: Told = {
      inputs: [
        ['granulated-sugar', g(300)],
        ['water', g(700)],
      ],
    };
    const sugarOf = (loses: 'steam' | 'liquid') => {
      const process = infuse({ leftG: 800, match: none, loses });
      const made = makeHouseRecipe(recipe({ ...syrup, process }), INGREDIENTS);
      return made.sugarFrac * made.yieldG;
    };
    expectNear(sugarOf('steam'), 0.999 * 300, 1e-9);
    expectNear(sugarOf('liquid'), 0.8 * 0.999 * 300, 1e-9);
  });

  it('refuses more left than went in, and less than its dry matter', () => {
    const of = (leftG: number) =>
      recipe({ inputs: [['simple-syrup', g(500)]], process: infuse({ leftG }) });
    expect(() => makeHouseRecipe(of(501), INGREDIENTS)).to.throw(/leftG 501/);
    expect(() => makeHouseRecipe(of(249), INGREDIENTS)).to.throw(/leftG 249/);
    const { broken } = resolvePantry({ own: [], houseRecipes: [of(501)] });
    expect(broken['part']).to.equal(
      'More cannot be left than the 500 g that went in. Weigh it again.',
    );
  });

  it('begins without sugar to match where it is a syrup already', () => {
    const leftover = { strengthFrac: 0.03, caffeineMgPerG: 2, pricePerKg: null };
    const ratioOf = (sugarFrac?: number) => {
      const process = startingProcess('infuse', leftover, sugarFrac);
      return process.method === 'infuse' ? process.match.ratio : null;
    };
    expect([ratioOf(), ratioOf(0.1), ratioOf(0.4995)]).to.deep.equal([1, 1, 0]);
    const syrup = makeHouseRecipe(
      recipe({ inputs: [['simple-syrup', g(500)]], process: infuse() }),
      INGREDIENTS,
    );
    expectNear(syrup.inputSugarFrac, 0.5, 1e-9);
  });
});

describe('alcohol at the boil', () => {
  // USDA Table of Nutrient Retention Factors, release 6 (memory): simmered for two hours and a half,
  // 5 % of the alcohol is left; for half an hour 35 %. Half of a wine-strong mixture boiled away is
  // long past either.
  it('leaves faster than the water: reduced to half, hardly any is left', () => {
    const wineStrong: Told = {
      inputs: [
        ['spirit-40', g(300)],
        ['water', g(700)],
      ],
    };
    const made = makeHouseRecipe(
      recipe({ ...wineStrong, process: { method: 'reduce', toFrac: 0.5 } }),
      INGREDIENTS,
    );
    const before = makeHouseRecipe(recipe(wineStrong), INGREDIENTS);
    const ethanolG = ({ ingredient, yieldG }: typeof made) =>
      (ingredient.per100G.ethanolG * yieldG) / 100;
    expect(ethanolG(made) / ethanolG(before)).to.be.below(0.05);
    expectNear(made.yieldMl, before.yieldMl / 2, 1e-9);
    expectNear(made.yieldG + made.lostG, 1000, 1e-12);
  });
});

describe('foam', () => {
  const cream = recipe({
    inputs: [
      ['heavy-cream', g(200)],
      ['whole-milk', g(150)],
      ['simple-syrup', g(50)],
    ],
  });
  const whipped = { ...cream, process: { method: 'whip' as const, overrunFrac: 0.8 } };
  const [still, foam] = [
    makeHouseRecipe(cream, INGREDIENTS),
    makeHouseRecipe(whipped, INGREDIENTS),
  ];

  it('grows by its overrun and weighs the same', () => {
    expectNear(foam.yieldG, still.yieldG, 1e-12);
    expectNear(foam.yieldMl, 1.8 * still.yieldMl, 1e-12);
  });

  it('is for the same day; unwhipped the cream keeps four (common practice)', () => {
    expect([foam.lifeDays, still.lifeDays]).to.deep.equal([1, 4]);
    expect(foam.cautions.map(({ code }) => code)).to.include.members([
      'foam_same_day',
      'dairy_short_life',
      'contains_allergens',
    ]);
  });
});

describe('reduced plant milk', () => {
  const coconut = recipe({
    inputs: [['coconut-milk', g(800)]],
    process: { method: 'reduce', toFrac: 0.5 },
  });

  it('halves its volume by steam alone: the fat stays', () => {
    const made = makeHouseRecipe(coconut, INGREDIENTS);
    const start = weigh({ ingredient: INGREDIENTS['coconut-milk'], amount: g(800) });
    expectNear(made.yieldMl, start.volumeMl / 2, 1e-9);
    expectNear((made.ingredient.per100G.fatG * made.yieldG) / 100, 0.213 * 800, 1e-9);
    expectNear(made.yieldG + made.lostG, 800, 1e-12);
  });

  it('says how far it can go', () => {
    const { broken } = resolvePantry({
      own: [],
      houseRecipes: [{ ...coconut, process: { method: 'reduce', toFrac: 0.1 } }],
    });
    expect(broken['part']).to.match(/cannot be reduced that far: \d\d %/);
  });
});

describe('coffee cubes', () => {
  it('carry strength and caffeine of the leftovers, thinned by what is added', () => {
    const made = makeHouseRecipe(
      recipe({
        inputs: [['water', g(300)]],
        process: {
          method: 'freeze',
          leftoverG: 700,
          strengthFrac: 0.034,
          caffeineMgPerG: 2.1,
          pricePerKg: 7,
        },
      }),
      INGREDIENTS,
    );
    expectNear(made.strengthFrac, 0.0238, 1e-9);
    expectNear(made.ingredient.caffeineMgPerG, 1.47, 1e-9);
    expectNear(made.ingredient.pricePerKg!, 4.9, 1e-9);
    expect(made.lifeDays).to.equal(30);
  });
});

describe('any part', () => {
  it('carries allergens and price of all that goes in', () => {
    const priced = (id: keyof typeof INGREDIENTS, pricePerKg: number): Ingredient => ({
      ...INGREDIENTS[id],
      pricePerKg,
    });
    const pantry = {
      ...INGREDIENTS,
      'peanut-butter': priced('peanut-butter', 9),
      'granulated-sugar': priced('granulated-sugar', 1.2),
    };
    const made = makeHouseRecipe(
      recipe({
        inputs: [
          ['peanut-butter', g(100)],
          ['granulated-sugar', g(400)],
          ['water', g(400)],
        ],
      }),
      pantry,
    );
    expect(made.ingredient.allergens).to.deep.equal(['peanut']);
    expectNear(made.price!, 0.9 + 0.48, 1e-12);
    expectNear(made.ingredient.pricePerKg!, (1000 * 1.38) / 900, 1e-12);
  });

  it('has no price where one of its inputs has none', () => {
    expect(makeHouseRecipe(recipe({ inputs: [['honey', g(100)]] }), INGREDIENTS).price).to.equal(
      null,
    );
  });

  it('keeps as long as the shop says, with a caution where that is longer', () => {
    const made = makeHouseRecipe(
      recipe({ inputs: [['whole-milk', g(100)]], lifeDays: 9 }),
      INGREDIENTS,
    );
    expect(made.lifeDays).to.equal(9);
    expect(made.cautions.map(({ code }) => code)).to.include('kept_longer_than_usual');
  });

  it('loses nothing but steam and what stays in the sieve (property)', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('water', 'whole-milk', 'honey', 'cocoa-powder'),
            fc.double({ min: 1, max: 900, noNaN: true }),
          ),
          { minLength: 1, maxLength: 5 },
        ),
        fc.constantFrom<HouseRecipe['process']>({ method: 'mix' }, infuse(), {
          method: 'whip',
          overrunFrac: 1,
        }),
        (inputs, process) => {
          const made = makeHouseRecipe(
            recipe({ inputs: inputs.map(([id, massG]) => [id, g(massG)]), process }),
            INGREDIENTS,
          );
          const wentInG = made.inputs.reduce((sum, one) => sum + one.massG, 0);
          expectNear(made.yieldG + made.lostG, wentInG, 1e-9);
        },
      ),
    );
  });

  it('scales without changing what it is (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), (factor) => {
        const part = recipe({ inputs: [['water', g(1000)]], process: infuse({ leftG: 800 }) });
        const [one, many] = [part, scaleHouseRecipe({ recipe: part, factor })].map((p) =>
          makeHouseRecipe(p, INGREDIENTS),
        );
        expectNear(many!.yieldG, factor * one!.yieldG, 1e-9);
        expectNear(many!.sugarFrac, one!.sugarFrac, 1e-9);
      }),
    );
  });

  it('knows its largest amount, of inputs and of what is left after straining', () => {
    const of = (leftG: number | null): number =>
      largestAmount(recipe({ inputs: [['water', g(1000)]], process: infuse({ leftG }) }));
    expect(of(1200)).to.equal(1200);
    expect(of(null)).to.equal(1000);
  });
});

describe('resolvePantry', () => {
  const part = (id: string, uses: string) =>
    recipe({
      id,
      name: `Part ${id}`,
      inputs: [
        [uses, g(100)],
        ['soy-drink', g(10)],
      ],
    });

  it('lets a part go into another one, in whatever order they are listed', () => {
    const { made, broken } = resolvePantry({
      own: [],
      houseRecipes: [part('outer', 'inner'), part('inner', 'almond-drink')],
    });
    expect(broken).to.deep.equal({});
    expect(made['outer']!.ingredient.allergens).to.have.members(['nuts', 'soy']);
  });

  it('names a part that goes into itself, and one whose input is gone', () => {
    const { broken, pantry } = resolvePantry({
      own: [],
      houseRecipes: [part('a', 'b'), part('b', 'a'), part('c', 'vanished')],
    });
    expect(Object.keys(broken)).to.have.members(['a', 'b', 'c']);
    expect(broken['c']).to.contain('vanished');
    expect(pantry).not.to.have.any.keys('a', 'b', 'c');
  });

  it('lets the shop say otherwise about a built-in ingredient', () => {
    const own = { ...INGREDIENTS['oat-drink'], name: 'Our oat drink', pricePerKg: 2 };
    expect(resolvePantry({ own: [own], houseRecipes: [] }).pantry['oat-drink']).to.deep.equal(own);
  });
});
