import type { AmountFormat } from './amountFormat.ts';

/** Units of sentences and equations, how each is written on the page, and how much of that it is. */
const WAYS = {
  g: { as: 'mass', times: 1 },
  kg: { as: 'mass', times: 1000 },
  mL: { as: 'volume', times: 1 },
  L: { as: 'volume', times: 1000 },
  '°C': { as: 'temp', times: 1 },
} as const;
/** One amount, or from one to another; not what is by a gram, by a litre or in quotation marks. */
const AMOUNT =
  /“[^”]*”|([−-]?\d[\d.]*)(?:( to |–)([−-]?\d[\d.]*))?[\s\u2009\u202f](kg|g|mL|L|°C)(?![\w/]| per )/g;

/** A price of a kilogram or a litre. */
const PRICE = /(\d[\d.]*) per (kg|L)(?!\w)/g;

/**
 * A sentence with its amounts in the units of the page.
 *
 * @param text in grams, millilitres and degrees Celsius
 */
export function inUnits(text: string, format: AmountFormat): string {
  if (format.units === 'metric') return text;
  const priced = text.replaceAll(PRICE, (_, price: string, unit: string) =>
    unit === 'kg'
      ? `${(Number(price) / format.pricedPerKg).toFixed(2)} per ${format.pricedMass}`
      : `${((Number(price) * format.vesselUnitMl) / 1000).toFixed(2)} per ${format.pricedVolume}`,
  );
  return priced.replaceAll(
    AMOUNT,
    (all, from?: string, to?: string, until?: string, unit?: string) => {
      if (from === undefined) return all;
      const { as, times } = WAYS[unit as keyof typeof WAYS];
      const write = (figure: string): string =>
        format[as](times * Number(figure.replace('−', '-')));
      return until === undefined ? write(from) : `${write(from)}${to}${write(until)}`;
    },
  );
}

/**
 * An equation with its numbers filled in, in SI, and what it comes to in the units of the page where those
 * are others.
 */
export function alsoResultIn(filledIn: string, format: AmountFormat): string {
  const [result = ''] = filledIn.split(' = ').slice(-1);
  return filledIn.slice(0, filledIn.length - result.length) + alsoIn(result, format);
}

/**
 * A value as an equation takes it, with what it is in the units of the page where those are others.
 *
 * @param value such as "850 g"
 * @returns such as "850 g, 30.0 oz"
 */
export function alsoIn(value: string, format: AmountFormat): string {
  const own = inUnits(value, format);
  return own === value ? value : `${value}, ${own}`;
}
