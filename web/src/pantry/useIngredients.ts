import { DomainError } from '@ratio/core/errors';
import {
  compositionOfPackage,
  INGREDIENTS,
  packageOfComposition,
  type Ingredient,
  type PantryItem,
} from '@ratio/core/pantry';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { usePantry } from './pantry.ts';
import { useOpened } from './useOpened.ts';
import { newId, useEdits, useStored, type Kept } from '../sync/index.ts';

/** An ingredient as its package has it, before it is on the shelf. */
export type PackageForm = Kept['ratio.package'];

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
  /** What stands open first, the soonest past above the others; then the shop's own; the rest by name. */
  const leftOf = ({ id }: Ingredient): number =>
    store.lifeOf(id)?.daysLeft ?? (ownOf(id) ? 1e6 : 2e6);
  const ownOf = (id: string): PantryItem | undefined => store.items.find((item) => item.id === id);

  const edits = useEdits(store.documents.items, ownOf);
  const itemOf = ({ allergens, ...rest }: Ingredient, version: number): PantryItem => ({
    ...rest,
    allergens: [...allergens],
    version,
  });

  /** Saves the shop's own values: of its own ingredient, or in place of a built-in one's. */
  function save(before: Ingredient, change: Partial<Ingredient>, what: string): Promise<boolean> {
    const own = ownOf(before.id);
    if (own) return edits.change(own, itemOf({ ...before, ...change }, own.version), what);
    const item = itemOf({ ...before, ...change }, 0);
    return edits.add(item, `${item.name}: ${what}`);
  }

  /** What the package amounts to; why not, where its table cannot be. */
  const fromPackage = computed<{ ingredient: Omit<Ingredient, 'id'> } | { wrong: string }>(() => {
    try {
      const { id, name, kind, allergens, openedDays, pricePerKg, ...table } = form.value;
      // What a package does not say stays as it was.
      const { looseGPerMl, overrunFrac, caffeineMgPerG, extraKcalPerG } =
        store.pantry[id ?? ''] ?? UNSAID;
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
          extraKcalPerG,
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
    const sent = form.value;
    const known = sent.id === null ? undefined : store.pantry[sent.id];
    // What somebody has taken in hand meanwhile stays.
    const discardSent = (): void => {
      if (form.value.id === sent.id && form.value.name === sent.name) discard();
    };
    if (known) {
      const isSaved = await save(known, fromPackage.value.ingredient, 'as its package says');
      if (isSaved) discardSent();
      return;
    }
    const isAdded = await edits.add(itemOf({ ...fromPackage.value.ingredient, id: newId() }, 0));
    if (isAdded) discardSent();
  }

  async function remove({ id }: Ingredient): Promise<void> {
    const own = ownOf(id);
    if (own)
      await edits.remove(own, isBuiltIn(id) ? `${own.name} is as it was built in.` : undefined);
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

/** What a package leaves unsaid of a liquid. */
const UNSAID = { looseGPerMl: null, overrunFrac: 0, caffeineMgPerG: 0, extraKcalPerG: 0 };

const isBuiltIn = (id: string): boolean => Object.hasOwn(INGREDIENTS, id);
