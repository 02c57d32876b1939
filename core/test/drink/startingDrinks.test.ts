import { expect } from 'chai';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { drinkRequest } from '../../src/drink/request.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { STARTING_DRINKS } from '../../src/drink/startingDrinks.ts';
import { drinkSchema } from '../../src/drink/schema.ts';
import { lidoShop } from '../../../demo/lido.ts';
import { expectNear } from '../near.ts';

const solved = (name: string) => {
  const { drink } = STARTING_DRINKS.find((one) => one.name === name)!;
  const whole = drinkSchema.parse({ ...drink, id: 'new', version: 1, name, order: 1 });
  const jug = { strengthFrac: 0.035, caffeineMgPerG: 1.6 };
  return solveRequest(drinkRequest({ drink: whole, jug, shop: lidoShop }), INGREDIENTS);
};
const codes = (name: string): string[] => solved(name).cautions.map(({ code }) => code);

describe('STARTING_DRINKS', () => {
  for (const { name } of STARTING_DRINKS)
    it(`${name} can be poured as it stands from a usual concentrate`, () => {
      expect(solved(name).solution.status).to.equal('met');
    });

  it('brings each to the strength that it tells', () => {
    for (const { name, drink } of STARTING_DRINKS)
      if ('strengthFrac' in drink.target)
        expectNear(solved(name).solution.strengthFrac, drink.target.strengthFrac, 1e-9);
  });

  it('heeds what each kind of serve asks for', () => {
    expect(codes('Over ice')).to.deep.equal([]);
    expect(codes('With milk')).to.deep.equal(['contains_allergens']);
    expect(codes('Hot')).to.include('hot_liquid_in_glass');
    expect(codes('With tonic')).to.include('contains_quinine');
    expect(codes('With a liqueur')).to.include('contains_alcohol');
    expect(codes('Nitrogen')).to.include.members(['pressurised_siphon', 'low_oxygen_storage']);
    expect(codes('From a keg')).to.include('low_oxygen_storage');
  });

  it('shaken down is coldest at once, and hot is hot', () => {
    const at0 = (name: string) => solved(name).solution.timeline()[0]!.tempC;
    expect(at0('Shaken')).to.be.closeTo(0, 0.5);
    expect(at0('Hot')).to.be.above(50);
  });
});
