import type { Drink } from '../schemas/shelf.ts';

type Poured = Pick<Drink, 'additions' | 'fillWith' | 'fillAlso' | 'ice'>;

/** @returns ids of what is poured into a drink beside the concentrate, by their path in it */
export const pouredPaths = ({ additions, fillWith, fillAlso, ice }: Poured): Map<string, string> =>
  new Map([
    ...additions.map(({ ingredient }, i) => [`additions.${i}.ingredient`, ingredient] as const),
    ['fillWith.ingredient', fillWith.ingredient],
    ...fillAlso.map(({ ingredient }, i) => [`fillAlso.${i}.ingredient`, ingredient] as const),
    ...(ice?.part === undefined ? [] : [['ice.part', ice.part] as const]),
  ]);

/** @returns ids of what is poured into a drink beside the concentrate */
export const pouredIds = (drink: Poured): string[] => [...pouredPaths(drink).values()];
