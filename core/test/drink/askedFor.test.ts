import { expect } from 'chai';
import { lidoDrinks, lidoHouseRecipes, lidoPantry, lidoShop } from '../../../demo/lido.ts';
import { adjustDrink, ADJUSTMENTS, type Adjustment } from '../../src/drink/adjust.ts';
import { askedFor, THIS_ONCE } from '../../src/drink/askedFor.ts';
import { drinkSchema, type Drink } from '../../src/drink/schema.ts';
import { resolvePantry } from '../../src/pantry/resolvePantry.ts';

const { pantry } = resolvePantry({
  own: lidoPantry,
  houseRecipes: lidoHouseRecipes.map((recipe) => ({ ...recipe, version: 1 })),
});
const menu = lidoDrinks.map((drink) => drinkSchema.parse({ ...drink, version: 1 }));
const usual = menu.find(({ id }) => id === 'milk-tide')!;
const changed = (way: Adjustment, drink = usual): Drink | null =>
  adjustDrink({ drink, by: way, pantry, tools: lidoShop.bar });
const said = (way: Adjustment, forWhom: string = THIS_ONCE) => ({
  drink: changed(way)!,
  forWhom,
});
const asked = (versions: { drink: Drink; forWhom: string }[]) =>
  askedFor({ usual, versions, pantry }).map(({ way, people }) => [way, people]);

describe('askedFor', () => {
  it('hears each step of taste for what it is, of every drink that can take it', () => {
    for (const drink of menu)
      for (const way of ADJUSTMENTS) {
        const made = changed(way, drink);
        if (!made) continue;
        const three = [1, 2, 3].map(() => ({ drink: made, forWhom: THIS_ONCE }));
        const heard = askedFor({ usual: drink, versions: three, pantry });
        expect(heard, `${drink.name}, ${way}`).to.deep.equal([{ way, people: 3 }]);
      }
  });

  it('offers nothing that two asked for', () => {
    expect(asked([said('sweeter'), said('sweeter')])).to.deep.equal([]);
    expect(asked([said('sweeter'), said('sweeter'), said('sweeter')])).to.deep.equal([
      ['sweeter', 3],
    ]);
  });

  it('counts a name once, by what it asked for last', () => {
    const guest = [said('stronger', 'Window seat'), said('stronger', 'window seat')];
    expect(asked([...guest, said('stronger'), said('stronger')])).to.deep.equal([['stronger', 3]]);
    expect(
      asked([said('weaker', 'window seat'), ...guest, said('stronger'), said('stronger')]),
    ).to.deep.equal([]);
  });

  it('passes over what can no longer be poured: something in it left the shelf', () => {
    const [gone] = usual.additions;
    const drink = { ...usual, additions: [{ ...gone!, ingredient: 'left-the-shelf' }] };
    const sweeter = [said('sweeter'), said('sweeter'), said('sweeter')];
    expect(asked([{ drink, forWhom: 'window seat' }, ...sweeter])).to.deep.equal([['sweeter', 3]]);
  });

  it('takes off who wants the opposite', () => {
    const stronger = Array.from({ length: 4 }, () => said('stronger'));
    expect(asked([...stronger, said('weaker')])).to.deep.equal([['stronger', 3]]);
    expect(asked([...stronger, said('weaker'), said('weaker')])).to.deep.equal([]);
  });

  it('begins anew where the usual was changed', () => {
    const before = [said('stronger'), said('stronger'), said('stronger')];
    expect(asked([{ drink: usual, forWhom: '' }, ...before])).to.deep.equal([]);
    expect(asked([said('stronger'), { drink: usual, forWhom: '' }, ...before])).to.deep.equal([]);
  });
});
