import { caffeineAtStrength } from '@ratio/core/coffee';
import {
  blended,
  blendToStrengthG,
  roomFor,
  stretched,
  waterToStrengthG,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
} from '@ratio/core/jug';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useDrinks, useMenu } from '../drink/index.ts';
import { useJugs } from '../events/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice } from '../sync/index.ts';

/** What somebody is about to do to a jug, worked out before it is done. */
export interface Balance {
  readonly addG: number;
  readonly afterG: number;
  readonly afterFrac: number;
  /** Why it cannot be done; empty where it can. */
  readonly wrong: string;
}

/** One jug: its ledger, and the balances of what can be done to it. */
export function useJug() {
  const route = useRoute();
  const jugs = useJugs();
  const drinks = useDrinks();
  const shop = useShop();
  const notice = useNotice();
  const menu = useMenu();
  const format = useAmountFormat();

  const jug = computed<Jug | null>(
    () => jugs.jugs.find(({ id }) => id === route.params['id']) ?? null,
  );
  const entries = ref<JugEntry[]>([]);
  // At every answer: a row that is still on its way is in what the jug holds already, and not in its ledger.
  watch(
    jug,
    async () => {
      if (jug.value) entries.value = await jugs.entries(jug.value.id).catch(() => entries.value);
    },
    { immediate: true },
  );

  const others = computed(() => jugs.onHand.filter(({ id }) => id !== jug.value?.id));
  const content = computed(() => ({
    massG: jug.value?.onHandG ?? 0,
    strengthFrac: jug.value?.strengthFrac ?? 0,
  }));

  function thinTo(wantedFrac: number): Balance {
    const { massG, strengthFrac } = content.value;
    if (wantedFrac > strengthFrac)
      return none('It is weaker than that already. Blend it with a stronger one.');
    const addG = waterToStrengthG({ massG, strengthFrac, wantedFrac });
    return checked({ addG, afterG: massG + addG, afterFrac: wantedFrac });
  }

  function blendWith(other: Jug, wantedFrac: number): Balance {
    const { massG, strengthFrac } = content.value;
    const withFrac = other.strengthFrac;
    const between =
      (wantedFrac - strengthFrac) * (withFrac - wantedFrac) > 0 || wantedFrac === strengthFrac;
    if (!between)
      return none('No amount of that jug brings it there: the strength must lie between the two.');
    const addG = blendToStrengthG({ massG, strengthFrac, wantedFrac, withFrac });
    const after = blended(content.value, { massG: addG, strengthFrac: withFrac });
    if (addG > other.onHandG) {
      const { mass } = format.value;
      return none(
        `${other.label} holds ${mass(other.onHandG)}, and this takes ${mass(addG)} of it.`,
      );
    }
    return checked({ addG, afterG: after.massG, afterFrac: after.strengthFrac });
  }

  function stretchTo(toG: number): Balance {
    const { massG, strengthFrac } = content.value;
    if (toG < massG) return none('There is more in it than that already.');
    const { waterG, strengthFrac: afterFrac } = stretched({ massG, strengthFrac, toG });
    return checked({ addG: waterG, afterG: toG, afterFrac });
  }

  /** A balance that adds up; it may still not fit the jug. */
  function checked(balance: Omit<Balance, 'wrong'>): Balance {
    const capacityMl = jug.value?.capacityMl ?? null;
    const { afterG, afterFrac } = balance;
    const { needMl, fits } = roomFor({ capacityMl, massG: afterG, strengthFrac: afterFrac });
    const wrong = `It would be ${format.value.volume(needMl)}, and the jug holds ${format.value.volume(capacityMl ?? needMl)}. Draw some off first, or add less.`;
    return { ...balance, wrong: fits ? '' : wrong };
  }

  /** What the menu becomes with the jug at another strength. */
  function menuAt(strengthFrac: number, onHandG: number) {
    if (!jug.value) return { met: 0, short: [] as string[], counts: [] };
    const caffeineMgPerG = caffeineAtStrength({ ...jug.value, wantedFrac: strengthFrac });
    const from = { strengthFrac, caffeineMgPerG, onHandG };
    const counts = drinks.drinks.map((drink) => ({
      name: drink.name,
      count: menu.countOf(from, drink),
    }));
    return {
      met: counts.filter(({ count }) => count > 0).length,
      short: counts.filter(({ count }) => count === 0).map(({ name }) => name),
      counts,
    };
  }

  const doing = ref(false);
  /** Does something to the jug, and says how that went; @returns whether it was done. */
  async function enter(
    request: JugEntryRequest extends infer R
      ? R extends { id: string }
        ? Omit<R, 'id'>
        : never
      : never,
    text: string,
  ): Promise<boolean> {
    const of = jug.value;
    if (!of) return false;
    doing.value = true;
    const id = newId();
    try {
      await jugs.enter(of, { ...request, id } as JugEntryRequest);
      // What takes something back is not taken back itself.
      const undo = request.kind === 'undone' ? {} : { undo: () => jugs.undo(of, id) };
      notice.say({ tone: 'done', text, ...undo });
      return true;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      return false;
    } finally {
      doing.value = false;
    }
  }

  return { jug, entries, others, thinTo, blendWith, stretchTo, menuAt, enter, doing, jugs, shop };
}

const none = (wrong: string): Balance => ({ addG: 0, afterG: 0, afterFrac: 0, wrong });
