import { useBatches } from './batches.ts';
import { useDraft } from './draft.ts';
import { useDrinks } from './drinks.ts';
import { useJugs } from './jugs.ts';
import { useNotice } from './notice.ts';
import { useSettings } from './settings.ts';
import { useShop } from './shop.ts';

const STORES = {
  shelf: useShop,
  drafts: useDraft,
  batches: useBatches,
  jugs: useJugs,
  drinks: useDrinks,
  notice: useNotice,
  settings: useSettings,
} as const;
type Stores = { readonly [Noun in keyof typeof STORES]: ReturnType<(typeof STORES)[Noun]> };

/** What the stations share by its noun, for whoever wires several; each is made when it is first asked for. */
export function useStores(): Stores {
  const made = Object.entries(STORES).map(([noun, use]) => [noun, { get: () => use() }] as const);
  return Object.defineProperties({}, Object.fromEntries(made)) as Stores;
}
