import type { HouseRecipe, HouseRecipeInput, HouseRecipeMethod } from './houseRecipeSchema.ts';

type Process = HouseRecipe['process'];

/** Coffee that is left over, for what is frozen from it. */
export interface Leftover {
  readonly strengthFrac: number;
  readonly caffeineMgPerG: number;
  readonly pricePerKg: number | null;
}

/** What a house recipe may begin as: common practice, to be changed as the shop has it. */
export interface StartingRecipe {
  readonly name: string;
  readonly reason: string;
  readonly inputs: readonly HouseRecipeInput[];
  readonly process: Process;
}

const g = (ingredient: string, massG: number): HouseRecipeInput => ({
  ingredient,
  amount: { massG },
});
const mL = (ingredient: string, volumeMl: number): HouseRecipeInput => ({
  ingredient,
  amount: { volumeMl },
});

/** From here on what is infused is a syrup already, and no sugar is matched to it. */
const SWEET_FRAC = 0.3;

/**
 * How a method begins, before anybody has said more of it.
 *
 * @param sugarFrac of what goes in, 0–1
 */
export function startingProcess(
  method: HouseRecipeMethod,
  leftover: Leftover,
  sugarFrac = 0,
): Process {
  switch (method) {
    case 'mix':
      return { method };
    case 'infuse':
      return {
        method,
        with: '',
        leftG: null,
        loses: 'steam',
        match: {
          ingredient: 'granulated-sugar',
          ratio: sugarFrac < SWEET_FRAC ? 1 : 0,
          by: 'mass',
        },
      };
    case 'reduce':
      return { method, toFrac: 0.5 };
    case 'whip':
      return { method, overrunFrac: 0.8 };
    case 'freeze':
      return { method, leftoverG: 500, ...leftover };
  }
}

/**
 * What a shop may begin with. All amounts are common practice.
 *
 * @param leftover coffee that cubes are frozen from
 */
export function startingRecipes(leftover: Leftover): readonly StartingRecipe[] {
  const of = (method: HouseRecipeMethod): Process => startingProcess(method, leftover);
  return [
    {
      name: 'Plain syrup',
      reason: 'sugar and water, the same mass of each',
      inputs: [g('granulated-sugar', 500), g('water', 500)],
      process: of('mix'),
    },
    {
      name: 'Syrup, cup for cup',
      reason: 'the same volume of each: 46 % sugar, not 50',
      inputs: [mL('granulated-sugar', 500), mL('water', 500)],
      process: of('mix'),
    },
    {
      name: 'Rich syrup',
      reason: 'two to one: keeps longer, thins less',
      inputs: [g('granulated-sugar', 1000), g('water', 500)],
      process: of('mix'),
    },
    {
      name: 'Infused syrup',
      reason: 'strained, then what is left is measured and matched',
      inputs: [g('water', 1000)],
      process: { ...of('infuse'), with: '20 g of herbs' } as Process,
    },
    {
      name: 'Sweet cream',
      reason: 'cream, milk and syrup, poured over',
      inputs: [g('heavy-cream', 200), g('whole-milk', 150), g('simple-syrup', 50)],
      process: of('mix'),
    },
    {
      name: 'Cold foam',
      reason: 'skim milk frothed cold, for the same day',
      inputs: [g('skim-milk', 300), g('simple-syrup', 20)],
      process: { method: 'whip', overrunFrac: 1 },
    },
    {
      name: 'Flavoured milk',
      reason: 'cocoa and honey in whole milk',
      inputs: [g('whole-milk', 900), g('honey', 60), g('cocoa-powder', 40)],
      process: of('mix'),
    },
    {
      name: 'Condensed plant milk',
      reason: 'canned coconut milk with sugar, simmered to half',
      inputs: [g('coconut-milk', 800), g('granulated-sugar', 160)],
      process: of('reduce'),
    },
    {
      name: 'Whipped coffee',
      reason: 'instant coffee, sugar and water, two to four times the volume',
      inputs: [g('instant-coffee', 20), g('granulated-sugar', 40), g('water', 40)],
      process: { method: 'whip', overrunFrac: 2.5 },
    },
    {
      name: 'Nut-butter syrup',
      reason: 'almond butter boiled up with syrup; shake it before it is poured',
      inputs: [g('almond-butter', 100), g('granulated-sugar', 300), g('water', 300)],
      process: of('mix'),
    },
    {
      name: 'Coffee cubes',
      reason: 'what is left of a jug, frozen; a drink grows over them',
      inputs: [],
      process: of('freeze'),
    },
  ];
}
