/** A value with the ends of its range. */
export interface Ranged {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** @returns a/b with the ends of its range */
export const quotient = (a: Ranged, b: Ranged): Ranged => ({
  value: a.value / b.value,
  low: a.low / b.high,
  high: a.high / b.low,
});

/** @returns a·b with the ends of its range */
export const product = (a: Ranged, b: Ranged): Ranged => ({
  value: a.value * b.value,
  low: a.low * b.low,
  high: a.high * b.high,
});
