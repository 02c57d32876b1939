import type { BarTools } from '../shop/tools.ts';
import { isFoam, pick, type Ingredient, type Pantry } from '../pantry/ingredients.ts';
import type { Drink } from './schema.ts';

/** What somebody says after a sip. */
export const ADJUSTMENTS = ['weaker', 'stronger', 'drier', 'sweeter', 'milkier'] as const;
export type Adjustment = (typeof ADJUSTMENTS)[number];

const STEP_FRAC = 0.0005;
const STEP_MG = 10;
/** A twentieth of the glass. */
const STEP_GLASS = 0.05;
const STEP_PART = 0.1;
const STEP_MILK_ML = 10;
const STEP_ICE_G = 10;
const SWEET_G_PER_100G = 30;
const LEAST_FRAC = 0.001;
const MOST_FRAC = 0.2;

const PLAIN_SYRUP = 'simple-syrup';
const PLAIN_MILK = 'whole-milk';

type Step = (input: { drink: Drink; pantry: Pantry; tools: BarTools }) => Partial<Drink> | null;

/**
 * A drink one step weaker, stronger, drier, sweeter or milkier. Only what is asked for changes: the
 * solver then holds the coffee strength while sugar or milk moves.
 *
 * @returns the drink as it would be; null where there is nothing left to take away
 */
export function adjustDrink(input: {
  drink: Drink;
  by: Adjustment;
  pantry: Pantry;
  tools: BarTools;
}): Drink | null {
  const part = STEPS[input.by](input);
  return part && { ...input.drink, ...part };
}

const STEPS = {
  weaker: ({ drink }) => aimed(drink, -1),
  stronger: ({ drink }) => aimed(drink, 1),
  sweeter: ({ drink, pantry, tools }) => sweetened({ drink, pantry, tools, by: 1 }),
  drier: ({ drink, pantry, tools }) => sweetened({ drink, pantry, tools, by: -1 }),
  milkier: ({ drink, pantry }) => milkier(drink, pantry),
} as const satisfies Record<Adjustment, Step>;

function aimed(drink: Drink, by: 1 | -1): Partial<Drink> | null {
  const { target } = drink;
  if ('strengthFrac' in target) {
    // On whole steps, so that one way and back ends where it began.
    const stepped = (Math.round(target.strengthFrac / STEP_FRAC) + by) * STEP_FRAC;
    const strengthFrac = Math.min(MOST_FRAC, Math.max(LEAST_FRAC, stepped));
    return { target: { ...target, strengthFrac } };
  }
  if ('caffeineMg' in target)
    return { target: { caffeineMg: Math.max(0, target.caffeineMg + by * STEP_MG) } };
  if ('concentrateMl' in target) {
    const stepMl = target.writtenIn === 'spoons' ? 15 : 5;
    const concentrateMl = Math.max(0, target.concentrateMl + by * stepMl);
    return { target: { ...target, concentrateMl } };
  }
  if ('glassFrac' in target) {
    const glassFrac = Math.min(1, Math.max(STEP_GLASS, target.glassFrac + by * STEP_GLASS));
    return { target: { glassFrac } };
  }
  if ('rest' in target) return null;
  const { concentrate, fill } = target.parts;
  if (fill === 0) return null;
  const stepped = Math.max(STEP_PART, concentrate + by * STEP_PART * fill);
  return { target: { parts: { concentrate: Number(stepped.toFixed(3)), fill } } };
}

function sweetened(input: {
  drink: Drink;
  pantry: Pantry;
  tools: BarTools;
  by: 1 | -1;
}): Partial<Drink> | null {
  const { drink, pantry, tools, by } = input;
  const { additions } = drink;
  const at = additions.findIndex(({ ingredient }) => isSweet(pick(pantry, ingredient)));
  if (at < 0)
    return by < 0
      ? null
      : {
          additions: [{ ingredient: PLAIN_SYRUP, volumeMl: tools.pumpMl, tempC: 20 }, ...additions],
        };
  const sweet = additions[at]!;
  const { looseGPerMl } = pick(pantry, sweet.ingredient);
  const stepMl = looseGPerMl === null ? tools.pumpMl : tools.spoonMl;
  const volumeMl = sweet.volumeMl + by * stepMl;
  return {
    additions:
      volumeMl > 1e-6
        ? additions.with(at, { ...sweet, volumeMl })
        : additions.filter((_, i) => i !== at),
  };
}

/** More milk in the same glass: in place of water, or else of ice; the strength stays. */
function milkier(drink: Drink, pantry: Pantry): Partial<Drink> | null {
  const { additions, diluents } = drink;
  const isMilky = ({ ingredient }: { ingredient: string }) => isMilk(pick(pantry, ingredient));
  const isWater = ({ ingredient }: { ingredient: string }) =>
    pick(pantry, ingredient).kind === 'water';
  if (diluents.some(isMilky)) {
    const water = additions.findIndex(isWater);
    if (water >= 0) return { additions: lessOf(additions, water) };
    if (diluents.some(isWater))
      return {
        diluents: diluents.map((one) =>
          isMilky(one) ? { ...one, proportion: Number((one.proportion * 1.25).toFixed(3)) } : one,
        ),
      };
    const { ice } = drink;
    if (!ice || !('massG' in ice) || ice.massG <= 0) return null;
    return { ice: { ...ice, massG: Math.max(0, ice.massG - STEP_ICE_G) } };
  }
  const milk = additions.findIndex(isMilky);
  if (milk < 0)
    return {
      additions: [...additions, { ingredient: PLAIN_MILK, volumeMl: 2 * STEP_MILK_ML, tempC: 4 }],
    };
  const more = additions[milk]!;
  return { additions: additions.with(milk, { ...more, volumeMl: more.volumeMl + STEP_MILK_ML }) };
}

function lessOf(additions: Drink['additions'], at: number): Drink['additions'] {
  const one = additions[at]!;
  return one.volumeMl > STEP_MILK_ML
    ? additions.with(at, { ...one, volumeMl: one.volumeMl - STEP_MILK_ML })
    : additions.filter((_, i) => i !== at);
}

/** @returns whether it is there to make a drink sweet */
export const isSweet = (ingredient: Ingredient): boolean =>
  ingredient.per100G.sugarG >= SWEET_G_PER_100G && !isFoam(ingredient);

/** @returns whether it is milk, of an animal or of a plant */
export const isMilk = (ingredient: Ingredient): boolean =>
  (ingredient.kind === 'dairy' || ingredient.kind === 'plant') &&
  !isSweet(ingredient) &&
  !isFoam(ingredient);
