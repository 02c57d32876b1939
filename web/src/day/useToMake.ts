import { computed } from 'vue';
import type { DayMake } from './dayColumn.ts';
import type { DayShown } from './useDayShown.ts';
import { useMenuCount } from '../drink/index.ts';
import { useJugs } from '../events/index.ts';
import { dateName } from '../format/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';

const WEEK_DAYS = 7;

/** What is to be made of the house recipes, by the week's need and by their last days. */
export function useToMake(shown: DayShown) {
  const shop = useShop();
  const jugs = useJugs();
  const pantry = usePantry();
  const format = useAmountFormat();

  const needs = useMenuCount('weekNeeds', () => [jugs.chosen]);
  const makes = computed<(DayMake & { readonly lifeDays: number })[]>(() => {
    const { openHours = 8, closeHours = 20 } = shop.document ?? {};
    const { made } = pantry.resolved;
    const nowHours = shown.hoursAt(shown.minuteMs.value);
    return Object.values(made).flatMap((recipe) => {
      const { id, name } = recipe.ingredient;
      const weekG = needs.value?.[0]?.get(id) ?? 0;
      const life = pantry.lifeOf(id);
      const left = life?.daysLeft ?? -1;
      // Nobody asks for it, or what stands open lasts beyond the day.
      if (weekG <= 0 || left - shown.offset.value > 0) return [];
      const days = Math.min(recipe.lifeDays, WEEK_DAYS);
      const needMl = ((weekG * days) / WEEK_DAYS) * (recipe.yieldMl / recipe.yieldG);
      const isGone = left - shown.offset.value < 0;
      const amount = `${format.value.volume(needMl)} for ${days === 1 ? 'the day' : `${days} days`}`;
      const why = !life ? 'none open' : isGone ? `past, ${dateName(life.lastDay)}` : 'last day';
      return [
        {
          id,
          // Before the doors open, or for tomorrow before they close.
          atHours: isGone ? Math.max(openHours, Math.min(closeHours, nowHours)) : closeHours,
          name,
          note: `${amount}; ${why}`,
          isDue: isGone,
          lifeDays: recipe.lifeDays,
        },
      ];
    });
  });
  return { makes, needs };
}
