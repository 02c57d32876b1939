import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import type { SubjectedAmount } from './assignSubjects.ts';
import type { Mention } from './findMentions.ts';
import { product, quotient, type Ranged } from './ranged.ts';
import { assumed, disagrees, grams, quote, type RecipeNote } from './recipeNote.ts';
import { AGREE_FRAC, WATER_C, type Mass } from './statedMasses.ts';

/** A text that cannot be read as a recipe, and what it lacks. */
export interface UnreadRecipe {
  readonly status: 'unread';
  readonly lacks: 'coffee' | 'water' | 'everything';
  readonly message: string;
}

/** @returns what a text lacks, with what to add */
export const unread = (lacks: UnreadRecipe['lacks'], message: string): UnreadRecipe => ({
  status: 'unread',
  lacks,
  message,
});

/** Masses and ratio out of what is stated of them; what is stated twice must agree. */
export function tieAmounts(input: {
  coffee: Mass | null;
  water: Mass | null;
  statedRatio: Extract<Mention, { kind: 'ratio' }> | undefined;
  vessel: SubjectedAmount | undefined;
  text: string;
  notes: RecipeNote[];
}): { coffeeG: Ranged; waterG: Ranged; ratio: Ranged } | UnreadRecipe {
  const { coffee, statedRatio, vessel, text, notes } = input;
  let { water } = input;
  if (coffee && !water && !statedRatio && vessel) {
    // Diluent it up: what the vessel holds, less the room of the wet grounds.
    const room = CONSTANTS.groundsDisplaceMlPerG.value * coffee.massG.value;
    const left = vessel.low - room;
    if (vessel.quantity === 'volume' && left > 0) {
      const value = left * waterDensityGPerMl(WATER_C);
      water = {
        massG: { value, low: value * 0.95, high: value * 1.02 },
        span: vessel.span,
        weighed: false,
      };
      notes.push(
        assumed(
          'fill',
          `${quote(text, vessel)} is taken to be filled up: ${grams(value)} of water over the grounds.`,
          vessel.span,
        ),
      );
    }
  }
  if (coffee && water) {
    const ratio = quotient(water.massG, coffee.massG);
    if (statedRatio) {
      const toldRatio = (statedRatio.low + statedRatio.high) / 2;
      const inside =
        statedRatio.low <= ratio.high * (1 + AGREE_FRAC) &&
        statedRatio.high >= ratio.low * (1 - AGREE_FRAC);
      const close = Math.abs(toldRatio / ratio.value - 1) <= 0.05;
      if (!(close || (inside && !coffee.weighed)))
        notes.push(
          disagrees(
            'ratio',
            `${quote(text, statedRatio)} is not what the amounts give, 1:${ratio.value.toFixed(1)} by mass. The amounts are used.`,
            statedRatio.span,
          ),
        );
    }
    return { coffeeG: coffee.massG, waterG: water.massG, ratio };
  }
  if (!statedRatio)
    return coffee
      ? unread(
          'water',
          'The water is missing. Add how much, as in “1 L water”, or a ratio, as in “1:8”.',
        )
      : unread(
          'coffee',
          'The coffee is missing. Add how much, as in “200 g coffee”, or a ratio, as in “1:8”.',
        );
  const ratio: Ranged = {
    value: (statedRatio.low + statedRatio.high) / 2,
    low: statedRatio.low,
    high: statedRatio.high,
  };
  if (coffee) return { coffeeG: coffee.massG, waterG: product(coffee.massG, ratio), ratio };
  if (water) return { coffeeG: quotient(water.massG, ratio), waterG: water.massG, ratio };
  const kilo: Ranged = { value: 1000, low: 1000, high: 1000 };
  notes.push(
    assumed(
      'batch_size',
      'Only a ratio is given; a kilogram of coffee is assumed.',
      statedRatio.span,
    ),
  );
  return { coffeeG: kilo, waterG: product(kilo, ratio), ratio };
}
