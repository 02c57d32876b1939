import {
  drinksLeft,
  pouredFromJug,
  THIS_ONCE,
  type Drink,
  type MeasuredDrink,
  type SolvedDrink,
} from '@ratio/core/drink';
import { computed, ref, type Ref } from 'vue';
import { useDrinks } from './drinks.ts';
import { useJugs } from '../events/index.ts';
import { useAmountFormat } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';

/** Pouring the drink in hand from the jug in hand, so many at once. */
export function usePouring(input: {
  drink: Readonly<Ref<Drink | null>>;
  solved: Readonly<Ref<SolvedDrink | null>>;
  /** Rounded to the bar's tools; null where nothing is rounded. */
  measured: Readonly<Ref<MeasuredDrink | null>>;
  count: Readonly<Ref<number>>;
  /** What is different from the usual, in words; null where nothing is, or where there is no usual. */
  changed: Readonly<Ref<string | null>>;
}) {
  const { drink, solved, measured, count, changed } = input;
  const jugs = useJugs();
  const menu = useDrinks();
  const notice = useNotice();
  const format = useAmountFormat();
  const pouring = ref(false);

  /** What one takes out of the jug as the chosen tool gives it, its coffee cubes too. */
  const each = computed(() =>
    solved.value ? pouredFromJug({ solved: solved.value, measured: measured.value }) : null,
  );
  const wholeG = computed(() => count.value * (each.value?.massG ?? 0));
  const enough = computed(() => jugs.chosen.onHandG >= wholeG.value);
  /** How many of it the jug still holds. */
  const left = computed(() =>
    drinksLeft({
      eachG: solved.value?.solution.status === 'met' ? each.value!.massG : null,
      onHandG: jugs.chosen.onHandG,
    }),
  );

  /** What somebody asked for after a sip is counted; poured it is in any case. */
  async function noteAsked(asked: Drink, change: string): Promise<void> {
    try {
      await menu.keep({ drink: asked, change, forWhom: THIS_ONCE });
    } catch (error) {
      const text = `${asked.name} is poured; that it was asked for is not noted. ${sentenceOf(error)}`;
      notice.say({ tone: 'wrong', text });
    }
  }
  async function pour(): Promise<void> {
    const jug = jugs.chosen;
    const poured = drink.value;
    if (jugs.isAssumed || !poured || !each.value) return;
    pouring.value = true;
    // As it stands when the button is pressed: another drink may be in hand when the answer comes.
    const id = newId();
    const change = changed.value;
    const massG = wholeG.value;
    const name = count.value === 1 ? poured.name : `${count.value} × ${poured.name}`;
    const amount = format.value.volume(count.value * each.value.concentrateMl);
    try {
      await jugs.pour({ jug, id, massG, note: name });
      const text = `${name}: ${amount} from ${jug.label}.`;
      notice.say({ tone: 'done', text, undo: () => jugs.undo(jug, id) });
      if (change !== null) await noteAsked(poured, change);
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    } finally {
      pouring.value = false;
    }
  }

  return { pouring, enough, left, pour };
}
