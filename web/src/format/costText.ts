import type { DrinkCost } from '@ratio/core/drink';

/**
 * What a drink costs. What has no price on the shelf is not counted as nothing: `€0.53 +` is more than that,
 * and of nothing that is known there is no sum.
 */
export function costText({ price, unknown }: DrinkCost, money: (amount: number) => string): string {
  if (unknown.length === 0) return money(price);
  return price > 0 ? `${money(price)} +` : '–';
}
