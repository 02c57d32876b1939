import { expect } from 'chai';
import { DomainError } from '../../src/errors.ts';
import { findRoot } from '../../src/numeric/findRoot.ts';

describe('findRoot', () => {
  const rows: {
    name: string;
    f: (x: number) => number;
    low: number;
    high: number;
    root: number;
  }[] = [
    { name: 'a square', f: (x) => x * x - 2, low: 0, high: 2, root: Math.SQRT2 },
    { name: 'a flat cube', f: (x) => (x - 1) ** 3, low: -3, high: 4, root: 1 },
    { name: 'an exponential', f: (x) => Math.exp(-x) - 0.1, low: 0, high: 50, root: Math.log(10) },
    { name: 'a line of tiny numbers', f: (x) => 1e-200 * (x - 3), low: 0, high: 7, root: 3 },
    { name: 'a zero at an end', f: (x) => x, low: 0, high: 1, root: 0 },
  ];
  for (const { name, f, low, high, root } of rows)
    it(`finds the root of ${name}`, () => {
      expect(findRoot({ f, low, high })).to.be.closeTo(root, 1e-5);
      expect(Math.abs(f(findRoot({ f, low, high })))).to.be.below(1e-11);
    });

  it('refuses an interval without a change of sign', () => {
    expect(() => findRoot({ f: () => 1, low: 0, high: 1 })).to.throw(DomainError, /sign/);
  });
});
