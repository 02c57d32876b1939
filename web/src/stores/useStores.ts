import { useBatches } from './batches.ts';
import { useDays } from './days.ts';
import { useDraft } from './draft.ts';
import { useDrinks } from './drinks.ts';
import { useJugs } from './jugs.ts';
import { useMenu } from './menu.ts';
import { useNotice } from './notice.ts';
import { usePantry } from './pantry.ts';
import { useSamples } from './samples.ts';
import { useSettings } from './settings.ts';
import { useShop } from './shop.ts';

const STORES = {
  shelf: useShop,
  drafts: useDraft,
  batches: useBatches,
  days: useDays,
  samples: useSamples,
  jugs: useJugs,
  pantry: usePantry,
  drinks: useDrinks,
  menu: useMenu,
  notice: useNotice,
  settings: useSettings,
} as const;
type Stores = { readonly [Noun in keyof typeof STORES]: ReturnType<(typeof STORES)[Noun]> };

/** Every store by its noun, for whoever wires several; each is made when it is first asked for. */
export function useStores(): Stores {
  const made = Object.entries(STORES).map(([noun, use]) => [noun, { get: () => use() }] as const);
  return Object.defineProperties({}, Object.fromEntries(made)) as Stores;
}
