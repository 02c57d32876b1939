import { expect } from 'chai';
import { solveRequest } from '../../src/drink/predict.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';
import { massG } from '../../src/matter/composition.ts';
import { COMPONENTS } from '../../src/matter/components.ts';
import { volumeMl } from '../../src/matter/properties.ts';
import { INGREDIENT_IDS, ingredientKcal, INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';

describe('labels of the ingredient table', () => {
  const labelled = INGREDIENT_IDS.map((id) => INGREDIENTS[id]).flatMap((ingredient) => {
    const [, percent] = /(\d+)\s% vol/.exec(ingredient.name) ?? [];
    return percent === undefined ? [] : [{ ingredient, labelFrac: Number(percent) / 100 }];
  });

  it('names a strength for everything that holds alcohol', () => {
    const withAlcohol = Object.values(INGREDIENTS).filter(({ per100G }) => per100G.ethanolG > 0);
    expect(labelled.map(({ ingredient }) => ingredient.id)).to.deep.equal(
      withAlcohol.map(({ id }) => id),
    );
  });

  for (const { ingredient, labelFrac } of labelled) {
    it(`${ingredient.name} gives its label's strength back`, () => {
      const { per100G } = ingredient;
      const ethanolMl = per100G.ethanolG / COMPONENTS.ethanolG.densityGPerMl();
      expectNear(ethanolMl / volumeMl({ composition: per100G, tempC: 20 }), labelFrac, 1e-3);
    });

    it(`40 mL of ${ingredient.name} make a 200 mL drink by what the label says`, () => {
      const { solution } = solveRequest(
        predictDrinkRequest.parse({
          cupMl: 200,
          concentrate: { strengthFrac: 0.03, tempC: 20 },
          ice: null,
          additions: [{ ingredient: ingredient.id, volumeMl: 40, tempC: 20 }],
          fillWith: { ingredient: 'water', tempC: 20 },
          target: { strengthFrac: 0.01, atMinutes: 0 },
        }),
        INGREDIENTS,
      );
      expectNear(solution.alcoholFrac, (40 * labelFrac) / 200, 1e-3);
    });
  }

  // Energy of 100 g as tables and packages print it, kcal, from memory (USDA legacy tables, typical
  // packages). Labels round and count fibre apart, which leaves 8 %, or 3 kcal of a thin drink. The
  // coffee liqueur is not among them: its printed 336 kcal goes with 21.7 g of ethanol, which is
  // 31 % by volume and not its label's 26; nor is vanilla extract, whose 288 kcal go with 34 g of it.
  const energies: Partial<Record<keyof typeof INGREDIENTS, number>> = {
    water: 0,
    'whole-milk': 61,
    'low-fat-milk': 42,
    'skim-milk': 34,
    'half-and-half': 131,
    'light-cream': 195,
    'heavy-cream': 340,
    'oat-drink': 45,
    'soy-drink': 33,
    'almond-drink': 15,
    'coconut-milk': 197,
    'coconut-drink': 20,
    'simple-syrup': 200,
    'rich-syrup': 267,
    'tonic-water': 34,
    'granulated-sugar': 387,
    honey: 328,
    'maple-syrup': 260,
    'vanilla-syrup': 256,
    'caramel-syrup': 256,
    'hazelnut-syrup': 256,
    'brown-sugar': 380,
    'brown-sugar-syrup': 190,
    'agave-syrup': 310,
    'date-syrup': 290,
    'banana-puree': 89,
    'berry-puree': 42,
    'barista-oat-drink': 59,
    'barista-soy-drink': 44,
    'barista-almond-drink': 37,
    'plant-cream': 163,
    'sparkling-water': 0,
    'ground-cinnamon': 247,
    'ground-cardamom': 311,
    flavour: 0,
    'condensed-milk': 321,
    'instant-coffee': 353,
    'orange-juice': 45,
    'spirit-40': 231,
    'cream-liqueur': 327,
    'peanut-butter': 598,
    'almond-butter': 614,
    tahini: 595,
    'egg-white': 52,
    salt: 0,
  };
  for (const [id, kcal] of Object.entries(energies))
    it(`${id} gives about the ${kcal} kcal that are printed for 100 g`, () => {
      const ingredient = INGREDIENTS[id as keyof typeof INGREDIENTS];
      const tolerance = Math.max(3, 0.08 * kcal);
      expect(ingredientKcal({ ingredient, massG: 100 })).to.be.closeTo(kcal, tolerance);
    });

  it('holds no more than 100 g in 100 g, nothing below zero, and no more than all sugar as sugar', () => {
    for (const { id, per100G } of Object.values(INGREDIENTS)) {
      expect(massG(per100G), id).to.be.closeTo(100, 1e-9);
      for (const part of Object.values(per100G)) expect(part, id).to.be.at.least(0);
    }
  });

  it('instant coffee in a drink brings its energy along: 2 g are about 7 kcal', () => {
    const of = (additions: object[]) =>
      solveRequest(
        predictDrinkRequest.parse({
          cupMl: 200,
          concentrate: { strengthFrac: 0.03, tempC: 4 },
          ice: null,
          additions,
          fillWith: { ingredient: 'water', tempC: 4 },
          target: { concentrateMl: 50 },
        }),
        INGREDIENTS,
      ).solution.energyKcal;
    const with2G = of([{ ingredient: 'instant-coffee', volumeMl: 10, tempC: 20 }]);
    expect(with2G - of([])).to.be.closeTo(7.06, 0.05);
  });
});
