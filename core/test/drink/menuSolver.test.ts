import { expect } from 'chai';
import { createMenuSolver } from '../../src/drink/menuSolver.ts';
import { solveRequest } from '../../src/drink/predict.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';

const requestOf = (cupMl: number) =>
  predictDrinkRequest.parse({
    cupMl,
    concentrate: { strengthFrac: 0.036, tempC: 4 },
    ice: { massG: 90, tempC: -2, kind: 'cubes' },
    additions: [],
    diluents: [{ ingredient: 'whole-milk', tempC: 4, proportion: 1 }],
    target: { strengthFrac: 0.013, atMinutes: 4 },
    roomC: 22,
  });

describe('createMenuSolver', () => {
  it('answers as the solver does, and the same drink from before', () => {
    const solve = createMenuSolver(INGREDIENTS);
    const first = solve(requestOf(300));
    expect(first.solution.concentrateG).to.equal(
      solveRequest(requestOf(300), INGREDIENTS).solution.concentrateG,
    );
    expect(solve(requestOf(300))).to.equal(first);
    expect(solve(requestOf(301)).solution.concentrateG).to.be.above(first.solution.concentrateG);
  });

  it('forgets what was asked for longest ago, and never what was asked for just now', () => {
    const solve = createMenuSolver(INGREDIENTS);
    const [old, used] = [solve(requestOf(300)), solve(requestOf(301))];
    for (let i = 0; i < 499; i++) {
      solve(requestOf(302 + i / 10));
      solve(requestOf(301));
    }
    expect(solve(requestOf(301))).to.equal(used);
    expect(solve(requestOf(300))).not.to.equal(old);
  });
});
