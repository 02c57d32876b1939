import type { ReadAmount } from './readAmount.ts';
import { UNITS } from './units.ts';
import { amountText, writeMass, writeTemp, writeVolume } from './writeAmount.ts';

/**
 * How an amount was understood, in both systems of measures.
 *
 * @returns as "828 mL, 28.0 fl oz", with "to" where a range was given
 * @example understood({ ok: true, quantity: 'mass', value: 1000, high: 1000 }) // 1000 g, 35.3 oz
 */
export function understood(amount: ReadAmount): string {
  const { value, high } = amount;
  const one = ways(amount, value);
  if (high === value) return one.join(', ');
  return ways(amount, high)
    .map((upper, i) => `${one[i]} to ${upper}`)
    .join(', ');
}

function ways({ quantity }: ReadAmount, value: number): string[] {
  switch (quantity) {
    case 'mass':
      return both((units) => amountText(writeMass({ massG: value, units })));
    case 'volume':
      return both((units) => amountText(writeVolume({ volumeMl: value, units })));
    case 'temperature':
      return both((units) => amountText(writeTemp({ tempC: value, units })));
    case 'time':
      return [hours(value)];
    case 'ratio':
      return [`1:${Number(value.toFixed(2))}`];
    case 'number':
      return [String(Number(value.toFixed(4)))];
    case 'percent':
      return [`${Number((100 * value).toFixed(3))} %`];
  }
}

const both = (write: (units: 'metric' | 'us') => string): string[] => [
  write('metric'),
  write('us'),
];

function hours(timeS: number): string {
  const { hour, minute } = UNITS;
  return timeS < hour.canonical
    ? `${Number((timeS / minute.canonical).toFixed(1))} min`
    : `${Number((timeS / hour.canonical).toFixed(2))} h`;
}
