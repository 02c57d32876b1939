import { expect } from 'chai';
import fc from 'fast-check';
import { solveDrink } from '../../src/drink/solve.ts';
import { massG } from '../../src/matter/composition.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { expectNear } from '../near.ts';
import { added, cubes, filled, lidoDrink } from './drinks.ts';

describe('targets of a drink', () => {
  it('by caffeine: concentrate, coffee ice and liqueur together', () => {
    const ice = { ...cubes(100), coffeeFrac: 0.02 };
    const drink = lidoDrink(
      { target: { caffeineMg: 250 }, additions: [added('coffee-liqueur', 20)] },
      { ice },
    );
    const { status, caffeineMg, concentrateG, levelMl } = solveDrink(drink);
    expect(status).to.equal('met');
    expectNear(caffeineMg, 250, 1e-9);
    expectNear(levelMl, 350, 1e-9);
    // By hand: 100 g · 2 % / 3.5 % · 2.1 mg/g = 120 mg in the ice; 20 mL of liqueur bring about 6 mg.
    expectNear(concentrateG * 2.1, 250 - 120 - 6, 0.01);
  });

  it('by hand: so much concentrate, and the filler takes the rest', () => {
    const drink = lidoDrink({ target: { concentrateMl: 90 } });
    const { status, concentrateMl, fillMl, levelMl } = solveDrink(drink);
    expect(status).to.equal('met');
    expectNear(concentrateMl, 90, 1e-12);
    expect(fillMl).to.be.above(100);
    expectNear(levelMl, 350, 1e-9);
  });

  it('by hand: more than fits is cut at the line, and said', () => {
    const drink = lidoDrink({ target: { concentrateMl: 340 } });
    const { status, concentrateMl, fillMl, levelMl } = solveDrink(drink);
    expect({ status, fillMl }).to.deep.equal({ status: 'no_room', fillMl: 0 });
    expect(concentrateMl).to.be.below(340);
    expectNear(levelMl, 350, 1e-9);
  });

  it('more caffeine than the glass can hold names the jug that would do', () => {
    const drink = lidoDrink({ target: { caffeineMg: 600 } });
    const weak = solveDrink(drink);
    expect(weak.status).to.equal('too_weak');
    const strengthFrac = weak.needsStrengthFrac!;
    const caffeineMgPerG = (2.1 * strengthFrac) / 0.035;
    const concentrate = { strengthFrac, tempC: 4, caffeineMgPerG };
    expectNear(solveDrink({ ...drink, concentrate }).caffeineMg, 600, 1e-9);
  });

  it('several diluents share the rest in their proportion by volume', () => {
    const drink = lidoDrink({ diluents: [filled('oat-drink', 4, 2), filled('water', 4, 1)] });
    const { diluents, fillMl, fillG, strengthFrac } = solveDrink(drink);
    expectNear(diluents[0]!.volumeMl, (2 / 3) * fillMl, 1e-12);
    expectNear(diluents[1]!.volumeMl, fillMl / 3, 1e-12);
    expectNear(diluents[0]!.massG + diluents[1]!.massG, fillG, 1e-12);
    expectNear(strengthFrac, 0.014, 1e-9);
  });

  it('foam stands on top: it feeds, and neither thins nor fills the drink', () => {
    const foam = { ...INGREDIENTS['heavy-cream'], overrunFrac: 0.8 };
    const plain = solveDrink(lidoDrink());
    const topped = solveDrink(
      lidoDrink({ additions: [{ ingredient: foam, volumeMl: 45, tempC: 4 }] }),
    );
    expectNear(topped.concentrateG, plain.concentrateG, 1e-12);
    // 45 mL of foam are 25 mL of cream, about 24.9 g.
    expectNear(massG(topped.topping), 24.9, 0.01);
    expectNear(topped.energyKcal - plain.energyKcal, (24.9 * 343) / 100, 0.06);
  });

  it('chilled before the ice melts less of it and needs less concentrate', () => {
    const warm = lidoDrink({ diluents: [filled('water', 18)] });
    const chilled = { ...warm, glass: { ...warm.glass, chilledToC: 1 } };
    const [a, b] = [solveDrink(warm), solveDrink(chilled)];
    expect(b.timeline()[4]!.meltedG).to.be.below(a.timeline()[4]!.meltedG);
    expect(b.concentrateG).to.be.below(a.concentrateG);
  });

  it('pours more concentrate for any higher target, of each kind (property)', () => {
    const target = (kind: number, x: number) =>
      [
        { strengthFrac: 0.004 + 0.018 * x, atMinutes: 4 },
        { caffeineMg: 20 + 180 * x },
        { concentrateMl: 10 + 150 * x },
        { parts: { concentrate: 0.2 + 3 * x, fill: 1 } },
      ][kind]!;
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 3 }),
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        fc.double({ min: 0.001, max: 0.05, noNaN: true }),
        (kind, x, more) => {
          const at = (y: number) => solveDrink(lidoDrink({ target: target(kind, y) }));
          expect(at(x + more).concentrateG).to.be.above(at(x).concentrateG);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('scales with the glass: twice of everything is twice of each part, at the same strength as poured', () => {
    const at0 = { strengthFrac: 0.015, atMinutes: 0 };
    const one = solveDrink(lidoDrink({ target: at0, additions: [added('honey', 8)] }));
    const two = solveDrink(
      lidoDrink({ target: at0, additions: [added('honey', 16)] }, { cupMl: 700, ice: cubes(300) }),
    );
    expectNear(two.concentrateG, 2 * one.concentrateG, 1e-9);
    expectNear(two.fillG, 2 * one.fillG, 1e-9);
    expectNear(two.sugarG, 2 * one.sugarG, 1e-9);
  });
});
