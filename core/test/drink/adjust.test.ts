import { expect } from 'chai';
import { solveDrink } from '../../src/drink/solve.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';
import { adjustDrink, ADJUSTMENTS, type Adjustment } from '../../src/drink/adjust.ts';
import { drinkChanges } from '../../src/drink/changes.ts';
import { drinkRequest } from '../../src/drink/request.ts';
import { drinkInput } from '../../src/drink/predict.ts';
import { drinkSchema, type Drink } from '../../src/drink/schema.ts';
import { lidoDrinks, lidoPantry, lidoHouseRecipes, lidoShop } from '../../../demo/lido.ts';

const { pantry } = resolvePantry({
  own: lidoPantry,
  houseRecipes: lidoHouseRecipes.map((part) => ({ ...part, version: 1 })),
});
const tools = lidoShop.bar;
const texts = {
  mass: (massG: number) => `${massG} g`,
  volume: (ml: number) => `${ml} mL`,
  temp: (tempC: number) => `${tempC} °C`,
};
const menu = (id: string): Drink =>
  drinkSchema.parse({ ...lidoDrinks.find((drink) => drink.id === id)!, version: 1 });
const step = (drink: Drink, by: Adjustment) => adjustDrink({ drink, by, pantry, tools });
const solved = (drink: Drink) =>
  solveDrink(
    drinkInput(
      drinkRequest({ drink, jug: { strengthFrac: 0.036, caffeineMgPerG: 2 }, shop: lidoShop }),
      pantry,
    ),
  );
const milkMl = (drink: Drink, id: string): number => {
  const { diluents } = solved(drink);
  const poured = diluents.filter(({ ingredient }) => ingredient.id === id);
  const fixed = drink.additions.filter(({ ingredient }) => ingredient === id);
  return [...poured, ...fixed].reduce((sum, { volumeMl }) => sum + volumeMl, 0);
};

describe('adjustDrink', () => {
  it('stronger and weaker move the strength by 0.05 %, and undo each other', () => {
    const drink = menu('lido-black');
    const stronger = step(drink, 'stronger')!;
    expect(stronger.target).to.deep.equal({ strengthFrac: 0.015, atMinutes: 4 });
    expect(step(stronger, 'weaker')!.target).to.deep.equal(drink.target);
  });

  for (const [kind, target] of [
    ['caffeine', { caffeineMg: 120 }],
    ['by hand', { concentrateMl: 60, writtenIn: 'volume' }],
    ['by spoons', { concentrateMl: 60, writtenIn: 'spoons' }],
    ['parts', { parts: { concentrate: 1, fill: 1 } }],
  ] as const)
    it(`stronger is stronger for a target by ${kind} too`, () => {
      const drink: Drink = { ...menu('lido-black'), target };
      const [weaker, stronger] = [step(drink, 'weaker')!, step(drink, 'stronger')!];
      expect(solved(weaker).strengthFrac).to.be.below(solved(drink).strengthFrac);
      expect(solved(stronger).strengthFrac).to.be.above(solved(drink).strengthFrac);
    });

  it('sweeter and drier move the sugar by a pump and hold the coffee strength', () => {
    const drink = menu('milk-tide');
    const sweeter = step(drink, 'sweeter')!;
    expect(sweeter.additions[0]!.volumeMl).to.equal(22.5);
    expect(solved(sweeter).sugarG).to.be.above(solved(drink).sugarG + 3);
    expect(solved(sweeter).strengthFrac).to.be.closeTo(solved(drink).strengthFrac, 1e-9);
    const dry = step(step(drink, 'drier')!, 'drier')!;
    expect(dry.additions).to.deep.equal([]);
    expect(step(dry, 'drier')).to.equal(null);
  });

  it('sweeter adds a pump of syrup where there is none', () => {
    expect(step(menu('lido-black'), 'sweeter')!.additions).to.deep.equal([
      { ingredient: 'simple-syrup', volumeMl: 7.5, tempC: 20 },
    ]);
  });

  for (const [id, milk] of [
    ['lido-black', 'whole-milk'],
    ['milk-tide', 'whole-milk'],
    ['oat-breakwater', 'oat-drink'],
    ['cream-ladder', 'heavy-cream'],
  ] as const)
    it(`milkier gives ${id} more ${milk}`, () => {
      const drink = menu(id);
      const milkier = step(drink, 'milkier')!;
      expect(milkMl(milkier, milk)).to.be.above(milkMl(drink, milk) + 3);
      if ('strengthFrac' in drink.target)
        expect(solved(milkier).strengthFrac).to.be.closeTo(solved(drink).strengthFrac, 1e-9);
    });

  it('never makes a drink that the menu could not hold', () => {
    for (const { id } of lidoDrinks)
      for (const by of ADJUSTMENTS) {
        const adjusted = step(menu(id), by);
        if (adjusted) expect(drinkSchema.safeParse(adjusted).success, `${id} ${by}`).to.equal(true);
      }
  });
});

describe('drinkChanges', () => {
  const change = (after: Partial<Drink>, id = 'milk-tide') =>
    drinkChanges({ before: menu(id), after: { ...menu(id), ...after }, pantry, texts });

  it('says nothing of what is the same', () => {
    expect(change({})).to.deep.equal([]);
  });

  it('says what was and what is', () => {
    const { additions } = step(menu('milk-tide'), 'sweeter')!;
    expect(change({ target: { strengthFrac: 0.014, atMinutes: 4 }, additions })).to.deep.equal([
      'target 1.35 % at 4 min → 1.40 % at 4 min',
      'Simple syrup, 1:1 15 mL → 22.5 mL',
    ]);
  });

  it('says what came and what went', () => {
    const cream = { ingredient: 'heavy-cream', volumeMl: 20, tempC: 4 };
    expect(change({ additions: [cream], stirredDown: true })).to.deep.equal([
      'before the ice as it is → stirred down or shaken',
      'without Simple syrup, 1:1',
      'with 20 mL Heavy cream',
    ]);
  });

  it('names coffee cubes by the part that they are', () => {
    const ice = { massG: 130, tempC: -18, coffeeFrac: 0, kind: 'cubes' as const };
    expect(change({ ice }, 'cube-milk')).to.deep.equal([
      'ice 130 g, cubes, Coffee cubes, -18 °C → 130 g, cubes, water, -18 °C',
    ]);
  });
});
