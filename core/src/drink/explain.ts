import { CONSTANTS } from '../constants.ts';
import type { DrinkCost } from './cost.ts';
import type { ExplainedOfDrink } from './explainedOfDrink.ts';
import { fromJugG } from './fromJug.ts';
import { liquidAt } from './glass.ts';
import { coldDebtJ, iceAreaM2, iceComposition } from './ice.ts';
import { COMPONENTS } from '../matter/components.ts';
import { massG, mix } from '../matter/composition.ts';
import { energyKcal } from '../matter/properties.ts';
import type { SolvedDrink } from './predict.ts';
import type { Sourced } from '../sourced.ts';
import type { Explanation, UsedValue } from '../explanation.ts';
import { percentText } from '../units/percent.ts';

const ENERGY_OF = [
  { key: 'proteinG', name: 'protein' },
  { key: 'fatG', name: 'fat' },
  { key: 'sugarG', name: 'sugar' },
  { key: 'carbohydrateG', name: 'other carbohydrate' },
  { key: 'ethanolG', name: 'ethanol' },
  { key: 'coffeeG', name: 'coffee solids' },
] as const;

const g = (value: number): string => `${value.toFixed(1)} g`;
const own = (symbol: string, name: string, value: string): UsedValue => ({
  symbol,
  name,
  value,
  source: 'solved',
  mark: 'this drink',
});
const constant = (symbol: string, name: string, { value, unit, source, mark }: Sourced) => ({
  symbol,
  name,
  value: `${value} ${unit}`.trim(),
  source,
  mark,
});

/**
 * Where each number of a drink comes from: its equation, the same with this drink's numbers, the
 * constants with their sources.
 *
 * @param input.concentratePricePerKg what a kilogram of the concentrate cost; null if unknown
 * @returns one explanation per number; the numbers filled in are rounded as shown
 */
export function explainDrink(input: {
  solved: SolvedDrink;
  cost: DrinkCost;
  concentratePricePerKg: number | null;
}): Readonly<Record<ExplainedOfDrink, Explanation>> {
  const { solved, cost, concentratePricePerKg } = input;
  const { glass, concentrate, target, additions } = solved.input;
  const { solution } = solved;
  const minute = 'atMinutes' in target ? target.atMinutes : CONSTANTS.targetMinutes.value;
  const liquidG = massG(solution.mixed.composition);
  const melted = massG(liquidAt({ glass, mixed: solution.mixed, minutes: minute })) - liquidG;
  const iceFrac = glass.ice?.coffeeFrac ?? 0;
  const { coffeeG } = solution.mixed.composition;
  const whole = mix([solution.mixed.composition, solution.topping, iceComposition(glass.ice)]);
  const burnt = ENERGY_OF.map(({ key, name }) => ({
    name,
    eachG: whole[key],
    kcalPerG: COMPONENTS[key].energyKcalPerG,
  }));
  const areaM2 = glass.ice ? iceAreaM2(glass.ice) : 0;
  const firstW = CONSTANTS.iceTransferWPerM2K.value * areaM2 * solution.mixed.tempC;
  const debtJ = glass.ice ? coldDebtJ(glass.ice) : 0;
  const extraKcal = solution.energyKcal - energyKcal(whole);
  const restPrice =
    cost.price -
    (fromJugG({ drink: solved.input, solution }) * (concentratePricePerKg ?? 0)) / 1000;
  const jugG = fromJugG({ drink: solved.input, solution });
  const jugMg = solution.concentrateG * concentrate.caffeineMgPerG;
  return {
    strength: {
      title: `Coffee strength, ${minute} min after pouring`,
      equation: 's = (m_c + m_melt · c_ice) / (m_liquid + m_melt)',
      filledIn: `(${coffeeG.toFixed(3)} g + ${melted.toFixed(2)} g · ${percentText(iceFrac)}) / (${g(liquidG)} + ${melted.toFixed(2)} g) = ${percentText(solution.strengthFrac)}`,
      uses: [
        own(
          'm_c',
          `coffee solids: ${g(solution.concentrateG)} of ${percentText(concentrate.strengthFrac)}, and of what else is in it`,
          `${coffeeG.toFixed(3)} g`,
        ),
        own('m_liquid', 'everything that is liquid as it is poured', g(liquidG)),
        { ...own('m_melt', 'ice that has melted by then', g(melted)), why: 'melt' },
        own('c_ice', 'strength of the ice', percentText(iceFrac)),
      ],
      method:
        'The diluents take what room the line leaves; the concentrate is the root of this equation in one unknown, to 1e-9. What a refractometer shows in a drink with milk or sugar is another number: it counts those solids too.',
    },
    melt: {
      title: `Ice melted by ${minute} min`,
      equation: 'L · dm/dt = h · A₀ · (m/m₀)^(2/3) · T, once m₀ · c_ice · (0 − T_ice) is paid',
      filledIn: glass.ice
        ? `to pay at first: ${g(solution.iceG)} · ${CONSTANTS.iceHeatJPerGK.value} · ${Number((0 - glass.ice.tempC).toFixed(1))} °C = ${debtJ.toFixed(0)} J; heat at first: ${CONSTANTS.iceTransferWPerM2K.value} · ${areaM2.toFixed(5)} · ${solution.mixed.tempC.toFixed(2)} °C = ${firstW.toFixed(1)} W; melted by ${minute} min: ${melted.toFixed(2)} g`
        : 'There is no ice: 0 g',
      uses: [
        own('m₀', 'ice', g(solution.iceG)),
        own('A₀', 'surface of the ice', `${(1e4 * areaM2).toFixed(0)} cm²`),
        own('debt', 'cold debt of the ice', `${debtJ.toFixed(0)} J`),
        constant('h', 'heat transfer to the ice at rest', CONSTANTS.iceTransferWPerM2K),
        constant('U', 'heat transfer from the room', CONSTANTS.roomTransferWPerM2K),
        constant('L', 'heat of fusion', CONSTANTS.fusionJPerG),
        constant('c_ice', 'specific heat of ice', CONSTANTS.iceHeatJPerGK),
      ],
      method: glass.stirredDown
        ? 'Shaken or stirred down first: the melt jumps to (C · T − debt)/L, and stands from there.'
        : 'The room warms the glass, the glass melts the ice; integrated minute by minute. Stirring while it is drunk melts more.',
    },
    caffeine: {
      title: 'Caffeine',
      equation: 'mg = m_concentrate · k + what coffee ice and additions bring',
      filledIn: `${g(solution.concentrateG)} · ${concentrate.caffeineMgPerG.toFixed(3)} mg/g + ${(solution.caffeineMg - jugMg).toFixed(1)} mg = ${solution.caffeineMg.toFixed(0)} mg`,
      uses: [
        own('m', 'concentrate', g(solution.concentrateG)),
        own(
          'k',
          'caffeine of the jug, as planned and scaled by its reading',
          `${concentrate.caffeineMgPerG.toFixed(2)} mg/g`,
        ),
        constant('once', 'single dose for adults', CONSTANTS.singleCaffeineMg),
      ],
      method:
        'Beans differ by a quarter either way (arabica 1.0–1.5 % of mass), so the figure does too. Counted as if all ice were drunk.',
    },
    energy: {
      title: 'Energy',
      equation: `kcal = ${burnt.map(({ name, kcalPerG }) => `${kcalPerG} · ${name}`).join(' + ')}${extraKcal > 1e-9 ? ' + what is digested of instant coffee' : ''}`,
      filledIn: `${burnt.map(({ eachG, kcalPerG }) => `${kcalPerG} · ${eachG.toFixed(2)}`).join(' + ')}${extraKcal > 1e-9 ? ` + ${extraKcal.toFixed(2)}` : ''} = ${solution.energyKcal.toFixed(0)} kcal`,
      uses: [
        own(
          'g',
          'grams of each in the glass, foam and ice with it',
          `${massG(whole).toFixed(0)} g in all`,
        ),
        {
          symbol: 'kcal/g',
          name: 'energy of each',
          value: `${burnt.map(({ kcalPerG }) => kcalPerG).join(', ')} kcal/g`,
          source: COMPONENTS.fatG.source,
          mark: COMPONENTS.fatG.mark,
        },
      ],
      method: 'Labels round, and count fibre and polyols apart: expect a few per cent.',
    },
    cost: {
      title: 'Cost of the ingredients',
      equation: 'cost = Σ mass · price a kilogram',
      filledIn:
        concentratePricePerKg === null
          ? `All that has a price: ${cost.price.toFixed(2)}`
          : `${g(jugG)} · ${(concentratePricePerKg / 1000).toFixed(5)} + ${restPrice.toFixed(3)} = ${cost.price.toFixed(2)}`,
      uses: [
        own(
          'concentrate',
          'what the coffee in the jug cost, for a kilogram of brew',
          concentratePricePerKg === null ? '0, not known' : concentratePricePerKg.toFixed(2),
        ),
        ...[...additions, ...solution.diluents]
          .filter(({ ingredient }) => ingredient.pricePerKg !== null)
          .map(({ ingredient }) => ({
            ...own(ingredient.id, ingredient.name, ingredient.pricePerKg!.toFixed(2)),
            source: 'the shop’s price, a kilogram',
          })),
      ],
      method:
        cost.unknown.length > 0
          ? `Left out, because the shelf has no price: ${cost.unknown.join(', ')}.`
          : 'Tap water and water ice cost nothing here; cups, labour and energy are not counted.',
    },
  };
}
