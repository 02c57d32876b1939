import { expect } from 'chai';
import { dormandPrinceStep } from '../../src/numeric/dormandPrinceStep.ts';

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
