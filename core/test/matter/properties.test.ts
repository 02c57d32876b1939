import { expect } from 'chai';
import fc from 'fast-check';
import {
  COMPONENT_KEYS,
  coffeeOf,
  massG,
  mix,
  NOTHING,
  scaled,
  type Composition,
} from '../../src/matter/composition.ts';
import { INGREDIENTS, INGREDIENT_IDS, ofMass } from '../../src/pantry/ingredients.ts';
import {
  densityGPerMl,
  energyKcal,
  heatCapacityJPerK,
  volumeMl,
} from '../../src/matter/properties.ts';
import { expectNear } from '../near.ts';

describe('densityGPerMl', () => {
  // NBS Circular 440 / ICUMSA, sucrose at 20 °C. The component model is ideal: within 1 %.
  const sucrose: [pct: number, expected: number][] = [
    [10, 1.0381],
    [20, 1.081],
    [30, 1.127],
    [40, 1.1764],
    [50, 1.2296],
    [60, 1.2865],
  ];
  for (const [pct, expected] of sucrose)
    it(`of ${pct} % sugar is ${expected}`, () => {
      const composition = { ...NOTHING, sugarG: pct, waterG: 100 - pct };
      expectNear(densityGPerMl({ composition, tempC: 20 }), expected, 0.01);
    });

  // Dairy tables, from memory, 20 °C, within 1 %.
  for (const [ingredient, expected] of [
    ['whole-milk', 1.03],
    ['heavy-cream', 0.994],
  ] as const)
    it(`of ${ingredient} is ${expected}`, () => {
      const composition = ofMass({ ingredient: INGREDIENTS[ingredient], massG: 100 });
      expectNear(densityGPerMl({ composition, tempC: 20 }), expected, 0.01);
    });
});

describe('energyKcal', () => {
  // Package labels per 100 g, from memory; carbohydrate and rounding leave 6 %.
  for (const [ingredient, expected] of [
    ['whole-milk', 61],
    ['heavy-cream', 343],
    ['coconut-milk', 210],
    ['oat-drink', 46],
    ['condensed-milk', 321],
    ['cocoa-powder', 359],
    ['peanut-butter', 598],
    ['orange-juice', 45],
    ['spirit-40', 231],
  ] as const)
    it(`of 100 g ${ingredient} is about ${expected}`, () => {
      expectNear(
        energyKcal(ofMass({ ingredient: INGREDIENTS[ingredient], massG: 100 })),
        expected,
        0.06,
      );
    });
});

describe('heatCapacityJPerK', () => {
  it('of water near 20 °C is 4.18 J/(g K) (CRC Handbook; Choi and Okos within 1.5 %)', () => {
    const composition = { ...NOTHING, waterG: 1 };
    expectNear(heatCapacityJPerK({ composition, tempC: 20 }), 4.18, 0.015);
  });
});

describe('the ingredient table', () => {
  for (const id of INGREDIENT_IDS)
    it(`adds ${id} up to 100 g with nothing below zero`, () => {
      const { per100G } = INGREDIENTS[id];
      expectNear(massG(per100G), 100, 1e-12);
      for (const key of COMPONENT_KEYS) expect(per100G[key]).to.be.at.least(0);
    });
});

describe('mixing', () => {
  const compositions: fc.Arbitrary<Composition> = fc
    .array(fc.double({ min: 0, max: 500, noNaN: true }), { minLength: 8, maxLength: 8 })
    .map(
      (amounts) =>
        Object.fromEntries(
          COMPONENT_KEYS.map((key, i) => [key, amounts[i]]),
        ) as unknown as Composition,
    );

  it('keeps mass, volume and energy', () => {
    fc.assert(
      fc.property(compositions, compositions, (a, b) => {
        const both = mix([a, b]);
        expect(massG(both)).to.be.closeTo(massG(a) + massG(b), 1e-9);
        expect(energyKcal(both)).to.be.closeTo(energyKcal(a) + energyKcal(b), 1e-8);
        const volume = (composition: Composition) => volumeMl({ composition, tempC: 7 });
        expect(volume(both)).to.be.closeTo(volume(a) + volume(b), 1e-9);
      }),
    );
  });

  it('leaves density alone when every mass doubles', () => {
    const composition = coffeeOf({ massG: 250, strengthFrac: 0.035 });
    const doubled = scaled({ composition, factor: 2 });
    expectNear(
      densityGPerMl({ composition: doubled, tempC: 4 }),
      densityGPerMl({ composition, tempC: 4 }),
      1e-14,
    );
  });
});
