import { drawnG, drinkRequest, solveRequest } from '@ratio/core/drink';
import { resolvePantry } from '@ratio/core/pantry';
import { expect } from 'chai';
import { lidoDrinks, lidoHouseRecipes, lidoPantry } from '../../../demo/lido.ts';
import { createMenuCounter, type Bar } from '../../src/drink/menuCounter.ts';

const bar: Bar = {
  drinks: lidoDrinks.map((drink) => ({ ...drink, version: 1 })),
  own: lidoPantry.map((item) => ({ ...item, version: 1 })),
  houseRecipes: lidoHouseRecipes.map((recipe) => ({ ...recipe, version: 1 })),
  rooms: { roomC: 22, fridgeC: 4 },
};
const strong = { strengthFrac: 0.036, caffeineMgPerG: 2 };
const weak = { strengthFrac: 0.008, caffeineMgPerG: 0.4 };

function counterOf(known = bar) {
  const counter = createMenuCounter();
  counter.know(known);
  return counter;
}

describe('createMenuCounter', () => {
  it('says of every drink what one takes, as the solver does', async () => {
    const { pantry } = resolvePantry(bar);
    const draws = await counterOf().draws('a', strong);
    expect(draws).to.deep.equal(
      bar.drinks.map((drink) => {
        const request = drinkRequest({ drink, jug: strong, shop: bar.rooms });
        return [drink.id, drawnG(solveRequest(request, pantry))];
      }),
    );
    expect(draws).to.have.length.above(10);
  });

  it('says null of a drink that the jug is too weak for', async () => {
    const draws = new Map(await counterOf().draws('a', weak));
    expect(draws.get('lido-black')).to.equal(null);
  });

  it('leaves out what the shelf does not hold', async () => {
    const draws = await counterOf({ ...bar, houseRecipes: [] }).draws('a', strong);
    // Reduced coconut, rosemary syrup with its foam, coffee cubes.
    expect(draws).to.have.length(bar.drinks.length - 3);
  });

  it('lets an asker’s older question go, and answers others, the newest first', async () => {
    const counter = counterOf();
    const order: string[] = [];
    const asked = [
      ['plan', strong],
      ['line', strong],
      ['plan', weak],
    ] as const;
    const answers = await Promise.all(
      asked.map(async ([asker, jug], i) => {
        const draws = await counter.draws(asker, jug);
        order.push(`${asker} ${i}`);
        return draws;
      }),
    );
    expect(answers[0]).to.equal(null);
    expect(answers[1]).to.have.length(bar.drinks.length);
    expect(answers[2]).to.have.length(bar.drinks.length);
    expect(order).to.deep.equal(['plan 0', 'plan 2', 'line 1']);
  });

  it('says what a week asks for of each house recipe, and of what goes into another', async () => {
    const needs = new Map(await counterOf().weekNeeds('a', strong));
    expect([...needs.keys()]).to.have.members(lidoHouseRecipes.map(({ id }) => id));
    const drinks = bar.drinks.map((drink) => ({ ...drink, weekCount: 2 * drink.weekCount }));
    const twice = new Map(await counterOf({ ...bar, drinks }).weekNeeds('a', strong));
    for (const [id, massG] of needs)
      expect(twice.get(id), id).to.be.closeTo(2 * massG!, 1e-9 * massG!);
    expect(Math.max(...(needs.values() as Iterable<number>))).to.be.above(100);
  });

  it('answers by the bar that it was told of last', async () => {
    const counter = counterOf();
    counter.know({ ...bar, drinks: bar.drinks.slice(0, 2) });
    expect(await counter.draws('a', strong)).to.have.length(2);
  });
});
