import type { PredictDrinkRequest } from './predictSchema.ts';
import type { Shop } from '../shop/schema.ts';
import type { Drink } from './schema.ts';

/** @returns a drink of the menu as a request, from a jug in the shop's rooms */
export function drinkRequest(input: {
  drink: Drink;
  jug: { readonly strengthFrac: number; readonly caffeineMgPerG: number };
  shop: Pick<Shop, 'roomC' | 'fridgeC'>;
}): PredictDrinkRequest {
  const { jug, shop } = input;
  const { cupMl, ice, additions, diluents, target } = input.drink;
  const { stirredDown, chilledToC, servings, serve } = input.drink;
  const { strengthFrac, caffeineMgPerG } = jug;
  return {
    cupMl,
    concentrate: { strengthFrac, tempC: shop.fridgeC, caffeineMgPerG },
    ice,
    additions,
    diluents,
    target,
    roomC: shop.roomC,
    stirredDown,
    chilledToC,
    servings,
    serve,
  };
}
