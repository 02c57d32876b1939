import { takeWay, waysToReach, wayText, type Drink, type SolvedDrink, type Way } from '@ratio/core';
import { computed, type Ref } from 'vue';
import { useJugs } from '../../stores/jugs.ts';
import { useMenu } from '../../stores/menu.ts';
import { useWords } from '../../stores/useWords.ts';
import type { useDrinkInHand } from './useDrinkInHand.ts';

/** What would bring a drink out of reach to its target, each taken by one tap where it can be. */
export function useWays(of: {
  hand: ReturnType<typeof useDrinkInHand>;
  solved: Readonly<Ref<SolvedDrink | null>>;
}) {
  const { hand, solved } = of;
  const jugs = useJugs();
  const menu = useMenu();
  const words = useWords();

  return computed(() => {
    const drink = hand.drink.value;
    if (!solved.value || !drink) return [];
    const { input, solution } = solved.value;
    return waysToReach(input, solution).map((way) => {
      const part = takeWay({ drink, way, iceG: solution.iceG });
      const jug = strongEnough(way);
      return {
        way,
        text: wayText(way, words.words) + (jug ? `: ${jug.label}` : ''),
        take: part ? () => taken(way, part) : jug ? () => jugs.choose(jug.id) : null,
      };
    });
  });

  function taken(way: Way, part: Partial<Drink>): void {
    // Ice from the freezer is not the ice of the day.
    if (way.way === 'freezer_ice') menu.iceTodayC = null;
    hand.change(part);
  }

  /** The weakest jug on hand that a way to another batch would do with. */
  function strongEnough(way: Way) {
    if (way.way !== 'stronger_batch') return null;
    const [weakest] = jugs.onHand
      .filter(({ strengthFrac }) => strengthFrac >= way.strengthFrac)
      .sort((a, b) => a.strengthFrac - b.strengthFrac);
    return weakest ?? null;
  }
}
