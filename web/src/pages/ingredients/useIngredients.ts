import { DomainError } from '@ratio/core/errors';
import {
  compositionOfPackage,
  INGREDIENTS,
  packageOfComposition,
  type Allergen,
  type Ingredient,
  type IngredientKind,
  type PackageTable,
  type PantryItem,
} from '@ratio/core/pantry';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { newId, sentenceOf } from '../../api/client.ts';
import { useNotice } from '../../stores/notice.ts';
import { usePantry } from '../../stores/pantry.ts';
import { rebased } from '../../composables/rebased.ts';
import { useStored } from '../../composables/useStored.ts';
import { useOpened } from '../../composables/useOpened.ts';
import { useSaving } from '../../composables/useSaving.ts';

/** An ingredient as its package has it, before it is on the shelf. */
export interface PackageForm extends Writable<PackageTable> {
  /** The ingredient that it is about; null for a new one. */
  id: string | null;
  name: string;
  kind: IngredientKind;
  allergens: Allergen[];
  openedDays: number | null;
  pricePerKg: number | null;
}

type Writable<T> = { -readonly [K in keyof T]: T[K] };

const emptyForm = (): PackageForm => ({
  id: null,
  name: '',
  kind: 'plant',
  per: '100 mL',
  fatG: 0,
  carbohydrateG: 0,
  sugarG: 0,
  proteinG: 0,
  saltG: 0,
  alcoholFrac: 0,
  allergens: [],
  openedDays: 5,
  pricePerKg: null,
});

/** Everything that can be poured, changed as the shop has it. */
export function useIngredients() {
  const store = usePantry();
  const notice = useNotice();
  const route = useRoute();
  const sought = ref('');
  watch(
    () => route.query['find'],
    (asked) => {
      if (typeof asked === 'string') sought.value = asked;
    },
    { immediate: true },
  );
  const form = useStored('ratio.package', emptyForm());

  const rows = computed(() => {
    const words = sought.value.toLowerCase().split(/\s+/).filter(Boolean);
    return store.all
      .filter(
        ({ mark, id }) => mark !== 'ours' || !store.houseRecipes.some((recipe) => recipe.id === id),
      )
      .filter(({ name, kind, allergens }) =>
        words.every((word) =>
          `${name} ${kind} ${allergens.join(' ')}`.toLowerCase().includes(word),
        ),
      )
      .sort((a, b) => leftOf(a) - leftOf(b));
  });
  /** What stands open first, the soonest past above the others; the rest by name. */
  const leftOf = ({ id }: Ingredient): number => store.lifeOf(id)?.daysLeft ?? 1e6;
  const ownOf = (id: string): PantryItem | undefined => store.items.find((item) => item.id === id);

  const saving = useSaving(store.load);

  /** Saves the shop's own values, on what earlier changes that are still on their way make of it. */
  const save = (before: Ingredient, change: Partial<Ingredient>, what: string): Promise<boolean> =>
    saving({
      failed: `${change.name ?? before.name}: not saved.`,
      does: async () => {
        const own = ownOf(before.id);
        const now = store.pantry[before.id] ?? before;
        const { allergens, ...rest } = rebased({ before, after: { ...before, ...change }, now });
        const item: PantryItem = { ...rest, allergens: [...allergens], version: own?.version ?? 0 };
        const saved = await store.saveItem(item);
        return {
          text: `${item.name}: ${what}`,
          undo: () =>
            own ? store.saveItem({ ...own, version: saved.version }) : store.removeItem(saved),
        };
      },
    });

  /** What the package amounts to; why not, where its table cannot be. */
  const fromPackage = computed<{ ingredient: Omit<Ingredient, 'id'> } | { wrong: string }>(() => {
    try {
      const { id, name, kind, allergens, openedDays, pricePerKg, ...table } = form.value;
      // What a package does not say stays as it was.
      const { looseGPerMl, overrunFrac, caffeineMgPerG } = store.pantry[id ?? ''] ?? UNTOLD;
      return {
        ingredient: {
          name: name.trim(),
          kind,
          per100G: compositionOfPackage(table),
          allergens: [...allergens],
          openedDays,
          looseGPerMl,
          overrunFrac,
          caffeineMgPerG,
          pricePerKg,
          source: `table on the package, per ${table.per}`,
          mark: 'practice',
        },
      };
    } catch (error) {
      if (!(error instanceof DomainError)) throw error;
      const wrong =
        error.data['name'] === 'sugarG'
          ? 'The sugars are part of the carbohydrate: they cannot be more than it.'
          : 'That is more than 100 in all. Check the table, and whether it is per 100 g or 100 mL.';
      return { wrong };
    }
  });

  const discard = (): void => void (form.value = emptyForm());

  /** Takes an ingredient's table in hand; a table does not list coffee, so what holds some stays. */
  function edit({ id, name, kind, allergens, openedDays, pricePerKg, per100G }: Ingredient): void {
    const table = packageOfComposition(per100G);
    form.value = { ...table, id, name, kind, allergens: [...allergens], openedDays, pricePerKg };
  }

  async function add(): Promise<void> {
    if ('wrong' in fromPackage.value || form.value.name.trim() === '') return;
    const known = form.value.id === null ? undefined : store.pantry[form.value.id];
    if (known) {
      const isSaved = await save(known, fromPackage.value.ingredient, 'as its package says');
      if (isSaved) discard();
      return;
    }
    const { allergens, ...rest } = fromPackage.value.ingredient;
    const item: PantryItem = { ...rest, allergens: [...allergens], id: newId(), version: 0 };
    try {
      const saved = await store.saveItem(item);
      discard();
      notice.say({
        tone: 'done',
        text: `${saved.name} is on the shelf.`,
        undo: () => store.removeItem(saved),
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: `Not saved. ${sentenceOf(error)}` });
    }
  }

  async function remove(ingredient: Ingredient): Promise<void> {
    const own = ownOf(ingredient.id);
    if (!own) return;
    try {
      await store.removeItem(own);
      notice.say({
        tone: 'done',
        text: isBuiltIn(own.id) ? `${own.name} is as it was built in.` : `${own.name} is gone.`,
        undo: async () => {
          await store.saveItem({ ...own, version: 0 });
        },
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  return {
    sought,
    rows,
    open: useOpened(),
    ownOf,
    isBuiltIn,
    save,
    form,
    fromPackage,
    add,
    edit,
    discard,
    remove,
  };
}

/** What a package leaves untold of a liquid. */
const UNTOLD = { looseGPerMl: null, overrunFrac: 0, caffeineMgPerG: 0 };

const isBuiltIn = (id: string): boolean => Object.hasOwn(INGREDIENTS, id);
