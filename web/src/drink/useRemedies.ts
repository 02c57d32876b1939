import {
  applyRemedy,
  remedies,
  remedyText,
  type SolvedDrink,
  type Remedy,
} from '@ratio/core/drink';
import { computed, type Ref } from 'vue';
import { useDrinks } from './drinks.ts';
import type { useDrinkInHand } from './useDrinkInHand.ts';
import { useJugs } from '../events/index.ts';
import { useAmountFormat } from '../shop/index.ts';

/** What would bring a drink out of reach to its target, each applied by one tap where it can be. */
export function useRemedies(given: {
  hand: ReturnType<typeof useDrinkInHand>;
  solved: Readonly<Ref<SolvedDrink | null>>;
}) {
  const { hand, solved } = given;
  const jugs = useJugs();
  const drinks = useDrinks();
  const format = useAmountFormat();

  const found = computed(() => {
    const drink = hand.drink.value;
    if (!solved.value || !drink) return [];
    const { input, solution } = solved.value;
    return remedies(input, solution).map((remedy) => ({
      remedy,
      change: applyRemedy({ drink, remedy, iceG: solution.iceG }),
      jug: strongEnough(remedy),
    }));
  });

  /** The weakest jug on hand that would do in place of another batch. */
  function strongEnough(remedy: Remedy) {
    if (remedy.remedy !== 'stronger_batch') return null;
    const [weakest] = jugs.onHand
      .filter(({ strengthFrac }) => strengthFrac >= remedy.strengthFrac)
      .sort((a, b) => a.strengthFrac - b.strengthFrac);
    return weakest ?? null;
  }

  return {
    remedies: computed(() =>
      found.value.map(({ remedy, change, jug }) => ({
        name: remedy.remedy,
        text: remedyText(remedy, format.value) + (jug ? `: ${jug.label}` : ''),
        canApply: change !== null || jug !== null,
      })),
    ),
    /** Changes the drink in hand, or takes a stronger jug. */
    applyRemedy(name: string): void {
      const one = found.value.find(({ remedy }) => remedy.remedy === name);
      // Ice from the freezer is not the ice of the day.
      if (name === 'freezer_ice') drinks.iceTodayC = null;
      if (one?.change) hand.change(one.change);
      else if (one?.jug) jugs.choose(one.jug.id);
    },
  };
}
