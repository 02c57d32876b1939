import { expect } from 'chai';
import { DomainError } from '../../src/errors.ts';
import { dormandPrinceStep } from '../../src/numeric/dormandPrinceStep.ts';
import { findRoot } from '../../src/numeric/findRoot.ts';
import { gaussLegendre } from '../../src/numeric/gaussLegendre.ts';
import { expectNear } from '../near.ts';

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

describe('gaussLegendre', () => {
  it('has the nodes and weights of Abramowitz and Stegun, table 25.4, n = 4', () => {
    const { nodes, weights } = gaussLegendre(4);
    expect(nodes[3]).to.be.closeTo(0.861136311594053, 1e-14);
    expect(weights[3]).to.be.closeTo(0.347854845137454, 1e-14);
    expect(nodes[2]).to.be.closeTo(0.339981043584856, 1e-14);
    expect(weights[2]).to.be.closeTo(0.652145154862546, 1e-14);
  });

  it('is exact for polynomials up to degree 2n − 1', () => {
    const { nodes, weights } = gaussLegendre(8);
    const integral = nodes.reduce((sum, x, i) => sum + weights[i]! * x ** 14, 0);
    expectNear(integral, 2 / 15, 1e-13);
  });
});

describe('dormandPrinceStep', () => {
  it('is of fifth order on a circle, and its error estimate is of the error’s size', () => {
    const slope = ({ x, y }: { x: number; y: number }) => ({ x: -y, y: x });
    const errorAt = (step: number) => {
      const { state } = dormandPrinceStep({ slope, state: { x: 1, y: 0 }, step });
      return Math.hypot(state.x - Math.cos(step), state.y - Math.sin(step));
    };
    expect(errorAt(0.2) / errorAt(0.1)).to.be.within(50, 80);
    const { error } = dormandPrinceStep({ slope, state: { x: 1, y: 0 }, step: 0.2 });
    expect(Math.hypot(error.x, error.y)).to.be.above(errorAt(0.2) / 10);
  });
});
