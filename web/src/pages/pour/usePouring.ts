import {
  drawnG,
  drinksLeft,
  fromJugG,
  THIS_ONCE,
  type Drink,
  type SolvedDrink,
} from '@ratio/core/drink';
import { computed, ref, type Ref } from 'vue';
import { newId, sentenceOf } from '../../api/client.ts';
import { useAmountFormat } from '../../composables/useAmountFormat.ts';
import { useDrinks } from '../../stores/drinks.ts';
import { useJugs } from '../../stores/jugs.ts';
import { useNotice } from '../../stores/notice.ts';

/** Pouring the drink in hand from the jug in hand, so many at once. */
export function usePouring(of: {
  drink: Readonly<Ref<Drink | null>>;
  solved: Readonly<Ref<SolvedDrink | null>>;
  count: Readonly<Ref<number>>;
  /** What is different from the usual, in words; null where nothing is, or where there is no usual. */
  changed: Readonly<Ref<string | null>>;
}) {
  const { drink, solved, count, changed } = of;
  const jugs = useJugs();
  const menu = useDrinks();
  const notice = useNotice();
  const format = useAmountFormat();
  const pouring = ref(false);

  /** What one takes out of the jug, its coffee cubes too, g. */
  const eachG = computed(() =>
    solved.value ? fromJugG({ drink: solved.value.input, solution: solved.value.solution }) : 0,
  );
  const wholeG = computed(() => count.value * eachG.value);
  const enough = computed(() => jugs.chosen.onHandG >= wholeG.value);
  /** How many of it the jug still holds. */
  const left = computed(() =>
    drinksLeft({
      eachG: solved.value && drawnG(solved.value),
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
    if (jugs.isAssumed || !drink.value || !solved.value) return;
    pouring.value = true;
    const id = newId();
    const n = count.value;
    const name = n === 1 ? drink.value.name : `${n} × ${drink.value.name}`;
    try {
      await jugs.pour({ jug, id, massG: wholeG.value, note: name });
      const text = `${name}: ${format.value.volume(n * solved.value.solution.concentrateMl)} from ${jug.label}.`;
      notice.say({ tone: 'done', text, undo: () => jugs.undo(jug, id) });
      if (changed.value !== null) await noteAsked(drink.value, changed.value);
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    } finally {
      pouring.value = false;
    }
  }

  return { pouring, enough, left, pour };
}
