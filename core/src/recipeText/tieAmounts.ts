import { CONSTANTS } from '../constants.ts';
import { waterDensityGPerMl } from '../matter/waterDensity.ts';
import { fluidOunces } from './fluidOunces.ts';
import type { SubjectedAmount } from './assignSubjects.ts';
import type { Mention, Span } from './findMentions.ts';
import { product, quotient, type Ranged } from './ranged.ts';
import { assumed, disagrees, grams, quote, type RecipeNote } from './recipeNote.ts';
import { AGREE_FRAC, WATER_C, type Mass } from './statedMasses.ts';

/** A text that cannot be read as a recipe, and what it lacks. */
export interface UnreadRecipe {
  readonly status: 'unread';
  readonly lacks: 'coffee' | 'water' | 'vessel' | 'everything';
  readonly message: string;
  /** Texts to add, one of which answers the question. */
  readonly choices?: readonly string[];
}

/** @returns what a text lacks, with what to add */
export const unread = (lacks: UnreadRecipe['lacks'], message: string): UnreadRecipe => ({
  status: 'unread',
  lacks,
  message,
});

/** Words by which a vessel is filled with water, however much that is. */
const FILL_UP =
  /\b(?:fill(?:ed)?(?: it| the \w+| a \w+| up)*(?: (?:with|to|up))?|to the (?:top|brim|rim|line|neck|shoulder)|up to the)\b/i;
const BY_VOLUME = /\bby volume\b|\bcups? to cups?\b|\bvolume ratio\b/i;

type RatioMention = Extract<Mention, { kind: 'ratio' }>;

/** The ratio by mass that is stated: as it is, by volume, or as so much coffee for so much water. */
function ratioOf(input: {
  givenRatio: RatioMention | undefined;
  rate: Extract<Mention, { kind: 'rate' }> | undefined;
  looseGPerMl: number;
  text: string;
  notes: RecipeNote[];
}): RatioMention | undefined {
  const { givenRatio, rate, looseGPerMl, text, notes } = input;
  const waterGPerMl = waterDensityGPerMl(WATER_C);
  if (rate) {
    const { coffee, waterMl } = rate;
    const perUnit = coffee.quantity === 'mass' ? 1 : looseGPerMl;
    const at = (amount: number): number => (waterMl * waterGPerMl) / (amount * perUnit);
    if (coffee.quantity === 'volume')
      notes.push(
        assumed(
          'density',
          `${quote(text, coffee)} of coffee is weighed by ${looseGPerMl} g/mL.`,
          coffee.span,
        ),
      );
    return { kind: 'ratio', span: rate.span, low: at(coffee.high), high: at(coffee.low) };
  }
  if (!givenRatio || !BY_VOLUME.test(text)) return givenRatio;
  const byMass = waterGPerMl / looseGPerMl;
  notes.push(
    assumed(
      'volume_ratio',
      `${quote(text, givenRatio)} is stated by volume: by mass it is 1:${(((givenRatio.low + givenRatio.high) / 2) * byMass).toFixed(1)}.`,
      givenRatio.span,
    ),
  );
  return { ...givenRatio, low: givenRatio.low * byMass, high: givenRatio.high * byMass };
}

/** Masses and ratio out of what is stated of them; what is stated twice must agree. */
export function tieAmounts(input: {
  coffee: Mass | null;
  water: Mass | null;
  statedRatio: Extract<Mention, { kind: 'ratio' }> | undefined;
  rate: Extract<Mention, { kind: 'rate' }> | undefined;
  /** Density of the loose coffee, g/mL. */
  looseGPerMl: number;
  vessel: SubjectedAmount | undefined;
  /** What the text says that it makes. */
  yieldMl: { readonly low: number; readonly high: number; readonly span: Span } | null;
  text: string;
  notes: RecipeNote[];
}): { coffeeG: Ranged; waterG: Ranged; ratio: Ranged } | UnreadRecipe {
  const { coffee, statedRatio: givenRatio, rate, looseGPerMl, text, notes } = input;
  const vessel = input.vessel && fluidOunces(input.vessel);
  let { water } = input;
  const statedRatio = ratioOf({ givenRatio, rate, looseGPerMl, text, notes });
  if (coffee && !water && !statedRatio && vessel) {
    // Diluent it up: what the vessel holds, less the room of the wet grounds.
    const room = CONSTANTS.groundsDisplaceMlPerG.value * coffee.massG.value;
    const left = vessel.low - room;
    if (vessel.quantity === 'volume') {
      if (left <= 0)
        return unread(
          'vessel',
          `${quote(text, vessel)} leaves no room for water over ${grams(coffee.massG.value)} of coffee.`,
        );
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
      const middle = (statedRatio.low + statedRatio.high) / 2;
      const inside =
        statedRatio.low <= ratio.high * (1 + AGREE_FRAC) &&
        statedRatio.high >= ratio.low * (1 - AGREE_FRAC);
      const close = Math.abs(middle / ratio.value - 1) <= 0.05;
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
  if (!statedRatio && coffee && FILL_UP.test(text))
    return {
      ...unread(
        'vessel',
        'It is filled up, and how much the vessel holds is missing. Which is it: “a 1 L jar”, “a 2 L jar”, “a 4 L jar”?',
      ),
      choices: ['a 1 L jar', 'a 2 L jar', 'a 4 L jar', 'a 1 gallon jar'],
    };
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
  const { yieldMl } = input;
  if (yieldMl) {
    const value = ((yieldMl.low + yieldMl.high) / 2) * waterDensityGPerMl(WATER_C);
    const made: Ranged = { value, low: value, high: value };
    notes.push(
      assumed('batch_size', `${quote(text, yieldMl)} is taken for the water.`, yieldMl.span),
    );
    return { coffeeG: quotient(made, ratio), waterG: made, ratio };
  }
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
