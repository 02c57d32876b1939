import {
  CONSTANTS,
  coffeeOf,
  buildOrder,
  explainDrink,
  fillTempForC,
  ICE_SHAPES,
  icePieceG,
  inBulk,
  measuredDrink,
  ofMass,
  siphonPlan,
  solveDrink,
  wayText,
  waysToReach,
  type BuildStep,
  type Drink,
  type Ingredient,
  type Measured,
  type MeasuredBy,
  type WayWords,
} from '@ratio/core';
import { computed, ref, watch } from 'vue';
import { cssColour } from '../../drawing/colour.ts';
import { useJugs } from '../../stores/jugs.ts';
import { useMenu } from '../../stores/menu.ts';
import { usePantry } from '../../stores/pantry.ts';
import { useShop } from '../../stores/shop.ts';
import { useStored } from '../../stores/useStored.ts';
import { useWords } from '../../stores/useWords.ts';
import { useDrinkInHand } from './useDrinkInHand.ts';

/** How the bar measures on this tablet. */
export type Measuring = MeasuredBy | 'exact';

const WARM_CUP_C = 62;
const LEAST_FRAC = 0.001;
const MOST_FRAC = 0.2;

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
  const ways = computed(() =>
    solved.value
      ? waysToReach(solved.value.input, solved.value.solution).map((way) => ({
          way,
          text: wayText(way, words.words),
        }))
      : [],
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

  const steps = computed<BuildStep[]>(() => {
    const found = solved.value;
    if (!found) return [];
    const { additions } = found.input;
    const { iceG, concentrateMl, fills } = found.solution;
    return buildOrder({ iceG, concentrateMl, fills, additions });
  });
  const iceText = computed(() => iceOf(drink.value, solution.value?.iceG ?? 0, words.words));

  const build = computed(() =>
    steps.value.map((step) => {
      const n = count.value;
      if (step.part === 'ice')
        return {
          key: 'ice',
          name: iceText.value?.name ?? 'Ice',
          amount: words.mass(n * (measured.value?.iceG ?? step.massG)),
          beside: n === 1 ? (iceText.value?.pieces ?? '') : `${n} × ${words.mass(step.massG)}`,
        };
      const tool = toolFor(step);
      const volumeMl = n * (tool?.volumeMl ?? step.volumeMl);
      return {
        key: keyOf(step),
        name: nameOf(step),
        amount: words.volume(volumeMl),
        beside: tool ? toolText(tool, n, words.mass) : words.otherVolume(volumeMl),
      };
    }),
  );

  function toolFor(step: Exclude<BuildStep, { part: 'ice' }>): Measured | null {
    if (!measured.value) return null;
    if (step.part === 'concentrate') return measured.value.concentrate;
    const { additions, fills } = measured.value;
    return (step.part === 'addition' ? additions : fills)[step.index] ?? null;
  }

  const layers = computed(() =>
    steps.value.flatMap((step) => {
      if (step.part === 'ice') return [];
      const composition =
        step.part === 'concentrate'
          ? coffeeOf({ massG: 1, strengthFrac: jugs.chosen?.strengthFrac ?? 0 })
          : ofMass({ ingredient: step.ingredient, massG: 1 });
      return [
        {
          key: keyOf(step),
          name: nameOf(step),
          amount: words.volume(step.volumeMl),
          volumeMl: step.volumeMl,
          colour: cssColour(composition),
          onTop: step.part !== 'concentrate' && isOnTop(step.ingredient),
        },
      ];
    }),
  );

  /** Another strength or minute, for this once. */
  function aim(target: { strengthFrac?: number; atMinutes?: number }): void {
    const strengthFrac = target.strengthFrac ?? wanted.value;
    hand.change({
      target: {
        strengthFrac: Math.min(MOST_FRAC, Math.max(LEAST_FRAC, strengthFrac)),
        atMinutes: target.atMinutes ?? minute.value,
      },
    });
  }
  const wanted = computed(() => {
    const target = drink.value?.target;
    return target && 'strengthFrac' in target
      ? target.strengthFrac
      : (solution.value?.strengthFrac ?? 0);
  });

  /** A layer of the drawing was dragged to another volume. */
  function setLayer(key: string, volumeMl: number): void {
    const found = solution.value;
    const now = drink.value;
    if (!found || !now) return;
    const [part, at] = key.split('-') as [string, string | undefined];
    const index = Number(at);
    if (part === 'addition') {
      const one = now.additions[index];
      if (one) hand.change({ additions: now.additions.with(index, { ...one, volumeMl }) });
    } else if (part === 'fill' && now.fillAlso.length > 0) {
      const whole = Math.max(2, found.fillMl);
      const mine = Math.min(whole - 1, Math.max(1, volumeMl));
      const others = whole - (found.fills[index]?.volumeMl ?? 0);
      const [first, ...rest] = found.fills.map(({ volumeMl: ml }, i) => {
        const { ingredient, tempC } = [now.fillWith, ...now.fillAlso][i]!;
        const share = i === index ? mine : (ml * (whole - mine)) / Math.max(others, 1e-6);
        return { ingredient, tempC, share: Number(Math.max(share, 0.01).toFixed(2)) };
      });
      hand.change({ fillWith: first!, fillAlso: rest });
    } else {
      const concentrateMl =
        part === 'concentrate' ? volumeMl : found.concentrateMl + found.fillMl - volumeMl;
      aimByHand(Math.max(0, concentrateMl));
    }
  }

  /** The target that an amount of concentrate by hand amounts to, told in the drink's own way. */
  function aimByHand(concentrateMl: number): void {
    const now = drink.value;
    const jug = jugs.chosen;
    if (!now || !jug) return;
    const { target } = now;
    if ('concentrateMl' in target) {
      hand.change({ target: { ...target, concentrateMl } });
      return;
    }
    const trial = menu.solve({ ...now, target: { concentrateMl, told: 'volume' } }, jug);
    if (!trial) return;
    const { caffeineMg, fillMl, timeline } = trial.solution;
    if ('caffeineMg' in target) hand.change({ target: { caffeineMg } });
    else if ('parts' in target) {
      const fill = target.parts.fill || 1;
      const concentrate = Number(((fill * concentrateMl) / Math.max(fillMl, 1)).toFixed(2));
      hand.change({ target: { parts: { concentrate, fill } } });
    } else {
      const at = timeline[Math.round(minute.value)];
      if (at) aim({ strengthFrac: at.strengthFrac });
    }
  }

  function setIce(massG: number): void {
    const now = drink.value;
    if (!now?.ice) return;
    const { tempC, coffeeFrac, kind, part } = now.ice;
    hand.change({ ice: { massG: Math.round(massG), tempC, coffeeFrac, kind, part } });
  }

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
    wanted,
    cost,
    ways,
    otherIce,
    iceText,
    build,
    layers,
    bulk,
    hot,
    aim,
    setLayer,
    setIce,
    measureBy: (by: Measuring) => (measuring.value = by),
    pourTimes: (glasses: number) => (count.value = glasses),
    setCup: (cupMl: number) => hand.change({ cupMl: Math.round(cupMl) }),
  };
}

const isOnTop = ({ overrunFrac }: Ingredient): boolean => overrunFrac > 0;
const keyOf = (step: Exclude<BuildStep, { part: 'ice' }>): string =>
  step.part === 'concentrate' ? step.part : `${step.part}-${step.index}`;
const nameOf = (step: Exclude<BuildStep, { part: 'ice' }>): string =>
  step.part === 'concentrate' ? 'Concentrate' : step.ingredient.name;

function toolText(
  { tool, count, volumeMl }: Measured,
  times: number,
  mass: (massG: number) => string,
): string {
  const each = times === 1 ? '' : `${times} × `;
  if (tool === 'pump') return `${each}${count} pump${count === 1 ? '' : 's'}`;
  if (tool === 'spoon') return `${each}${count} tsp`;
  if (tool === 'scale') return `${each}${mass(count)} on the scale`;
  return times === 1 ? 'jigger' : `${times} × ${volumeMl.toFixed(0)}`;
}

function iceOf(drink: Drink | null, iceG: number, words: WayWords) {
  const told = drink?.ice;
  if (!told || iceG === 0) return null;
  const { edgeM } = ICE_SHAPES[told.kind];
  const count = Math.max(1, Math.round(iceG / icePieceG(told.kind)));
  const isCoffee = told.coffeeFrac > 0 || told.part !== undefined;
  const pieces = {
    cubes: `${count} cube${count === 1 ? '' : 's'}`,
    crushed: isCoffee ? 'crushed' : '',
    large: `${count} large`,
  }[told.kind];
  const name = isCoffee ? 'Coffee ice' : told.kind === 'crushed' ? 'Crushed ice' : 'Ice';
  return {
    count,
    edgeMm: edgeM * 1000,
    pieces,
    name,
    isCoffee,
    massG: iceG,
    text: [`${words.mass(iceG)} ${name.toLowerCase()}`, pieces, words.temp(told.tempC)]
      .filter(Boolean)
      .join(', '),
  };
}
