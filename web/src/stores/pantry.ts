import { daysLeft, localDate, useBy } from '@ratio/core/calendar';
import type { Caution } from '@ratio/core/caution';
import { pouredIds, type Drink } from '@ratio/core/drink';
import {
  openedCautions,
  resolvePantry,
  type HouseRecipe,
  type Opened,
  type PantryItem,
} from '@ratio/core/pantry';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { ask } from '../api/client.ts';
import { useShop } from './shop.ts';

/** How what stands open is doing. */
export interface OpenLife {
  readonly at: Date;
  /** The last day on which it is used, as 2026-06-19. */
  readonly lastDay: string;
  /** 0 on the last day, negative when past. */
  readonly daysLeft: number;
}

/** What the shop can pour: built in, its own, and made by the house. */
export const usePantry = defineStore('pantry', () => {
  const items = shallowRef<PantryItem[]>([]);
  const houseRecipes = shallowRef<HouseRecipe[]>([]);
  const opened = shallowRef<Opened[]>([]);
  const shelf = useShop();

  async function load(): Promise<void> {
    [items.value, houseRecipes.value, opened.value] = await Promise.all([
      ask<PantryItem[]>('/api/pantry'),
      ask<HouseRecipe[]>('/api/house-recipes'),
      ask<Opened[]>('/api/opened'),
    ]);
  }

  const resolved = computed(() =>
    resolvePantry({ own: items.value, houseRecipes: houseRecipes.value }),
  );

  // A text, so that what follows from it is computed again when the day changes, not at each tick.
  const today = computed(() => localDate({ atMs: shelf.now.getTime(), zone: shelf.zone }));
  const openedAt = computed(() => Object.fromEntries(opened.value.map(({ id, at }) => [id, at])));

  /** How what stands open is doing; null where it is not open, or keeps. */
  function lifeOf(id: string): OpenLife | null {
    const at = openedAt.value[id];
    const days = resolved.value.pantry[id]?.openedDays;
    if (at === undefined || !days) return null;
    const openedAtMs = Date.parse(at);
    const { lastDay } = useBy({ fromMs: openedAtMs, days, zone: shelf.zone });
    return {
      lastDay,
      daysLeft: daysLeft({ lastDay, today: today.value }),
      at: new Date(openedAtMs),
    };
  }

  /** The last day of what is opened or made now, as 2026-06-19. */
  const lastDayOf = (days: number): string =>
    useBy({ fromMs: shelf.now.getTime(), days, zone: shelf.zone }).lastDay;

  /** What a drink pours that is past its last day. */
  function pastIn(drink: Drink): Caution[] {
    const poured = pouredIds(drink).flatMap((id) => resolved.value.pantry[id] ?? []);
    return openedCautions({
      poured,
      openedAt: openedAt.value,
      today: today.value,
      zone: shelf.zone,
    });
  }

  async function put<T extends { id: string; version: number }>(
    path: string,
    document: T,
  ): Promise<T> {
    const { id, version, ...body } = document;
    const saved = await ask<T>(`${path}/${id}`, { method: 'PUT', body, version });
    await load();
    return saved;
  }

  async function remove(path: string, document: { id: string; version: number }): Promise<void> {
    await ask(`${path}/${document.id}`, { method: 'DELETE', version: document.version });
    await load();
  }

  const versionOf = (id: string): number => opened.value.find((one) => one.id === id)?.version ?? 0;

  return {
    items,
    houseRecipes,
    resolved,
    pantry: computed(() => resolved.value.pantry),
    /** Everything by name, what the house makes first. */
    all: computed(() =>
      Object.values(resolved.value.pantry).sort(
        (a, b) =>
          Number(a.mark !== 'ours') - Number(b.mark !== 'ours') || a.name.localeCompare(b.name),
      ),
    ),
    /** Whether everything that a drink pours is there. */
    holds: (drink: Drink) =>
      pouredIds(drink).every((id) => Object.hasOwn(resolved.value.pantry, id)),
    opened,
    lifeOf,
    lastDayOf,
    pastIn,
    /** Opens a package or makes a house recipe; again where one stands open. */
    open: (id: string, at = shelf.now) =>
      put<Opened>('/api/opened', { id, at: at.toISOString(), version: versionOf(id) }),
    useUp: (id: string) => remove('/api/opened', { id, version: versionOf(id) }),
    load,
    saveItem: (item: PantryItem) => put('/api/pantry', item),
    saveRecipe: (recipe: HouseRecipe) => put('/api/house-recipes', recipe),
    removeItem: (item: PantryItem) => remove('/api/pantry', item),
    removeRecipe: (recipe: HouseRecipe) => remove('/api/house-recipes', recipe),
  };
});
