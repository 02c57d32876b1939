import type { SourceMark } from '../sourced.ts';
import type { Composition } from './composition.ts';
import { waterDensityGPerMl } from './waterDensity.ts';

/** Physical properties of one component, as functions of temperature, and its food energy. */
export interface Component {
  /** Density, g/mL, at °C. */
  readonly densityGPerMl: (tempC: number) => number;
  /** Specific heat, J/(g K), at °C. */
  readonly heatJPerGK: (tempC: number) => number;
  /** Food energy, kcal/g. */
  readonly energyKcalPerG: number;
  readonly source: string;
  readonly mark: SourceMark;
}

const CHOI_OKOS =
  'Choi and Okos 1986, in ASHRAE Handbook Refrigeration, Thermal properties of foods; Atwater factors';

// Density in kg/m³ falls in a straight line, specific heat in kJ/(kg K) is a parabola; −40…150 °C.
const solid = (input: {
  density: readonly [number, number];
  heat: readonly [number, number, number];
  energyKcalPerG: number;
}): Component => {
  const [density, fall] = input.density;
  const [heat, slope, bend] = input.heat;
  return {
    densityGPerMl: (tempC) => (density - fall * tempC) / 1000,
    heatJPerGK: (tempC) => heat + tempC * (slope + tempC * bend),
    energyKcalPerG: input.energyKcalPerG,
    source: CHOI_OKOS,
    mark: 'memory',
  };
};

const carbohydrate = solid({
  density: [1599.1, 0.31046],
  heat: [1.5488, 1.9625e-3, -5.9399e-6],
  energyKcalPerG: 4,
});

/** Every component's properties, by its key in a composition. */
export const COMPONENTS = {
  waterG: {
    densityGPerMl: waterDensityGPerMl,
    heatJPerGK: (tempC) => 4.1289 + tempC * (-9.0864e-5 + tempC * 5.4731e-6),
    energyKcalPerG: 0,
    source: 'density Kell 1975; specific heat Choi and Okos 1986',
    mark: 'memory',
  },
  // Coffee solids count as carbohydrate in all but food energy, 1 kcal/g (memory).
  coffeeG: { ...carbohydrate, energyKcalPerG: 1 },
  sugarG: carbohydrate,
  carbohydrateG: carbohydrate,
  fatG: solid({
    density: [925.59, 0.41757],
    heat: [1.9842, 1.4733e-3, -4.8008e-6],
    energyKcalPerG: 9,
  }),
  proteinG: solid({
    density: [1329.9, 0.5184],
    heat: [2.0082, 1.2089e-3, -1.3129e-6],
    energyKcalPerG: 4,
  }),
  ashG: solid({
    density: [2423.8, 0.28063],
    heat: [1.0926, 1.8896e-3, -3.6817e-6],
    energyKcalPerG: 0,
  }),
  ethanolG: {
    densityGPerMl: () => 0.789,
    heatJPerGK: () => 2.44,
    energyKcalPerG: 7,
    source: 'CRC Handbook, ethanol at 20 °C',
    mark: 'memory',
  },
} as const satisfies Record<keyof Composition, Component>;
