import type { DrinkInput } from '../../src/drink/setting.ts';
import { INGREDIENTS, type IngredientId } from '../../src/pantry/ingredients.ts';

/** One filler that takes all of the rest. */
export const filled = (id: IngredientId, tempC = 4, proportion = 1) => ({
  ingredient: INGREDIENTS[id],
  tempC,
  proportion,
});

/** A fixed addition. */
export const added = (id: IngredientId, volumeMl: number, tempC = 4) => ({
  ingredient: INGREDIENTS[id],
  volumeMl,
  tempC,
});

/** Ice out of the bin. */
export const cubes = (massG: number) => ({
  massG,
  tempC: -2,
  coffeeFrac: 0,
  kind: 'cubes' as const,
});

/** A black drink over ice at the lido, changed as a test needs it. */
export const lidoDrink = (
  over: Partial<DrinkInput> = {},
  glass: Partial<DrinkInput['glass']> = {},
): DrinkInput => ({
  concentrate: { strengthFrac: 0.035, tempC: 4, caffeineMgPerG: 2.1 },
  additions: [],
  diluents: [filled('water')],
  target: { strengthFrac: 0.014, atMinutes: 4 },
  ...over,
  glass: {
    cupMl: 350,
    ice: cubes(150),
    roomC: 22,
    stirredDown: false,
    chilledToC: null,
    ...over.glass,
    ...glass,
  },
});
