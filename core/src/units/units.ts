import type { SourceMark } from '../sourced.ts';

export type Quantity = 'mass' | 'volume' | 'time';

/** Which family of measures a unit belongs to. */
type UnitSystem = 'metric' | 'us' | 'imperial';

export interface Unit {
  readonly quantity: Quantity;
  /** What one of it is in the canonical unit: g, mL or s. */
  readonly canonical: number;
  readonly system: UnitSystem;
  readonly symbol: string;
  /** Everyday spellings beside the symbol, lower case, without plural s. */
  readonly spellings: readonly string[];
  readonly source: string;
  readonly mark: SourceMark;
}

const US_FL_OZ_ML = 29.5735295625;
const IMPERIAL_FL_OZ_ML = 28.4130625;
const NIST = 'NIST Handbook 44, appendix C';
const IMPERIAL = 'Weights and Measures Act 1985, schedule 1';

const us = (canonical: number, symbol: string, ...spellings: string[]): Unit => ({
  quantity: 'volume',
  canonical,
  system: 'us',
  symbol,
  spellings,
  source: NIST,
  mark: 'exact',
});
const imperial = (canonical: number, symbol: string, ...spellings: string[]): Unit => ({
  ...us(canonical, symbol, ...spellings),
  system: 'imperial',
  source: IMPERIAL,
});
const metric = (
  quantity: Quantity,
  canonical: number,
  symbol: string,
  ...spellings: string[]
): Unit => ({
  quantity,
  canonical,
  system: 'metric',
  symbol,
  spellings,
  source: 'SI',
  mark: 'exact',
});

/** Every unit that the bench uses, each by its exact factor. */
export const UNITS = {
  milligram: metric('mass', 0.001, 'mg', 'mg', 'milligram'),
  gram: metric('mass', 1, 'g', 'g', 'gr', 'gm', 'gram', 'gramme', 'gramm', 'gms'),
  kilogram: metric('mass', 1000, 'kg', 'kg', 'kilo', 'kilogram', 'kilogramme'),
  ounce: { ...us(28.349523125, 'oz', 'oz', 'ounce', 'onz'), quantity: 'mass' },
  pound: { ...us(453.59237, 'lb', 'lb', 'pound'), quantity: 'mass' },
  millilitre: metric('volume', 1, 'mL', 'ml', 'cc', 'millilitre', 'milliliter'),
  centilitre: metric('volume', 10, 'cL', 'cl', 'centilitre', 'centiliter'),
  decilitre: metric('volume', 100, 'dL', 'dl', 'decilitre', 'deciliter'),
  litre: metric('volume', 1000, 'L', 'l', 'lt', 'ltr', 'litre', 'liter', 'litter'),
  teaspoon: us(US_FL_OZ_ML / 6, 'tsp', 'tsp', 'teaspoon', 'tea spoon'),
  tablespoon: us(US_FL_OZ_ML / 2, 'tbsp', 'tbsp', 'tbs', 'tbl', 'tablespoon', 'table spoon'),
  fluidOunce: us(US_FL_OZ_ML, 'fl oz', 'fl oz', 'floz', 'fl. oz', 'fluid ounce'),
  cup: us(US_FL_OZ_ML * 8, 'cup', 'cup'),
  pint: us(US_FL_OZ_ML * 16, 'pt', 'pt', 'pint'),
  quart: us(US_FL_OZ_ML * 32, 'qt', 'qt', 'quart'),
  gallon: us(US_FL_OZ_ML * 128, 'gal', 'gal', 'gallon'),
  drop: { ...metric('volume', 0.05, 'drop', 'drop'), source: 'bar practice', mark: 'practice' },
  dash: { ...metric('volume', 0.6, 'dash', 'dash'), source: 'bar practice', mark: 'practice' },
  metricTeaspoon: metric('volume', 5, 'metric tsp', 'metric tsp', 'metric teaspoon'),
  metricTablespoon: metric('volume', 15, 'metric tbsp', 'metric tbsp', 'metric tablespoon'),
  metricCup: metric('volume', 250, 'metric cup', 'metric cup'),
  imperialFluidOunce: imperial(
    IMPERIAL_FL_OZ_ML,
    'imp fl oz',
    'imperial fl oz',
    'imperial fluid ounce',
    'imp fl oz',
  ),
  imperialPint: imperial(IMPERIAL_FL_OZ_ML * 20, 'imp pt', 'imperial pint', 'imp pint'),
  imperialQuart: imperial(IMPERIAL_FL_OZ_ML * 40, 'imp qt', 'imperial quart', 'imp quart'),
  imperialGallon: imperial(IMPERIAL_FL_OZ_ML * 160, 'imp gal', 'imperial gallon', 'imp gallon'),
  second: metric('time', 1, 's', 's', 'sec', 'second'),
  minute: metric('time', 60, 'min', 'min', 'minute'),
  hour: metric('time', 3600, 'h', 'h', 'hr', 'hour'),
  day: metric('time', 86400, 'd', 'd', 'day'),
} as const satisfies Record<string, Unit>;

export type UnitId = keyof typeof UNITS;

/**
 * An amount in another unit.
 *
 * @param input.value amount in `from`
 * @returns the same amount in `to`; both must measure the same quantity
 * @example convert({ value: 1, from: 'quart', to: 'litre' }) // 0.946352946
 */
export function convert<F extends UnitId>(input: {
  value: number;
  from: F;
  to: SameQuantity<F>;
}): number {
  return (input.value * UNITS[input.from].canonical) / UNITS[input.to].canonical;
}

type SameQuantity<F extends UnitId> = {
  [U in UnitId]: (typeof UNITS)[U]['quantity'] extends (typeof UNITS)[F]['quantity'] ? U : never;
}[UnitId];

/** @returns °C for a temperature in °F, exact */
export const fahrenheitToCelsius = (tempF: number): number => ((tempF - 32) * 5) / 9;

/** @returns °F for a temperature in °C, exact */
export const celsiusToFahrenheit = (tempC: number): number => (tempC * 9) / 5 + 32;

/** @returns kelvin for a temperature in °C, exact */
export const celsiusToKelvin = (tempC: number): number => tempC + 273.15;
