import type { Pantry } from '../pantry/ingredients.ts';
import type { Drink } from './schema.ts';

type Poured = Pick<Drink, 'additions' | 'ice'> & {
  readonly diluents?: Drink['diluents'] | undefined;
  readonly fillWith?: Drink['diluents'][number] | undefined;
};

/** @returns ids of what is poured into a drink beside the concentrate, by their path in it */
export const pouredPaths = ({ additions, fillWith, diluents, ice }: Poured): Map<string, string> =>
  new Map([
    ...additions.map(({ ingredient }, i) => [`additions.${i}.ingredient`, ingredient] as const),
    ...(fillWith ? [['fillWith.ingredient', fillWith.ingredient] as const] : []),
    ...(diluents ?? []).map(
      ({ ingredient }, i) => [`diluents.${i}.ingredient`, ingredient] as const,
    ),
    ...(ice?.recipe === undefined ? [] : [['ice.recipe', ice.recipe] as const]),
  ]);

/** @returns ids of what is poured into a drink beside the concentrate */
export const pouredIds = (drink: Poured): string[] => [...pouredPaths(drink).values()];

/** @returns whether everything that a drink pours is in the pantry */
export const isPourable = (drink: Poured, pantry: Pantry): boolean =>
  pouredIds(drink).every((id) => Object.hasOwn(pantry, id));
