import { askedFor, type Drink, type DrinkVersion } from '@ratio/core/drink';
import { computed, watch, type Ref } from 'vue';
import { useDrinks } from './drinks.ts';
import { dayName } from '../format/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useLoaded } from '../sync/index.ts';

/** A drink as it was kept once, as its history shows it. */
export interface VersionRow {
  readonly id: string;
  readonly drink: DrinkVersion['drink'];
  readonly day: string;
  readonly whose: string;
  readonly change: string;
  readonly target: string;
}

/**
 * The history of a drink.
 *
 * @param shown whether somebody looks at it; it is fetched then, and again when the drink changes
 */
export function useDrinkVersions(
  drink: Readonly<Ref<Drink | null>>,
  shown: Readonly<Ref<boolean>>,
) {
  const menu = useDrinks();
  const shop = useShop();
  const pantry = usePantry();
  const format = useAmountFormat();
  const { loaded, state, failure, load } = useLoaded(() => menu.versions(drink.value!.id));
  watch(
    () => [shown.value, drink.value?.id, menu.drinks] as const,
    ([isShown, id]) => {
      if (isShown && id !== undefined) void load();
    },
    { immediate: true },
  );

  function targetText({ target }: DrinkVersion['drink']): string {
    if ('strengthFrac' in target) return format.value.percent(target.strengthFrac);
    if ('parts' in target) return `${target.parts.concentrate} to ${target.parts.fill}`;
    if ('caffeineMg' in target) return `${target.caffeineMg} mg`;
    if ('glassFrac' in target) return `${format.value.percent(target.glassFrac, 0)} of the glass`;
    if ('rest' in target) return 'concentrate to the line';
    return format.value.volume(target.concentrateMl);
  }
  const rows = computed<VersionRow[]>(() =>
    (loaded.value ?? []).map(({ id, drink: kept, at, forWhom, change }) => ({
      id,
      drink: kept,
      day: dayName({ at: new Date(at), zone: shop.zone }),
      whose: forWhom === '' ? 'the usual' : `for ${forWhom}`,
      change,
      target: targetText(kept),
    })),
  );
  /** What enough people asked for, so that it could be the usual. */
  const asked = computed(() => {
    const versions = loaded.value ?? [];
    const usual = menu.drinks.find(({ id }) => id === versions[0]?.drinkId);
    if (!usual || usual.id !== drink.value?.id) return [];
    return askedFor({ usual, versions, pantry: pantry.pantry });
  });
  return { rows, asked, state, failure };
}
