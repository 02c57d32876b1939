import { CONSTANTS } from '../constants.ts';
import { massG, type Composition } from '../matter/composition.ts';
import type { Ingredient } from './ingredients.ts';
import type { HouseRecipe } from './houseRecipeSchema.ts';
import type { Caution } from '../caution.ts';

interface PlannedRecipe {
  readonly recipe: HouseRecipe;
  readonly ingredient: Ingredient;
  readonly inputs: readonly { readonly ingredient: Ingredient }[];
  readonly made: Composition;
  readonly usualDays: number;
  readonly lifeDays: number;
}

type Rule = (planned: PlannedRecipe) => Caution | null;

const hotSugar: Rule = ({ recipe: { process }, made }) =>
  made.sugarG / massG(made) >= 0.3 && ['mix', 'infuse', 'reduce'].includes(process.method)
    ? {
        code: 'hot_sugar',
        severity: 'warn',
        text: 'Hot sugar sticks and burns deeper than water. Heat it gently, stir, and let it cool before it is poured into a bottle.',
      }
    : null;

const crystals: Rule = ({ made: { sugarG, waterG } }) => {
  const frac = sugarG / (sugarG + waterG || 1);
  const percent = `${(100 * frac).toFixed(0)} % of its sugar and water is sugar`;
  if (frac > CONSTANTS.sucroseFrac20.value)
    return {
      code: 'sugar_crystallises',
      severity: 'warn',
      text: `${percent}, more than dissolves at 20 °C: it sets, and crystals fall out. Take more water, or honey for a part of the sugar.`,
    };
  return frac > CONSTANTS.sucroseFrac5.value
    ? {
        code: 'sugar_crystallises_cold',
        severity: 'note',
        text: `${percent}: crystals can fall out in the fridge. Warm it to dissolve them, or take a little more water.`,
      }
    : null;
};

const simmer: Rule = ({ recipe: { process } }) =>
  process.method === 'reduce'
    ? {
        code: 'simmer_and_cool',
        severity: 'note',
        text: 'Simmer it without a lid, stir, and cool it to 5 °C within the hours that the local food code gives.',
      }
    : null;

const infusion: Rule = ({ recipe: { process } }) =>
  process.method === 'infuse'
    ? {
        code: 'infusion_shorter_life',
        severity: 'note',
        text: 'Plants and fruit bring microbes with them: boil the infusion, strain it fine, keep it cold, and only use what is sold as food.',
      }
    : null;

const foam: Rule = ({ recipe: { process } }) =>
  process.method === 'whip'
    ? {
        code: 'foam_same_day',
        severity: 'note',
        text: 'Foam is for the same day: its texture does not hold, and it is often left out. Whip it cold when it is needed.',
      }
    : null;

const dairy: Rule = ({ inputs }) =>
  inputs.some(({ ingredient }) => ingredient.allergens.includes('milk'))
    ? {
        code: 'dairy_short_life',
        severity: 'note',
        text: 'A mix with dairy keeps 3 to 4 days at 5 °C or colder. Put the date on it; the local food code decides.',
      }
    : null;

const egg: Rule = ({ ingredient }) =>
  ingredient.allergens.includes('egg')
    ? {
        code: 'raw_egg',
        severity: 'warn',
        text: 'Raw egg can carry salmonella. Use pasteurised egg white; the local food code decides.',
      }
    : null;

const longer: Rule = ({ usualDays, lifeDays }) =>
  lifeDays > usualDays
    ? {
        code: 'kept_longer_than_usual',
        severity: 'warn',
        text: `The shop keeps it ${lifeDays} days, longer than the usual ${usualDays}. Never beyond what the local food code allows.`,
      }
    : null;

const allergens: Rule = ({ ingredient }) =>
  ingredient.allergens.length > 0
    ? {
        code: 'contains_allergens',
        severity: 'note',
        text: `Contains ${ingredient.allergens.join(', ')}. Write it on the bottle, and check the packages.`,
      }
    : null;

const RULES: readonly Rule[] = [
  hotSugar,
  crystals,
  egg,
  longer,
  simmer,
  infusion,
  foam,
  dairy,
  allergens,
];

/** @returns cautions about a house recipe, each with its reason and what to do */
export const houseRecipeCautions = (planned: PlannedRecipe): Caution[] =>
  RULES.map((rule) => rule(planned)).filter((caution) => caution !== null);
