import {
  buildOrder,
  coffeeOf,
  ICE_SHAPES,
  icePieceG,
  ofMass,
  type BuildStep,
  type Drink,
  type Ingredient,
  type Measured,
  type MeasuredDrink,
  type SolvedDrink,
  type WayWords,
} from '@ratio/core';
import { computed, type Ref } from 'vue';
import { cssColour } from '../../drawing/colour.ts';
import { useWords } from '../../stores/useWords.ts';

/** What is poured in which order: as a list in the bar's measures, and as layers to draw. */
export function useBuild(of: {
  drink: Readonly<Ref<Drink | null>>;
  solved: Readonly<Ref<SolvedDrink | null>>;
  /** Rounded to the bar's tools; null where nothing is rounded. */
  measured: Readonly<Ref<MeasuredDrink | null>>;
  /** How many glasses at once. */
  count: Readonly<Ref<number>>;
}) {
  const { drink, solved, measured, count } = of;
  const words = useWords();

  const steps = computed<BuildStep[]>(() => {
    const found = solved.value;
    if (!found) return [];
    const { additions } = found.input;
    const { iceG, concentrateMl, fills } = found.solution;
    return buildOrder({ iceG, concentrateMl, fills, additions });
  });
  const iceText = computed(() => iceOf(drink.value, solved.value, words.words));

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
          ? coffeeOf({ massG: 1, strengthFrac: solved.value?.input.concentrate.strengthFrac ?? 0 })
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

  return { iceText, build, layers };
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

function iceOf(drink: Drink | null, solved: SolvedDrink | null, words: WayWords) {
  const told = drink?.ice;
  const iceG = solved?.solution.iceG ?? 0;
  if (!told || !solved || iceG === 0) return null;
  // As it was solved: the ice of the day may be another than the drink's own.
  const { tempC, coffeeFrac } = solved.input.glass.ice ?? told;
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
    /** Empty for water ice. */
    colour: coffeeFrac > 0 ? cssColour(coffeeOf({ massG: 1, strengthFrac: coffeeFrac })) : '',
    text: [`${words.mass(iceG)} ${name.toLowerCase()}`, pieces, words.temp(tempC)]
      .filter(Boolean)
      .join(', '),
  };
}
