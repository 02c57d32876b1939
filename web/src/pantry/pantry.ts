import { localDate, useBy } from '@ratio/core/calendar';
import type { Caution } from '@ratio/core/caution';
import { isPourable, pouredIds, type Drink } from '@ratio/core/drink';
import { openedCautions, openLife, resolvePantry, type OpenLife } from '@ratio/core/pantry';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { usePantryDocuments } from './pantryDocuments.ts';
import { useShop } from '../shop/index.ts';

/** What the shop can pour: built in, its own, and made from house recipes. */
export const usePantry = defineStore('pantry', () => {
  const documents = usePantryDocuments();
  const shop = useShop();
  const resolved = computed(() =>
    resolvePantry({ own: documents.items, houseRecipes: documents.houseRecipes }),
  );

  // A text, so that what follows from it is computed again when the day changes, not at each tick.
  const today = computed(() => localDate({ atMs: shop.now.getTime(), zone: shop.zone }));
  const openedAt = computed(() =>
    Object.fromEntries(documents.opened.map(({ id, at }) => [id, at])),
  );

  /** How long what stands open is still used; null where it is not open, or keeps. */
  const lifeOf = (id: string): OpenLife | null =>
    openLife({
      at: openedAt.value[id],
      openedDays: resolved.value.pantry[id]?.openedDays,
      today: today.value,
      zone: shop.zone,
    });

  /** The last day of what is opened or made now, as 2026-06-19. */
  const lastDayOf = (days: number): string =>
    useBy({ fromMs: shop.now.getTime(), days, zone: shop.zone }).lastDay;

  /** What a drink pours that is past its last day. */
  function pastIn(drink: Drink): Caution[] {
    const poured = pouredIds(drink).flatMap((id) => resolved.value.pantry[id] ?? []);
    return openedCautions({
      poured,
      openedAt: openedAt.value,
      today: today.value,
      zone: shop.zone,
    });
  }

  const versionOf = (id: string): number =>
    documents.opened.find((one) => one.id === id)?.version ?? 0;

  return {
    items: computed(() => documents.items),
    houseRecipes: computed(() => documents.houseRecipes),
    opened: computed(() => documents.opened),
    resolved,
    pantry: computed(() => resolved.value.pantry),
    /** Everything by name, house recipes first. */
    all: computed(() =>
      Object.values(resolved.value.pantry).sort(
        (a, b) =>
          Number(a.mark !== 'ours') - Number(b.mark !== 'ours') || a.name.localeCompare(b.name),
      ),
    ),
    /** Whether everything that a drink pours is there. */
    holds: (drink: Drink) => isPourable(drink, resolved.value.pantry),
    lifeOf,
    lastDayOf,
    pastIn,
    /** Opens a package or makes a house recipe; again where one stands open. */
    open: (id: string, at = shop.now) =>
      documents.saveOpened({ id, at: at.toISOString(), version: versionOf(id) }),
    useUp: (id: string) => documents.removeOpened({ id, version: versionOf(id) }),
    load: documents.load,
    documents: documents.documents,
  };
});
