import { STRENGTH_NAMES } from '../brew/strengthName.ts';
import { CONSTANTS } from '../constants.ts';
import { fullIceG } from './ice.ts';
import type { DrinkInput } from './setting.ts';
import type { DrinkSolution } from './solve.ts';
import { isFoam, type Allergen, type Ingredient } from '../pantry/ingredients.ts';
import type { Caution } from '../caution.ts';
import type { Serve } from './serve.ts';
import { percentText } from '../units/percent.ts';

const HOT_C = 60;
/** From here on a drink is concentrate. */
const UNDILUTED_FRAC = STRENGTH_NAMES.find(({ name }) => name === 'strong')!.uptoFrac;

interface SolvedDrink {
  readonly input: DrinkInput;
  readonly solution: DrinkSolution;
  /** How many people drink from it. */
  readonly servings: number;
  /** Charged in a siphon, drawn from a keg, or built in its glass. */
  readonly serve: Serve;
}

type Rule = (drink: SolvedDrink) => Caution | null;

const mg = (caffeineMg: number): string => `${Math.round(caffeineMg)} mg`;

const outOfReach: Rule = ({ input, solution }) => {
  if (solution.status === 'met') return null;
  if (solution.status === 'no_room') {
    if (input.diluents.length === 0 && 'concentrateMl' in input.target)
      return {
        code: 'no_room',
        severity: 'warn',
        text: `These amounts stand ${Math.round(solution.levelMl - input.glass.cupMl)} mL over the line. They need a glass of ${Math.ceil(solution.levelMl / 10) * 10} mL.`,
      };
    if (
      ('concentrateMl' in input.target || 'glassFrac' in input.target) &&
      solution.concentrateG > 0
    )
      return tooMuchByHand;
    return solution.levelMl > 0 && solution.fillG > 0 ? overshot : noRoom;
  }
  const [wanted, best] =
    'caffeineMg' in input.target
      ? [`${Math.round(input.target.caffeineMg)} mg of caffeine`, mg(solution.caffeineMg)]
      : 'strengthFrac' in input.target
        ? [percentText(input.target.strengthFrac), percentText(solution.strengthFrac)]
        : ['it', ''];
  const needs =
    solution.needsStrengthFrac === null
      ? 'No concentrate is strong enough in this glass.'
      : `It takes a concentrate of ${percentText(Math.ceil(solution.needsStrengthFrac * 1e4) / 1e4)}.`;
  return {
    code: 'too_weak',
    severity: 'warn',
    text: `Even filled up with concentrate this glass reaches ${best}, not ${wanted}. ${needs}`,
  };
};

const tooMuchByHand: Caution = {
  code: 'no_room',
  severity: 'warn',
  text: 'So much concentrate does not fit over the ice and what else is in the glass. Pour less, or take a larger glass.',
};

const noRoom: Caution = {
  code: 'no_room',
  severity: 'warn',
  text: 'Additions and ice fill the glass before any coffee. Take less of them, or a larger glass.',
};

const overshot: Caution = {
  code: 'ice_over_target',
  severity: 'warn',
  text: 'Without any concentrate it is above the target already, by its coffee ice or what is added. Take less of them, or water ice.',
};

// A solver does not see that pieces leave gaps: what packs into the glass is less than its volume.
const iceAboveRim: Rule = ({ input: { glass } }) => {
  const { ice, cupMl } = glass;
  if (ice === null) return null;
  const packsG = fullIceG({ cupMl, kind: ice.kind });
  if (ice.massG <= packsG * (1 + 1e-9)) return null;
  return {
    code: 'ice_above_rim',
    severity: 'warn',
    text: `Of ${ICE_WORDS[ice.kind]}, ${Math.floor(packsG)} g pack into this glass; ${Math.round(ice.massG)} g stand above its line. Take less ice, or a larger glass.`,
  };
};

const ICE_WORDS = { cubes: 'cubes', crushed: 'crushed ice', large: 'large ice' } as const;

/** What much caffeine, and any alcohol, means for whoever drinks it. */
export const CAFFEINE_MEANS =
  'above 200 mg at once for adults, and above a whole day’s limit in pregnancy (EFSA 2015). Offer a smaller or weaker one.';
export const ALCOHOL_MEANS =
  'alcohol with caffeine that hides its effect. It takes a licence to sell; not for minors, in pregnancy, or before driving.';

const caffeine: Rule = ({ solution, servings }) => {
  const each = solution.caffeineMg / servings;
  return each > CONSTANTS.singleCaffeineMg.value
    ? {
        code: 'caffeine_over_200_mg',
        severity: 'warn',
        text: `About ${mg(each)} of caffeine${servings > 1 ? ' for each' : ''}: ${CAFFEINE_MEANS}`,
      }
    : null;
};

const undiluted: Rule = ({ solution }) =>
  solution.strengthFrac > UNDILUTED_FRAC
    ? {
        code: 'served_undiluted',
        severity: 'warn',
        text: 'This is concentrate, hardly diluted. Serve it only as a small measure, and say so.',
      }
    : null;

const warmConcentrate: Rule = ({ input }) =>
  input.concentrate.tempC > CONSTANTS.coldHoldingC.value
    ? {
        code: 'concentrate_above_5_c',
        severity: 'warn',
        text: 'The concentrate is warmer than 5 °C, the usual limit for cold holding. Chill it, and check how long it stood; the local food code decides.',
      }
    : null;

const allergens: Rule = ({ input }) => {
  const found = allergensOf(input);
  return found.length > 0
    ? {
        code: 'contains_allergens',
        severity: 'note',
        text: `Contains ${found.join(', ')}. Check the package of your own brand.`,
      }
    : null;
};

const quinine: Rule = ({ input }) =>
  ingredientsOf(input).some(({ kind }) => kind === 'tonic')
    ? {
        code: 'contains_quinine',
        severity: 'note',
        text: 'Tonic contains quinine, which some people must avoid. Say so on the menu.',
      }
    : null;

// What is poured may scald where the cup that it makes does not.
const hot: Rule = ({ input }) =>
  [...input.diluents, ...input.additions, input.concentrate].some(({ tempC }) => tempC > HOT_C)
    ? {
        code: 'hot_liquid_in_glass',
        severity: 'note',
        text: 'Hot liquid cracks cold glass and scalds. Use a warmed mug or heat-proof glass.',
      }
    : null;

const alcohol: Rule = ({ solution }) =>
  solution.alcoholFrac > 0
    ? {
        code: 'contains_alcohol',
        severity: 'warn',
        text: `About ${percentText(solution.alcoholFrac, 1)} by volume: ${ALCOHOL_MEANS}`,
      }
    : null;

const foamOnTop: Rule = ({ input }) =>
  input.additions.some(({ ingredient }) => isFoam(ingredient))
    ? {
        code: 'foam_same_day',
        severity: 'note',
        text: 'Foam loses its texture and is for the same day. Whip it cold when it is needed.',
      }
    : null;

const egg: Rule = ({ input }) =>
  ingredientsOf(input).some(({ allergens: found }) => found.includes('egg'))
    ? {
        code: 'raw_egg',
        severity: 'warn',
        text: 'Raw egg can carry salmonella. Use pasteurised egg white; the local food code decides.',
      }
    : null;

const siphon: Rule = ({ serve }) =>
  serve === 'siphon'
    ? {
        code: 'pressurised_siphon',
        severity: 'warn',
        text: 'A siphon is under pressure: rated nitrogen chargers only, never above its fill mark, vent it before it is opened, in a room that is aired. Nitrous oxide is another gas and gives another drink.',
      }
    : null;

const lowOxygen: Rule = ({ serve }) =>
  serve === 'built'
    ? null
    : {
        code: 'low_oxygen_storage',
        severity: 'warn',
        text: 'A low-acid drink kept without oxygen can grow botulism. Keep it at 5 °C or colder and serve it the same day, or as the local food code and a licensed process say.',
      };

/** Rules about one drink, what stops it first. */
const DRINK_RULES: readonly Rule[] = [
  outOfReach,
  iceAboveRim,
  warmConcentrate,
  caffeine,
  alcohol,
  undiluted,
  hot,
  siphon,
  lowOxygen,
  egg,
  allergens,
  quinine,
  foamOnTop,
];

/** @returns cautions about a drink, each with its reason and what to do */
export const drinkCautions = (
  drink: Pick<SolvedDrink, 'input' | 'solution'> & Partial<SolvedDrink>,
): Caution[] =>
  DRINK_RULES.map((rule) => rule({ servings: 1, serve: 'built', ...drink })).filter(
    (caution) => caution !== null,
  );

/** @returns what is poured beside the concentrate */
const ingredientsOf = (input: DrinkInput): Ingredient[] => [
  ...input.additions.filter(({ volumeMl }) => volumeMl > 0).map(({ ingredient }) => ingredient),
  ...input.diluents.map(({ ingredient }) => ingredient),
  ...(input.glass.ice?.recipe ? [input.glass.ice.recipe] : []),
];

/** @returns the allergens of a drink, each once */
export const allergensOf = (input: DrinkInput): Allergen[] => [
  ...new Set(ingredientsOf(input).flatMap(({ allergens: found }) => [...found])),
];
