import { pouredIds, resolvePantry, type Drink, type HousePart, type PantryItem } from '@ratio/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { ask } from '../api/client.ts';

/** What the shop can pour: built in, its own, and made by the house. */
export const usePantry = defineStore('pantry', () => {
  const items = shallowRef<PantryItem[]>([]);
  const parts = shallowRef<HousePart[]>([]);

  async function load(): Promise<void> {
    [items.value, parts.value] = await Promise.all([
      ask<PantryItem[]>('/api/pantry'),
      ask<HousePart[]>('/api/parts'),
    ]);
  }

  const resolved = computed(() => resolvePantry({ own: items.value, parts: parts.value }));

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

  return {
    items,
    parts,
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
    load,
    saveItem: (item: PantryItem) => put('/api/pantry', item),
    savePart: (part: HousePart) => put('/api/parts', part),
    removeItem: (item: PantryItem) => remove('/api/pantry', item),
    removePart: (part: HousePart) => remove('/api/parts', part),
  };
});
