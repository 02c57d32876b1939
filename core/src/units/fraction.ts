/** An exact share of whole numbers; `denominator` above 0. */
export interface Fraction {
  readonly numerator: number;
  readonly denominator: number;
}

const divisor = (a: number, b: number): number => (b === 0 ? Math.abs(a) : divisor(b, a % b));

/** @returns the fraction in lowest terms */
export function fraction(numerator: number, denominator = 1): Fraction {
  const common = divisor(numerator, denominator) || 1;
  return { numerator: numerator / common, denominator: denominator / common };
}

/** @returns the exact sum of two fractions */
export const add = (a: Fraction, b: Fraction): Fraction =>
  fraction(
    a.numerator * b.denominator + b.numerator * a.denominator,
    a.denominator * b.denominator,
  );

/** @returns the exact product of two fractions */
export const multiply = (a: Fraction, b: Fraction): Fraction =>
  fraction(a.numerator * b.numerator, a.denominator * b.denominator);

/** @returns the nearest floating-point number */
export const toNumber = ({ numerator, denominator }: Fraction): number => numerator / denominator;
