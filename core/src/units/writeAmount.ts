import { celsiusToFahrenheit, UNITS, type UnitId } from './units.ts';

/** The two families of measures that a shop can work in. */
export type ShopUnits = 'metric' | 'us';

/** An amount as it is shown: figure and unit apart, because the unit is set smaller. */
export interface WrittenAmount {
  readonly figure: string;
  readonly unit: string;
}

interface Step {
  /** Used below this many of the canonical unit. */
  readonly belowCanonical: number;
  readonly unit: UnitId;
  readonly decimals: number;
}

const MASS: Readonly<Record<ShopUnits, readonly Step[]>> = {
  metric: [
    { belowCanonical: 10_000, unit: 'gram', decimals: 0 },
    { belowCanonical: Infinity, unit: 'kilogram', decimals: 2 },
  ],
  us: [
    { belowCanonical: 2300, unit: 'ounce', decimals: 1 },
    { belowCanonical: Infinity, unit: 'pound', decimals: 2 },
  ],
};

const VOLUME: Readonly<Record<ShopUnits, readonly Step[]>> = {
  metric: [
    // A pump of 7.5 mL is not 8.
    { belowCanonical: 9.95, unit: 'millilitre', decimals: 1 },
    { belowCanonical: 999.5, unit: 'millilitre', decimals: 0 },
    { belowCanonical: Infinity, unit: 'litre', decimals: 2 },
  ],
  us: [
    { belowCanonical: 940, unit: 'fluidOunce', decimals: 1 },
    { belowCanonical: Infinity, unit: 'quart', decimals: 2 },
  ],
};

/** @returns a mass, g, in the shop's units */
export const writeMass = (input: { massG: number; units: ShopUnits }): WrittenAmount =>
  write(input.massG, MASS[input.units]);

/** @returns a volume, mL, in the shop's units */
export const writeVolume = (input: { volumeMl: number; units: ShopUnits }): WrittenAmount =>
  write(input.volumeMl, VOLUME[input.units]);

/** @returns a temperature, °C, in the shop's units, whole degrees */
export const writeTemp = (input: { tempC: number; units: ShopUnits }): WrittenAmount =>
  input.units === 'us'
    ? { figure: signed(celsiusToFahrenheit(input.tempC)), unit: '°F' }
    : { figure: signed(input.tempC), unit: '°C' };

/** Whole degrees with a true minus. */
const signed = (degrees: number): string =>
  degrees.toFixed(0).replace(/^-0$/, '0').replace('-', '−');

/** Between a figure and its unit: thin, and no end of a line. */
const THIN_SPACE = '\u202f';

/** @returns figure and unit in one line, with a thin space between */
export const amountText = ({ figure, unit }: WrittenAmount): string =>
  `${figure}${THIN_SPACE}${unit}`;

/** @returns figure and unit of what `amountText` wrote; an empty unit where it has none */
export function amountParts(text: string): WrittenAmount {
  const [figure = '', unit = ''] = text.split(THIN_SPACE);
  return { figure, unit };
}

function write(canonical: number, steps: readonly Step[]): WrittenAmount {
  const step = steps.find(({ belowCanonical }) => Math.abs(canonical) < belowCanonical)!;
  const { canonical: one, symbol } = UNITS[step.unit];
  return { figure: (canonical / one).toFixed(step.decimals), unit: symbol };
}
