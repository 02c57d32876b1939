import { expect } from 'chai';
import { drinkingWindow } from '../../src/drink/drinkingWindow.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { expectNear } from '../near.ts';
import { cubes, lidoDrink } from './drinks.ts';

describe('drinkingWindow', () => {
  const falling = [0, 10, 20, 30].map((minutes) => ({
    minutes,
    strengthFrac: 0.016 - 0.0001 * minutes,
  }));

  it('runs from where the strength comes within 8 % to where it leaves it again', () => {
    const window = drinkingWindow({ timeline: falling, strengthFrac: 0.0142, atMinutes: 18 })!;
    expectNear(window.fromMinutes, (0.016 - 0.0142 * 1.08) / 0.0001, 1e-9);
    expectNear(window.toMinutes, (0.016 - 0.0142 * 0.92) / 0.0001, 1e-9);
  });

  it('is none where the drink is off at its minute', () => {
    expect(drinkingWindow({ timeline: falling, strengthFrac: 0.0142, atMinutes: 2 })).to.equal(
      null,
    );
  });

  it('lasts longer over coffee ice than over water ice', () => {
    const ends = [0, 0.014].map((coffeeFrac) => {
      const drink = lidoDrink({}, { ice: { ...cubes(150), coffeeFrac } });
      const timeline = solveDrink(drink).timeline();
      return drinkingWindow({ timeline, strengthFrac: 0.014, atMinutes: 4 })!.toMinutes;
    });
    expect(ends[1]).to.be.above(ends[0]!);
  });
});
