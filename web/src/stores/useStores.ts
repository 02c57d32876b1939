import { useBatches } from './batches.ts';
import { useDraft } from './draft.ts';
import { useDrinks } from './drinks.ts';
import { useJugs } from './jugs.ts';
import { useMenu } from './menu.ts';
import { useNotice } from './notice.ts';
import { usePantry } from './pantry.ts';
import { useSamples } from './samples.ts';
import { useSettings } from './settings.ts';
import { useShop } from './shop.ts';

/** Every store by its noun, for whoever wires several; each is made when it is first asked for. */
export const useStores = () => ({
  get shelf() {
    return useShop();
  },
  get drafts() {
    return useDraft();
  },
  get batches() {
    return useBatches();
  },
  get samples() {
    return useSamples();
  },
  get jugs() {
    return useJugs();
  },
  get pantry() {
    return usePantry();
  },
  get drinks() {
    return useDrinks();
  },
  get menu() {
    return useMenu();
  },
  get notice() {
    return useNotice();
  },
  get settings() {
    return useSettings();
  },
});
