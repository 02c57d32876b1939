import { expect } from 'chai';
import { levelOf, drinkSetting, strengthOf } from '../../src/drink/setting.ts';
import { amountsToStrength } from '../../src/drink/toStrength.ts';
import { expectNear } from '../near.ts';
import { added, cubes, filled, lidoDrink } from './drinks.ts';

/** What it finds for a drink, and how the glass then stands. */
function found(drink: ReturnType<typeof lidoDrink>, strengthFrac = 0.014) {
  const setting = drinkSetting(drink);
  const amounts = amountsToStrength(setting, strengthFrac);
  return (
    amounts && {
      ...amounts,
      levelMl: levelOf(setting, amounts),
      strengthFrac: strengthOf(setting, amounts),
    }
  );
}

describe('amountsToStrength', () => {
  it('is the plain sum of a glass without ice', () => {
    // By hand: water and coffee at one temperature, 1.4 % out of 3.5 %, so two parts of five by mass.
    const { concentrateG, fillG } = found(lidoDrink({}, { ice: null }))!;
    expectNear(concentrateG / (concentrateG + fillG), 0.4, 1e-12);
  });

  it('holds level and strength with what melts, over every kind of glass', () => {
    const shaken = { stirredDown: true };
    const chilled = { chilledToC: 3 };
    const coffeeIce = { ice: { ...cubes(150), coffeeFrac: 0.03 } };
    const unpaid = { ice: { ...cubes(20), tempC: -25, kind: 'large' as const }, roomC: 39 };
    for (const glass of [{}, shaken, chilled, coffeeIce, unpaid])
      for (const diluents of [[filled('water')], [filled('whole-milk', 60), filled('water', 20)]])
        for (const additions of [[], [added('rich-syrup', 20, 20)]]) {
          const stands = found(lidoDrink({ diluents, additions }, glass))!;
          expectNear(stands.levelMl, 350, 1e-10);
          expectNear(stands.strengthFrac, 0.014, 1e-9);
        }
  });

  it('does not weigh what melts beyond what it is', () => {
    // All of it is gone, and what melts then does not depend on the drink at all.
    const gone = lidoDrink({ diluents: [filled('water', 90)] }, { ice: cubes(30) });
    expectNear(
      found({ ...gone, target: { strengthFrac: 0.014, atMinutes: 30 } })!.strengthFrac,
      0.014,
      1e-9,
    );
  });

  it('finds none where the jug is too weak, there is no room, or nothing takes the rest; no coffee for none', () => {
    expect(found(lidoDrink(), 0.036)).to.equal(undefined);
    expect(found(lidoDrink({ additions: [added('rich-syrup', 250)] }))).to.equal(undefined);
    expect(found(lidoDrink({ diluents: [] }))).to.equal(undefined);
    expect(found(lidoDrink(), 0)!.concentrateG).to.equal(0);
  });
});
