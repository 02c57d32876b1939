import { expect } from 'chai';
import { gaussLegendre } from '../../src/numeric/gaussLegendre.ts';
import { expectNear } from '../near.ts';

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
