import type { ReckonDrinkRequest } from '../schemas/reckonDrink.ts';
import type { Drink, Shop } from '../schemas/shelf.ts';

/** @returns a drink of the menu as a request, from a jug in the shop's rooms */
export function drinkRequest(input: {
  drink: Drink;
  jug: { readonly strengthFrac: number; readonly caffeineMgPerG: number };
  shop: Pick<Shop, 'roomC' | 'fridgeC'>;
}): ReckonDrinkRequest {
  const { jug, shop } = input;
  const { cupMl, ice, additions, fillWith, fillAlso, target } = input.drink;
  const { stirredDown, chilledToC, shares, serve } = input.drink;
  const { strengthFrac, caffeineMgPerG } = jug;
  return {
    cupMl,
    concentrate: { strengthFrac, tempC: shop.fridgeC, caffeineMgPerG },
    ice,
    additions,
    fillWith,
    fillAlso,
    target,
    roomC: shop.roomC,
    stirredDown,
    chilledToC,
    shares,
    serve,
  };
}
