import type { Shop } from '../shop/schema.ts';
import type { Plan } from './schema.ts';

/**
 * A plan by the shop's defaults.
 *
 * @param input.doseG coffee, g, above 0
 * @returns with the water that the default ratio asks for, in the default place at the shop's temperature
 */
export function usualPlan(input: {
  shop: Pick<Shop, 'defaults' | 'waterC' | 'fridgeC' | 'roomC'>;
  coffeeId: string;
  vesselId: string;
  doseG: number;
}): Plan {
  const { shop, coffeeId, vesselId, doseG } = input;
  const { grind, ratio, place, hours, wetting, method } = shop.defaults;
  return {
    coffeeId,
    vesselId,
    grind,
    doseG,
    waterG: ratio * doseG,
    waterC: shop.waterC,
    wetting,
    steep: [{ place, hours, tempC: place === 'fridge' ? shop.fridgeC : shop.roomC }],
    agitationHours: [],
    bed: 'loose',
    filtration: { method, rinseG: 0 },
  };
}
