import {
  buildOrder,
  ICE_SHAPES,
  icePieceG,
  topLayer,
  type BuildStep,
  type Drink,
  type Measured,
  type MeasuredDrink,
  type SolvedDrink,
  type AmountTexts,
} from '@ratio/core/drink';
import { coffeeOf } from '@ratio/core/matter';
import { ofMass, type Ingredient } from '@ratio/core/pantry';
import { computed, type Ref } from 'vue';
import { cssColour, listText } from '../format/index.ts';
import { useAmountFormat } from '../shop/index.ts';

/** One line of a build: what, how much, and the same in the bar's measures. */
export interface BuildRow {
  readonly key: string;
  readonly name: string;
  readonly amount: string;
  readonly also: string;
}

/** What is poured in which order: as a list in the bar's measures, and as layers to draw. */
export function useBuild(given: {
  drink: Readonly<Ref<Drink | null>>;
  solved: Readonly<Ref<SolvedDrink | null>>;
  /** Rounded to the bar's tools; null where nothing is rounded. */
  measured: Readonly<Ref<MeasuredDrink | null>>;
  /** How many glasses at once. */
  count: Readonly<Ref<number>>;
}) {
  const { drink, solved, measured, count } = given;
  const format = useAmountFormat();

  const steps = computed<BuildStep[]>(() => {
    const found = solved.value;
    if (!found) return [];
    const { additions } = found.input;
    const { iceG, concentrateMl, diluents } = found.solution;
    return buildOrder({ iceG, concentrateMl, diluents, additions });
  });
  const iceText = computed(() => iceOf(drink.value, solved.value, format.value));

  const build = computed<BuildRow[]>(() =>
    steps.value.map((step) => {
      const n = count.value;
      if (step.kind === 'ice')
        return {
          key: 'ice',
          name: iceText.value?.name ?? 'Ice',
          amount: format.value.mass(n * (measured.value?.iceG ?? step.massG)),
          also: n === 1 ? (iceText.value?.pieces ?? '') : `${n} × ${format.value.mass(step.massG)}`,
        };
      const tool = toolFor(step);
      if (step.kind !== 'concentrate' && step.ingredient.id === 'flavour')
        return { key: keyOf(step), name: 'A flavour', amount: '', also: 'to taste' };
      const volumeMl = n * (tool?.volumeMl ?? step.volumeMl);
      return {
        key: keyOf(step),
        name: nameOf(step),
        amount: format.value.volume(volumeMl),
        also: tool ? toolText(tool, n, format.value.mass) : format.value.otherVolume(volumeMl),
      };
    }),
  );

  function toolFor(step: Exclude<BuildStep, { kind: 'ice' }>): Measured | null {
    if (!measured.value) return null;
    if (step.kind === 'concentrate') return measured.value.concentrate;
    const { additions, diluents } = measured.value;
    return (step.kind === 'addition' ? additions : diluents)[step.index] ?? null;
  }

  const layers = computed(() =>
    steps.value.flatMap((step) => {
      if (step.kind === 'ice') return [];
      const composition =
        step.kind === 'concentrate'
          ? coffeeOf({ massG: 1, strengthFrac: solved.value?.input.concentrate.strengthFrac ?? 0 })
          : ofMass({ ingredient: step.ingredient, massG: 1 });
      return [
        {
          key: keyOf(step),
          name: nameOf(step),
          amount: format.value.volume(step.volumeMl),
          volumeMl: step.volumeMl,
          colour: cssColour(composition),
          onTop: step.kind !== 'concentrate' && isOnTop(step.ingredient),
        },
      ];
    }),
  );

  /** Of a drink that is served in layers: where its first sips come from. */
  const top = computed(() =>
    drink.value?.layered && solved.value
      ? topLayer({
          steps: steps.value,
          concentrateFrac: solved.value.input.concentrate.strengthFrac,
        })
      : null,
  );

  return { iceText, build, layers, top };
}

const isOnTop = ({ overrunFrac }: Ingredient): boolean => overrunFrac > 0;
const keyOf = (step: Exclude<BuildStep, { kind: 'ice' }>): string =>
  step.kind === 'concentrate' ? step.kind : `${step.kind}-${step.index}`;
const nameOf = (step: Exclude<BuildStep, { kind: 'ice' }>): string =>
  step.kind === 'concentrate' ? 'Concentrate' : step.ingredient.name;

function toolText(
  { tool, count, volumeMl, noneNear }: Measured,
  times: number,
  mass: (massG: number) => string,
): string {
  const each = times === 1 ? '' : `${times} × `;
  if (noneNear) return `${each}${volumeMl.toFixed(1)} mL is nearest: weigh it`;
  if (tool === 'pump') return `${each}${count} pump${count === 1 ? '' : 's'}`;
  if (tool === 'spoon') return `${each}${count} tsp`;
  if (tool === 'scale') return `${each}${mass(count)} on the scale`;
  return times === 1 ? 'jigger' : `${times} × ${volumeMl.toFixed(0)}`;
}

function iceOf(drink: Drink | null, solved: SolvedDrink | null, format: AmountTexts) {
  const own = drink?.ice;
  const iceG = solved?.solution.iceG ?? 0;
  if (!own || !solved || iceG === 0) return null;
  // As it was solved: the ice of the day may be another than the drink's own.
  const { tempC, coffeeFrac } = solved.input.glass.ice ?? own;
  const { edgeM } = ICE_SHAPES[own.kind];
  const count = Math.max(1, Math.round(iceG / icePieceG(own.kind)));
  const isCoffee = own.coffeeFrac > 0 || own.recipe !== undefined;
  const pieces = {
    cubes: `${count} cube${count === 1 ? '' : 's'}`,
    crushed: isCoffee ? 'crushed' : '',
    large: `${count} large`,
  }[own.kind];
  const name = isCoffee ? 'Coffee ice' : own.kind === 'crushed' ? 'Crushed ice' : 'Ice';
  return {
    count,
    edgeMm: edgeM * 1000,
    pieces,
    name,
    isCoffee,
    massG: iceG,
    /** Empty for water ice. */
    colour: coffeeFrac > 0 ? cssColour(coffeeOf({ massG: 1, strengthFrac: coffeeFrac })) : '',
    text: listText([`${format.mass(iceG)} ${name.toLowerCase()}`, pieces, format.temp(tempC)]),
  };
}
