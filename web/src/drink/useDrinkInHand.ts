import { adjustDrink, drinkChanges, type Adjustment, type Drink } from '@ratio/core/drink';
import { computed, ref } from 'vue';
import { useDrinks } from './drinks.ts';
import { newDrink, useEditedDrink } from './useEditedDrink.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useAskedFor, useNotice, useStored } from '../sync/index.ts';

/**
 * The drink in hand: one of the menu, or that one changed for this once. What is changed stays here
 * through a reload, until it is poured as it is, kept, or discarded.
 */
export function useDrinkInHand() {
  const shop = useShop();
  const menu = useDrinks();
  const notice = useNotice();
  const pantry = usePantry();
  const format = useAmountFormat();
  const chosenId = useStored('ratio.drink', null);
  const { edited } = useEditedDrink();
  const keeping = ref(false);
  let keptId = newId();

  const usual = computed<Drink | null>(
    () => menu.drinks.find(({ id }) => id === chosenId.value) ?? menu.drinks[0] ?? null,
  );
  // What was changed here is discarded where one of its ingredients has left the shelf meanwhile.
  const drink = computed<Drink | null>(() =>
    edited.value && pantry.holds(edited.value) ? edited.value : usual.value,
  );
  const isNew = computed(
    () => edited.value?.version === 0 && !menu.drinks.some(({ id }) => id === edited.value?.id),
  );
  const changes = computed(() =>
    edited.value && usual.value && !isNew.value
      ? drinkChanges({
          before: usual.value,
          after: edited.value,
          pantry: pantry.pantry,
          texts: format.value,
        })
      : [],
  );

  /** What is changed or new is let go, and can be taken back; `text` says what becomes of a change. */
  function dropChanges(text = 'as usual again.'): void {
    const [gone, was, beforeId] = [edited.value, isNew.value, chosenId.value];
    const isNews = gone !== null && (was || changes.value.length > 0);
    edited.value = null;
    if (!isNews) return;
    notice.say({
      tone: 'done',
      text: `${gone.name}: ${was ? 'let go before it was kept.' : text}`,
      undo: async () => {
        [chosenId.value, edited.value] = [beforeId, gone];
      },
    });
  }
  function choose(id: string): void {
    dropChanges();
    chosenId.value = id;
  }
  useAskedFor({
    key: 'drink',
    what: 'drink on the menu',
    take: (id) => {
      // What is changed or new of it stays in hand.
      if (id !== (edited.value?.id ?? chosenId.value)) choose(id);
    },
    ids: () => [...menu.drinks, ...(edited.value ? [edited.value] : [])].map(({ id }) => id),
  });

  function change(part: Partial<Drink>): void {
    if (!drink.value) return;
    edited.value = { ...drink.value, ...part };
  }

  function adjust(by: Adjustment): void {
    const { document: details } = shop;
    if (!drink.value || !details) return;
    const next = adjustDrink({ drink: drink.value, by, pantry: pantry.pantry, tools: details.bar });
    if (next) edited.value = next;
    else notice.say({ tone: 'wrong', text: `There is nothing left that would make it ${by}.` });
  }

  /** Takes a kept version in hand, as the drink of this once. */
  function take(kept: Omit<Drink, 'id' | 'version'>): void {
    if (!usual.value) return;
    const { id, version } = usual.value;
    const taken = { ...kept, id, version };
    if (!pantry.holds(taken)) {
      const text = 'Something in it is not on the shelf any more. Nothing is changed.';
      notice.say({ tone: 'wrong', text });
      return;
    }
    dropChanges('what was changed and not kept is let go.');
    edited.value = taken;
  }

  async function keep(forWhom: string): Promise<void> {
    const kept = edited.value;
    const before = usual.value;
    if (!kept) return;
    keeping.value = true;
    try {
      const change = isNew.value ? 'new on the menu' : changes.value.join('; ');
      // Kept for somebody the usual stays; a drink that another tablet changed is refused.
      const saved = await menu.keep({ drink: kept, change, forWhom, id: keptId });
      keptId = newId();
      chosenId.value = saved.id;
      edited.value = null;
      const text =
        forWhom === '' ? `${kept.name}: kept as the usual.` : `${kept.name}: kept for ${forWhom}.`;
      const undo =
        forWhom === '' && before && before.id === saved.id
          ? async () => {
              const back = { ...before, version: saved.version };
              await menu.keep({ drink: back, change: 'undone', forWhom: '' });
            }
          : undefined;
      notice.say({ tone: 'done', text, ...(undo ? { undo } : {}) });
    } catch (error) {
      notice.say({ tone: 'wrong', text: `Not kept. ${sentenceOf(error)}` });
      await menu.load().catch(() => undefined);
      // The next try is for the drink as it is now.
      const now = menu.drinks.find(({ id }) => id === kept.id);
      if (now && edited.value) edited.value = { ...edited.value, version: now.version };
    } finally {
      keeping.value = false;
    }
  }

  async function remove(): Promise<void> {
    const gone = usual.value;
    if (isNew.value || !gone) return dropChanges();
    try {
      await menu.remove(gone);
      edited.value = null;
      notice.say({
        tone: 'done',
        text: `${gone.name} is off the menu.`,
        undo: async () => {
          await menu.keep({
            drink: { ...gone, version: 0 },
            change: 'back on the menu',
            forWhom: '',
          });
          choose(gone.id);
        },
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  return {
    drink,
    usual,
    edited,
    isNew,
    changes,
    keeping,
    choose,
    change,
    adjust,
    keep,
    remove,
    asUsual: () => dropChanges(),
    take,
    startNew: () => {
      const last = Math.max(0, ...menu.drinks.map(({ order }) => order));
      dropChanges();
      edited.value = newDrink(last + 1);
    },
  };
}
