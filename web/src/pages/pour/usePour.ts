import {
  buildOrder,
  CONSTANTS,
  coffeeOf,
  convert,
  ICE_SHAPES,
  INGREDIENTS,
  ingredientOf,
  inOneLine,
  writeMass,
  writeTemp,
  writeVolume,
  type BuildStep,
  type Drink,
} from '@ratio/core';
import { storeToRefs } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { cssColour } from '../../drawing/colour.ts';
import { useJugs } from '../../stores/jugs.ts';
import { solveFrom, useMenu } from '../../stores/menu.ts';
import { useSettings } from '../../stores/settings.ts';
import { useShop } from '../../stores/shop.ts';
import { useStored } from '../../stores/useStored.ts';

/** The drink in hand, solved from the jug in hand, and how the page shows it. */
export function usePour() {
  const shelf = useShop();
  const jugs = useJugs();
  const menu = useMenu();
  const { units } = storeToRefs(useSettings());
  const { shop } = storeToRefs(shelf);
  const chosenId = useStored<string | null>('ratio.drink', null);
  const route = useRoute();
  watch(
    () => route.query['drink'],
    (asked) => {
      if (typeof asked === 'string') chosenId.value = asked;
    },
    { immediate: true },
  );
  /** A target for this one drink only, in place of the menu's. */
  const once = ref<{ strengthFrac: number; atMinutes: number } | null>(null);
  watch(chosenId, () => (once.value = null));

  const usual = computed<Drink | null>(
    () => shelf.drinks.find(({ id }) => id === chosenId.value) ?? shelf.drinks[0] ?? null,
  );
  const drink = computed<Drink | null>(() =>
    usual.value && once.value ? { ...usual.value, target: once.value } : usual.value,
  );
  const solve = (of: Drink) => {
    const jug = jugs.chosen;
    if (!jug || !shop.value) return null;
    const { roomC, fridgeC } = shop.value;
    return solveFrom({ drink: of, jug, roomC, fridgeC });
  };
  const solution = computed(() => (drink.value ? solve(drink.value) : null));
  const minute = computed(() => {
    const target = drink.value?.target;
    return target && 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value;
  });

  const mass = (massG: number): string => inOneLine(writeMass({ massG, units: units.value }));
  const volume = (volumeMl: number): string =>
    inOneLine(writeVolume({ volumeMl, units: units.value }));
  const otherVolume = (volumeMl: number): string =>
    inOneLine(writeVolume({ volumeMl, units: units.value === 'metric' ? 'us' : 'metric' }));
  const temp = (tempC: number): string => inOneLine(writeTemp({ tempC, units: units.value }));

  const ice = computed(() => {
    const told = drink.value?.ice;
    if (!told || !solution.value || solution.value.iceG === 0) return null;
    const { edgeM } = ICE_SHAPES[told.kind];
    const pieceG = CONSTANTS.iceDensityGPerMl.value * (edgeM * 100) ** 3;
    const count = Math.round(solution.value.iceG / pieceG);
    const pieces = told.kind === 'cubes' ? `${count} cubes` : 'crushed';
    return {
      count,
      edgeMm: edgeM * 1000,
      pieces,
      text: `${mass(solution.value.iceG)} ice, ${pieces}, ${temp(told.tempC)}`,
    };
  });

  const steps = computed<BuildStep[]>(() => {
    const found = solution.value;
    if (!drink.value || !found) return [];
    const { fillWith, additions } = drink.value;
    return buildOrder({
      iceG: found.iceG,
      concentrateMl: found.concentrateMl,
      fill: { ingredient: fillWith.ingredient, volumeMl: found.fillMl },
      additions,
    });
  });

  const stepName = (step: BuildStep): string => {
    if (step.part === 'ice') return drink.value?.ice?.kind === 'crushed' ? 'Crushed ice' : 'Ice';
    return step.part === 'concentrate' ? 'Concentrate' : INGREDIENTS[step.ingredient].name;
  };
  const build = computed(() =>
    steps.value.map((step) =>
      step.part === 'ice'
        ? { name: stepName(step), amount: mass(step.massG), beside: ice.value?.pieces ?? '' }
        : {
            name: stepName(step),
            amount: volume(step.volumeMl),
            beside: otherVolume(step.volumeMl),
          },
    ),
  );

  const layers = computed(() =>
    steps.value.flatMap((step) => {
      if (step.part === 'ice') return [];
      const composition =
        step.part === 'concentrate'
          ? coffeeOf({ massG: 1, strengthFrac: jugs.chosen?.strengthFrac ?? 0 })
          : ingredientOf({ ingredient: step.ingredient, massG: 1 });
      const key = step.part === 'concentrate' ? step.part : `${step.part}-${step.ingredient}`;
      return [
        {
          key,
          name: stepName(step),
          amount: volume(step.volumeMl),
          volumeMl: step.volumeMl,
          colour: cssColour(composition),
        },
      ];
    }),
  );
  const perUnitMl = computed(() =>
    units.value === 'metric' ? 1 : convert({ value: 1, from: 'fluidOunce', to: 'millilitre' }),
  );

  /** Another strength or minute, for this one drink. */
  function aim(target: { strengthFrac?: number; atMinutes?: number }): void {
    const strengthFrac = target.strengthFrac ?? wanted.value;
    once.value = {
      strengthFrac: Math.min(0.2, Math.max(0.001, strengthFrac)),
      atMinutes: target.atMinutes ?? minute.value,
    };
  }
  const wanted = computed(() => {
    const target = drink.value?.target;
    return target && 'strengthFrac' in target
      ? target.strengthFrac
      : (solution.value?.strengthFrac ?? 0);
  });
  /** The strength that an amount of concentrate gives, its filler making up the rest. */
  function aimByConcentrate(volumeMl: number): void {
    const found = solution.value;
    if (!drink.value || !found) return;
    const fill = Math.max(0, found.concentrateMl + found.fillMl - volumeMl);
    const trial = solve({ ...drink.value, target: { parts: { concentrate: volumeMl, fill } } });
    const at = trial?.timeline[Math.round(minute.value)];
    if (at) aim({ strengthFrac: at.strengthFrac });
  }

  return {
    shop,
    jugs,
    menu,
    units,
    drink,
    usual,
    once,
    solution,
    minute,
    wanted,
    ice,
    build,
    layers,
    perUnitMl,
    volume,
    temp,
    choose: (id: string) => (chosenId.value = id),
    aim,
    aimByConcentrate,
    asUsual: () => (once.value = null),
  };
}
