import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import type { SubjectedAmount } from './assignSubjects.ts';
import type { Mention } from './findMentions.ts';
import { product, quotient, type Ranged } from './ranged.ts';
import { assumed, disagrees, grams, quote, type RecipeNote } from './recipeNote.ts';
import { AGREE_FRAC, WATER_C, type Mass } from './toldMasses.ts';

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

/** Masses and ratio out of what is told of them; what is told twice must agree. */
export function tieAmounts(input: {
  coffee: Mass | null;
  water: Mass | null;
  ratioTold: Extract<Mention, { kind: 'ratio' }> | undefined;
  vessel: SubjectedAmount | undefined;
  text: string;
  notes: RecipeNote[];
}): { coffeeG: Ranged; waterG: Ranged; ratio: Ranged } | UnreadRecipe {
  const { coffee, ratioTold, vessel, text, notes } = input;
  let { water } = input;
  if (coffee && !water && !ratioTold && vessel) {
    // Fill it up: what the vessel holds, less the room of the wet grounds.
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
          `${quote(text, vessel)} is taken to be filled up: ${grams(value)} of water beside the grounds.`,
          vessel.span,
        ),
      );
    }
  }
  if (coffee && water) {
    const ratio = quotient(water.massG, coffee.massG);
    if (ratioTold) {
      const toldRatio = (ratioTold.low + ratioTold.high) / 2;
      const inside =
        ratioTold.low <= ratio.high * (1 + AGREE_FRAC) &&
        ratioTold.high >= ratio.low * (1 - AGREE_FRAC);
      const close = Math.abs(toldRatio / ratio.value - 1) <= 0.05;
      if (!(close || (inside && !coffee.weighed)))
        notes.push(
          disagrees(
            'ratio',
            `${quote(text, ratioTold)} is not what the amounts give, 1:${ratio.value.toFixed(1)} by mass. The amounts are used.`,
            ratioTold.span,
          ),
        );
    }
    return { coffeeG: coffee.massG, waterG: water.massG, ratio };
  }
  if (!ratioTold)
    return coffee
      ? unread(
          'water',
          'The water is not told. Add how much, as in “1 L water”, or a ratio, as in “1:8”.',
        )
      : unread(
          'coffee',
          'The coffee is not told. Add how much, as in “200 g coffee”, or a ratio, as in “1:8”.',
        );
  const ratio: Ranged = {
    value: (ratioTold.low + ratioTold.high) / 2,
    low: ratioTold.low,
    high: ratioTold.high,
  };
  if (coffee) return { coffeeG: coffee.massG, waterG: product(coffee.massG, ratio), ratio };
  if (water) return { coffeeG: quotient(water.massG, ratio), waterG: water.massG, ratio };
  const kilo: Ranged = { value: 1000, low: 1000, high: 1000 };
  notes.push(
    assumed('batch_size', 'Only a ratio is told; a kilogram of coffee is assumed.', ratioTold.span),
  );
  return { coffeeG: kilo, waterG: product(kilo, ratio), ratio };
}
