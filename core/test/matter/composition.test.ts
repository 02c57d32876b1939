import { coffeeOf, massG, mix } from '../../src/matter/composition.ts';
import { INGREDIENTS, ofMass } from '../../src/pantry/ingredients.ts';
import { densityGPerMl } from '../../src/matter/properties.ts';
import { expectNear } from '../near.ts';

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
