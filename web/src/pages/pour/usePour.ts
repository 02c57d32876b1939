import {
  CONSTANTS,
  explainDrink,
  fillTempForC,
  inBulk,
  measuredDrink,
  siphonPlan,
  solveDrink,
  type MeasuredBy,
} from '@ratio/core';
import { computed, ref, watch } from 'vue';
import { useJugs } from '../../stores/jugs.ts';
import { useMenu } from '../../stores/menu.ts';
import { usePantry } from '../../stores/pantry.ts';
import { useShop } from '../../stores/shop.ts';
import { useStored } from '../../stores/useStored.ts';
import { useWords } from '../../stores/useWords.ts';
import { useBuild } from './useBuild.ts';
import { useDragging } from './useDragging.ts';
import { useDrinkInHand } from './useDrinkInHand.ts';
import { useWays } from './useWays.ts';

/** How the bar measures on this tablet. */
export type Measuring = MeasuredBy | 'exact';

const WARM_CUP_C = 62;

/** The drink in hand, solved from the jug in hand, and how the page shows it. */
export function usePour() {
  const shelf = useShop();
  const jugs = useJugs();
  const menu = useMenu();
  const pantry = usePantry();
  const words = useWords();
  const hand = useDrinkInHand();
  const { drink } = hand;
  const measuring = useStored<Measuring>('ratio.measuring', 'jigger');
  /** How many of it are poured at once. */
  const count = ref(1);
  watch(
    () => drink.value?.id,
    () => (count.value = 1),
  );

  const solved = computed(() => {
    const jug = jugs.chosen;
    return jug && drink.value ? menu.solve(drink.value, jug) : null;
  });
  const solution = computed(() => solved.value?.solution ?? null);
  const minute = computed(() => {
    const target = drink.value?.target;
    return target && 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value;
  });
  const measured = computed(() => {
    const { shop } = shelf;
    if (!solved.value || !shop || measuring.value === 'exact') return null;
    const { input: of, solution: found } = solved.value;
    return measuredDrink({ drink: of, solution: found, tools: shop.bar, by: measuring.value });
  });
  const cost = computed(() =>
    solved.value && jugs.chosen ? menu.costOf(solved.value, jugs.chosen) : null,
  );
  /** The same drink over coffee ice of the jug (or over water ice), brought to the same target. */
  const otherIce = computed(() => {
    const input = solved.value?.input;
    const ice = input?.glass.ice;
    if (!input || !ice) return null;
    const coffeeFrac = ice.coffeeFrac > 0 ? 0 : input.concentrate.strengthFrac;
    const other = solveDrink({
      ...input,
      glass: { ...input.glass, ice: { ...ice, coffeeFrac, part: undefined } },
    });
    return other.timeline.length > 0
      ? { name: coffeeFrac > 0 ? 'coffee ice' : 'water ice', timeline: other.timeline }
      : null;
  });

  /** Made for many glasses at once: a siphon or a keg. */
  const bulk = computed(() => {
    const { shop } = shelf;
    const serve = drink.value?.serve;
    if (!solved.value || !shop || !serve || serve === 'built') return null;
    const { input, solution: found } = solved.value;
    const { siphonMl, kegMl, chargesPerFill, chargePrice } = shop.bar;
    const volumeMl = serve === 'keg' ? kegMl : siphonMl * CONSTANTS.siphonFillFrac.value;
    const made = inBulk({ drink: input, solution: found, volumeMl });
    if (!made) return null;
    const plan =
      serve === 'siphon'
        ? siphonPlan({
            siphonMl,
            chargesPerFill,
            chargePrice,
            perGlassMl: made.perGlassMl,
            count: Math.max(1, made.glasses),
          })
        : null;
    return { ...made, serve, plan };
  });
  /** For a hot drink: how hot its filler must be for a cup of 62 °C. */
  const hot = computed(() => {
    const input = solved.value?.input;
    if (!input || input.glass.ice || !solution.value || solution.value.mixed.tempC < 35)
      return null;
    const tempC = fillTempForC({ drink: input, cupC: WARM_CUP_C });
    return { cupC: solution.value.mixed.tempC, wantedC: WARM_CUP_C, fillC: tempC };
  });

  const explained = computed(() =>
    solved.value && cost.value
      ? explainDrink({
          solved: solved.value,
          cost: cost.value,
          concentratePricePerKg: jugs.chosen?.pricePerKg ?? null,
        })
      : null,
  );

  return {
    ...useBuild({ drink, solved, measured, count }),
    ...useDragging({ hand, solution, minute }),
    ways: useWays({ hand, solved }),
    explained,
    shelf,
    jugs,
    menu,
    pantry,
    words,
    hand,
    drink,
    solved,
    solution,
    measuring,
    measured,
    count,
    minute,
    cost,
    otherIce,
    bulk,
    hot,
    measureBy: (by: Measuring) => (measuring.value = by),
    pourTimes: (glasses: number) => (count.value = glasses),
  };
}
