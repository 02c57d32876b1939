import { expect } from 'chai';
import { fullIceG } from '../../src/drink/ice.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { drinkOf } from '../../src/recipeText/drinkOf.ts';
import { readRecipe } from '../../src/recipeText/readRecipe.ts';

const solved = (text: string) => {
  const read = readRecipe(text);
  if (read.status !== 'drink') throw new Error(read.status);
  const { target, ...stated } = drinkOf(read.drink);
  return {
    stated,
    ...solveRequest(
      predictDrinkRequest.parse({ ...stated, target, concentrate: { strengthFrac: 0.035 } }),
      INGREDIENTS,
    ),
  };
};

describe('drinkOf', () => {
  it('pours what is stated and next to nothing else', () => {
    for (const text of [
      '4 oz concentrate, 2 oz milk, 15 mL syrup, 16 oz glass full of ice',
      '100 ml cold brew and 100 ml tonic over 120 g ice',
      '60 mL concentrate with 180 mL hot water',
    ]) {
      const { solution, stated } = solved(text);
      expect(solution.status, text).to.equal('met');
      expect(solution.fillMl, text).to.be.below(0.02 * stated.cupMl);
    }
  });

  it('takes no more ice than packs into what the glass is filled to', () => {
    const { stated, cautions } = solved('100 ml concentrate, 50 ml milk, 500 ml glass full of ice');
    const ice = stated.ice && 'massG' in stated.ice ? stated.ice.massG : 0;
    expect(ice).to.be.at.most(fullIceG({ cupMl: stated.cupMl, kind: 'cubes' }) + 1);
    expect(cautions.map(({ code }) => code)).not.to.include('ice_above_rim');
  });
});
