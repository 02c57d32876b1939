import { expect } from 'chai';

/** Asserts that two numbers agree to a relative tolerance; chai's closeTo is absolute. */
export function expectNear(actual: number, expected: number, relative: number): void {
  const tolerance = Math.abs(expected) * relative;
  expect(actual, `expected ${actual} within ${relative} of ${expected}`).to.be.closeTo(
    expected,
    tolerance,
  );
}
