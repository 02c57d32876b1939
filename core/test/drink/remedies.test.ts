import { expect } from 'chai';
import fc from 'fast-check';
import type { DrinkInput } from '../../src/drink/setting.ts';
import { solveDrink } from '../../src/drink/solve.ts';
import { remedies, withRemedy } from '../../src/drink/remedies.ts';
import type { Remedy } from '../../src/drink/remedy.ts';
import { remedyText } from '../../src/drink/remedyText.ts';
import { added, cubes, lidoDrink } from './drinks.ts';

const wordsOf = {
  mass: (massG: number) => `${massG} g`,
  volume: (ml: number) => `${ml} mL`,
  temp: (tempC: number) => `${tempC} °C`,
};
const foundOf = (drink: DrinkInput): Remedy[] => remedies(drink, solveDrink(drink));
const status = (drink: DrinkInput): string => solveDrink(drink).status;

describe('remedies', () => {
  const strong = lidoDrink({ target: { strengthFrac: 0.034, atMinutes: 6 } });

  it('has none for a drink that is met', () => {
    expect(foundOf(lidoDrink())).to.deep.equal([]);
  });

  it('offers what does, for a drink that is too weak', () => {
    expect(status(strong)).to.equal('too_weak');
    expect(foundOf(strong).map(({ remedy }) => remedy)).to.include.members([
      'less_ice',
      'freezer_ice',
      'coffee_ice',
      'stronger_batch',
      'another_glass',
    ]);
  });

  it('meets the target by every way that it offers (property)', () => {
    fc.assert(
      fc.property(
        fc.record({
          strengthFrac: fc.double({ min: 0.02, max: 0.05, noNaN: true }),
          iceG: fc.double({ min: 0, max: 220, noNaN: true }),
          syrupMl: fc.double({ min: 0, max: 250, noNaN: true }),
          coffeeFrac: fc.constantFrom(0, 0.06),
        }),
        ({ strengthFrac, iceG, syrupMl, coffeeFrac }) => {
          const drink = lidoDrink(
            {
              target: { strengthFrac, atMinutes: 4 },
              additions: [added('simple-syrup', syrupMl)],
            },
            { ice: { ...cubes(iceG), coffeeFrac } },
          );
          for (const remedy of foundOf(drink))
            expect(status(withRemedy(drink, remedy))).to.equal('met');
        },
      ),
      { numRuns: 25 },
    );
  });

  it('names the most ice that will do: another 5 g would not (brute force)', () => {
    const found = foundOf(strong).find(({ remedy }) => remedy === 'less_ice');
    const iced = (massG: number) => lidoDrink(strong, { ice: massG > 0 ? cubes(massG) : null });
    const does: number[] = [];
    for (let massG = 0; massG < 150; massG += 5)
      if (status(iced(massG)) === 'met') does.push(massG);
    expect(found).to.deep.equal({ remedy: 'less_ice', iceG: does.at(-1) });
  });

  it('names the smallest glass of whole 10 mL that will do (brute force)', () => {
    const crowded = lidoDrink({ additions: [added('whole-milk', 340)] });
    const found = foundOf(crowded).find(({ remedy }) => remedy === 'another_glass');
    let cupMl = 350;
    while (status(lidoDrink(crowded, { cupMl })) !== 'met') cupMl += 10;
    expect(found).to.deep.equal({ remedy: 'another_glass', cupMl });
  });

  it('finds what does in the middle only: with all of its coffee ice too strong, with none too weak', () => {
    const strongIce = { ...cubes(200), coffeeFrac: 0.2 };
    const drink = lidoDrink({ target: { strengthFrac: 0.037, atMinutes: 30 } }, { ice: strongIce });
    expect(status(drink)).to.equal('no_room');
    const iced = (massG: number) =>
      status(lidoDrink(drink, { ice: massG > 0 ? { ...strongIce, massG } : null }));
    expect(iced(0)).to.equal('too_weak');
    const does: number[] = [];
    for (let massG = 0; massG < 200; massG += 5) if (iced(massG) === 'met') does.push(massG);
    expect(foundOf(drink)).to.deep.include({ remedy: 'less_ice', iceG: does.at(-1) });
  });

  it('offers one large piece where coffee cubes melt too much coffee in', () => {
    const drink = lidoDrink(
      { target: { strengthFrac: 0.015, atMinutes: 4 } },
      { ice: { ...cubes(150), coffeeFrac: 0.4 } },
    );
    const large = { remedy: 'larger_ice' } as const;
    expect([status(drink), status(withRemedy(drink, large))]).to.deep.equal(['no_room', 'met']);
    expect(foundOf(drink)).to.deep.include(large);
  });

  it('says each way as what to do', () => {
    for (const remedy of foundOf(strong)) expect(remedyText(remedy, wordsOf)).to.match(/\w{3}/);
    expect(remedyText({ remedy: 'less_ice', iceG: 0 }, wordsOf)).to.equal('no ice at all');
    expect(remedyText({ remedy: 'stronger_batch', strengthFrac: 0.0412 }, wordsOf)).to.equal(
      'a jug of at least 4.12 %',
    );
  });
});
