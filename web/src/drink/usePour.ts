import { CONSTANTS } from '@ratio/core/constants';
import { diluentTempC, bulkOf, measuredDrink, siphonPlan, solveDrink } from '@ratio/core/drink';
import { computed, ref, watch } from 'vue';
import { useBuild } from './useBuild.ts';
import { usePouring } from './usePouring.ts';
import { useDragging } from './useDragging.ts';
import { useDrinkInHand } from './useDrinkInHand.ts';
import { useRemedies } from './useRemedies.ts';
import { useMenu } from './menu.ts';
import { useJugs } from '../events/index.ts';
import { usePantry } from '../pantry/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { useStored, type Kept } from '../sync/index.ts';

/** How the bar measures on this tablet. */
export type Measuring = Kept['ratio.measuring'];

/** A cup that is warm to drink and does not scald (common practice). */
const WARM_CUP_C = 62;
/** From here on a drink without ice is a hot one. */
const HOT_FROM_C = 35;

/** The drink in hand, solved from the jug in hand, and how the page shows it. */
export function usePour() {
  const shop = useShop();
  const jugs = useJugs();
  const menu = useMenu();
  const pantry = usePantry();
  const format = useAmountFormat();
  const hand = useDrinkInHand();
  const { drink } = hand;
  const measuring = useStored('ratio.measuring', 'jigger');
  /** How many of it are poured at once. */
  const count = ref(1);
  watch(
    () => drink.value?.id,
    () => (count.value = 1),
  );

  const solved = computed(() => {
    return drink.value ? menu.solve(drink.value, jugs.chosen) : null;
  });
  const solution = computed(() => solved.value?.solution ?? null);
  const minute = computed(() => {
    const target = drink.value?.target;
    return target && 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value;
  });
  const measured = computed(() => {
    const { document: details } = shop;
    if (!solved.value || !details || measuring.value === 'exact') return null;
    const { input: of, solution: found } = solved.value;
    return measuredDrink({ drink: of, solution: found, tools: details.bar, by: measuring.value });
  });
  const cost = computed(() => (solved.value ? menu.costOf(solved.value, jugs.chosen) : null));
  /** The same drink over coffee ice of the jug (or over water ice), brought to the same target. */
  const otherIce = computed(() => {
    const input = solved.value?.input;
    const ice = input?.glass.ice;
    if (!input || !ice) return null;
    const coffeeFrac = ice.coffeeFrac > 0 ? 0 : input.concentrate.strengthFrac;
    const other = solveDrink({
      ...input,
      glass: { ...input.glass, ice: { ...ice, coffeeFrac, recipe: undefined } },
    });
    const timeline = other.timeline();
    return timeline.length > 0
      ? { name: coffeeFrac > 0 ? 'coffee ice' : 'water ice', timeline }
      : null;
  });

  /** Made for many glasses at once: a siphon or a keg. */
  const bulk = computed(() => {
    const { document: details } = shop;
    const serve = drink.value?.serve;
    if (!solved.value || !details || !serve || serve === 'built') return null;
    const { input, solution: found } = solved.value;
    const { siphonMl, kegMl, chargesPerFill, chargePrice } = details.bar;
    const volumeMl = serve === 'keg' ? kegMl : siphonMl * CONSTANTS.siphonFillFrac.value;
    const made = bulkOf({ drink: input, solution: found, volumeMl });
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
  /** For a hot drink: how hot its diluent must be for a warm cup. */
  const hot = computed(() => {
    const input = solved.value?.input;
    if (!input || input.glass.ice || !solution.value || solution.value.mixed.tempC < HOT_FROM_C)
      return null;
    const tempC = diluentTempC({ drink: input, cupC: WARM_CUP_C });
    return { cupC: solution.value.mixed.tempC, wantedC: WARM_CUP_C, fillC: tempC };
  });

  /** What is changed for this once of a drink that the menu has. */
  const changed = computed(() =>
    hand.usual.value && hand.usual.value.version > 0 && hand.changes.value.length > 0
      ? hand.changes.value.join('; ')
      : null,
  );
  const building = useBuild({ drink, solved, measured, count });
  const ownIceName = computed(() => {
    const ice = building.iceText.value;
    if (!ice) return 'without ice';
    return ice.isCoffee ? 'coffee ice' : 'water ice';
  });

  return {
    ...building,
    ...useDragging({ hand, solution, minute }),
    ...useRemedies({ hand, solved }),
    ...usePouring({ drink, solved, measured, count, changed }),
    ownIceName,
    shop,
    jugs,
    menu,
    pantry,
    format,
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
  };
}
