import { expect } from 'chai';
import {
  compositionOfPackage,
  packageOfComposition,
  type PackageTable,
} from '../../src/pantry/packageTable.ts';
import { COMPONENT_KEYS, massG } from '../../src/matter/composition.ts';
import { densityGPerMl, energyKcal } from '../../src/matter/properties.ts';
import { ALLERGENS, INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';

const table = (over: Partial<PackageTable>): PackageTable => ({
  per: '100 mL',
  fatG: 0,
  carbohydrateG: 0,
  sugarG: 0,
  proteinG: 0,
  saltG: 0,
  alcoholFrac: 0,
  ...over,
});

describe('compositionOfPackage', () => {
  // Typical packages, from memory: what they print as kcal beside their table.
  const packages: [name: string, table: PackageTable, kcal: number][] = [
    [
      'whole milk',
      table({ fatG: 3.6, carbohydrateG: 4.8, sugarG: 4.8, proteinG: 3.4, saltG: 0.1 }),
      65,
    ],
    [
      'oat drink, barista',
      table({ fatG: 3, carbohydrateG: 7.1, sugarG: 3.4, proteinG: 1.1, saltG: 0.1 }),
      61,
    ],
    ['tonic water', table({ carbohydrateG: 8.9, sugarG: 8.9 }), 36],
    [
      'cream liqueur',
      table({ fatG: 13, carbohydrateG: 25, sugarG: 20, proteinG: 3, alcoholFrac: 0.17 }),
      327,
    ],
  ];
  for (const [name, told, kcal] of packages)
    it(`${name}: 100 mL give the ${kcal} kcal of its label`, () => {
      const composition = compositionOfPackage(told);
      const per100Ml = densityGPerMl({ composition, tempC: 20 });
      expectNear(massG(composition), 100, 1e-12);
      expectNear(energyKcal(composition) * per100Ml, kcal, 0.05);
      expectNear(composition.fatG * per100Ml, told.fatG, 1e-9);
    });

  it('a package that tells alcohol beside 100 g finds its mass: 40 % vol is 33.4 % (USDA, memory)', () => {
    const { ethanolG } = compositionOfPackage(table({ per: '100 g', alcoholFrac: 0.4 }));
    expectNear(ethanolG, 33.4, 0.04);
  });

  it('comes back from the table that a package of it would carry', () => {
    for (const { id, per100G } of Object.values(INGREDIENTS)) {
      if (per100G.coffeeG > 0) continue;
      const again = compositionOfPackage(packageOfComposition(per100G));
      for (const key of COMPONENT_KEYS)
        expect(again[key], `${id} ${key}`).to.be.closeTo(per100G[key], 1e-6);
    }
  });

  it('refuses more sugar than carbohydrate, and more than fits', () => {
    expect(() => compositionOfPackage(table({ sugarG: 5, carbohydrateG: 4 }))).to.throw(/sugarG/);
    expect(() => compositionOfPackage(table({ per: '100 g', fatG: 70, proteinG: 40 }))).to.throw(
      /table/,
    );
  });
});

describe('allergens of the ingredient table', () => {
  // EU Regulation 1169/2011, annex II, and the FDA's nine major food allergens (FALCPA, FASTER Act),
  // as far as they can be in a drink here; coconut beside them, which many shops declare.
  it('knows those of the published lists that a drink can hold', () => {
    expect([...ALLERGENS]).to.include.members([
      'milk',
      'soy',
      'nuts',
      'peanut',
      'gluten',
      'egg',
      'sesame',
    ]);
  });

  const published: [id: keyof typeof INGREDIENTS, allergen: string][] = [
    ['whole-milk', 'milk'],
    ['half-and-half', 'milk'],
    ['heavy-cream', 'milk'],
    ['condensed-milk', 'milk'],
    ['cream-liqueur', 'milk'],
    ['soy-drink', 'soy'],
    ['almond-drink', 'nuts'],
    ['almond-butter', 'nuts'],
    ['peanut-butter', 'peanut'],
    ['oat-drink', 'gluten'],
    ['coconut-milk', 'coconut'],
    ['coconut-drink', 'coconut'],
    ['egg-white', 'egg'],
    ['tahini', 'sesame'],
  ];
  for (const [id, allergen] of published)
    it(`declares ${allergen} in ${id}`, () => {
      expect(INGREDIENTS[id].allergens).to.include(allergen);
    });

  it('tells canned coconut milk and coconut drink apart: twenty times the fat', () => {
    const fat = (id: 'coconut-milk' | 'coconut-drink') => INGREDIENTS[id].per100G.fatG;
    expect(fat('coconut-milk') / fat('coconut-drink')).to.be.above(20);
  });
});
