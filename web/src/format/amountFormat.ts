import type { AmountTexts } from '@ratio/core/drink';
import {
  amountText,
  celsiusToFahrenheit,
  convert,
  percentFigure,
  writeMass,
  writeTemp,
  writeVolume,
  type ShopUnits,
  type UnitId,
} from '@ratio/core/units';
import { moneyText } from './moneyText.ts';

/** How amounts, temperatures, percentages and money are written here. Plain data for views. */
export interface AmountFormat extends AmountTexts {
  readonly units: ShopUnits;
  /** The same volume in the units that are not shown. */
  readonly otherVolume: (volumeMl: number) => string;
  readonly percent: (frac: number, decimals?: number) => string;
  readonly money: (price: number) => string;
  /** What is priced by its mass: by a kilogram or a pound, and how many of those a kilogram is. */
  readonly pricedMass: 'kg' | 'lb';
  readonly pricedPerKg: number;
  readonly pricePerMass: (pricePerKg: number) => string;
  /** Degrees of the units, for a scale. */
  readonly degrees: (tempC: number) => number;
  /** What one unit of a drawing's graduations is, mL: of a glass, and of a vessel. */
  readonly glassUnitMl: number;
  readonly vesselUnitMl: number;
  /** What a brew or a preparation is priced by, of `vesselUnitMl`. */
  readonly pricedVolume: 'L' | 'qt';
  /** What a plain number means in a field. */
  readonly plainMass: UnitId;
  readonly plainVolume: UnitId;
  readonly plainLargeVolume: UnitId;
  /** What an amount that is poured or weighed may be typed in. */
  readonly pouredOrWeighed: 'mL or g' | 'fl oz or oz';
}

/**
 * @param input.currency ISO 4217 code
 * @returns how a tablet writes amounts in its units and its shop's money
 */
export function amountFormat(input: { units: ShopUnits; currency: string }): AmountFormat {
  const { units, currency } = input;
  const isMetric = units === 'metric';
  const pricedMass = isMetric ? 'kg' : 'lb';
  const pricedPerKg = isMetric ? 1 : convert({ value: 1, from: 'kilogram', to: 'pound' });
  return {
    units,
    mass: (massG) => amountText(writeMass({ massG, units })),
    volume: (volumeMl) => amountText(writeVolume({ volumeMl, units })),
    otherVolume: (volumeMl) =>
      amountText(writeVolume({ volumeMl, units: isMetric ? 'us' : 'metric' })),
    temp: (tempC) => amountText(writeTemp({ tempC, units })),
    percent: (frac, decimals = 2) =>
      amountText({ figure: percentFigure(frac, decimals), unit: '%' }),
    money: (price) => moneyText(price, currency),
    pricedMass,
    pricedPerKg,
    pricePerMass: (pricePerKg) =>
      `${moneyText(pricePerKg / pricedPerKg, currency)} a ${pricedMass}`,
    degrees: (tempC) => (isMetric ? tempC : celsiusToFahrenheit(tempC)),
    glassUnitMl: isMetric ? 1 : convert({ value: 1, from: 'fluidOunce', to: 'millilitre' }),
    vesselUnitMl: isMetric ? 1000 : convert({ value: 1, from: 'quart', to: 'millilitre' }),
    pricedVolume: isMetric ? 'L' : 'qt',
    plainMass: isMetric ? 'gram' : 'ounce',
    plainVolume: isMetric ? 'millilitre' : 'fluidOunce',
    plainLargeVolume: isMetric ? 'litre' : 'quart',
    pouredOrWeighed: isMetric ? 'mL or g' : 'fl oz or oz',
  };
}
