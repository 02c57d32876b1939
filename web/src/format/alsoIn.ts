import type { AmountFormat } from './amountFormat.ts';

/** Units that an equation is filled in with, and how each is written on the page. */
const WAYS = { g: 'mass', mL: 'volume', '°C': 'temp' } as const;

/**
 * A value as an equation takes it, with what it is in the units of the page where those are others.
 *
 * @param value such as "850 g"; what is no mass, volume or temperature stays as it is
 * @returns such as "850 g, 30.0 oz"
 */
export function alsoIn(value: string, format: AmountFormat): string {
  const [, figure, unit] = /^([−-]?[\d.]+)\s(g|mL|°C)$/.exec(value) ?? [];
  if (format.units === 'metric' || figure === undefined) return value;
  return `${value}, ${format[WAYS[unit as keyof typeof WAYS]](Number(figure.replace('−', '-')))}`;
}
