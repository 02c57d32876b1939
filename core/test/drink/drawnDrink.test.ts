import { expect } from 'chai';
import { buildOrder } from '../../src/drink/build.ts';
import { liquidColour } from '../../src/drink/liquidColour.ts';
import { coffeeOf, mix, NOTHING } from '../../src/matter/composition.ts';
import { INGREDIENTS, ofMass, type IngredientId } from '../../src/pantry/ingredients.ts';

const light = (composition: Parameters<typeof liquidColour>[0]): number =>
  liquidColour(composition).reduce((sum, channel) => sum + channel, 0);
const coffee = (strengthFrac: number) => coffeeOf({ massG: 100, strengthFrac });

describe('buildOrder', () => {
  const order = (additions: [id: IngredientId, volumeMl: number][], fill: IngredientId) =>
    buildOrder({
      iceG: 120,
      concentrateMl: 90,
      diluents: [{ ingredient: INGREDIENTS[fill], volumeMl: 60 }],
      additions: additions.map(([id, volumeMl]) => ({
        ingredient: INGREDIENTS[id],
        volumeMl,
        tempC: 4,
      })),
    }).map((step) => ('ingredient' in step ? step.ingredient.id : step.kind));

  it('pours syrup, ice, concentrate, water, then milk (common practice), and leaves out nothing of none', () => {
    expect(
      order(
        [
          ['water', 30],
          ['simple-syrup', 15],
          ['heavy-cream', 0],
        ],
        'whole-milk',
      ),
    ).to.deep.equal(['simple-syrup', 'ice', 'concentrate', 'water', 'whole-milk']);
  });

  it('pours coffee over tonic, which would foam over the other way round (common practice)', () => {
    expect(order([], 'tonic-water')).to.deep.equal(['ice', 'tonic-water', 'concentrate']);
  });

  it('puts a foam on top of all, whatever it is made of', () => {
    const foam = { ...INGREDIENTS['heavy-cream'], id: 'foam', overrunFrac: 0.8 };
    const steps = buildOrder({
      iceG: 0,
      concentrateMl: 60,
      diluents: [{ ingredient: INGREDIENTS['whole-milk'], volumeMl: 60 }],
      additions: [{ ingredient: foam, volumeMl: 40, tempC: 4 }],
    });
    expect(steps.at(-1)).to.deep.include({ kind: 'addition', volumeMl: 40 });
  });
});

describe('liquidColour', () => {
  it('darkens with strength', () => {
    const levels = [0, 0.005, 0.012, 0.035].map((frac) => light(coffee(frac)));
    for (let i = 1; i < levels.length; i++) expect(levels[i]).to.be.below(levels[i - 1]!);
  });

  it('whitens with milk', () => {
    const black = coffee(0.03);
    const milky = mix([black, ofMass({ ingredient: INGREDIENTS['whole-milk'], massG: 100 })]);
    const milkier = mix([black, ofMass({ ingredient: INGREDIENTS['whole-milk'], massG: 300 })]);
    expect(light(milky)).to.be.above(light(black));
    expect(light(milkier)).to.be.above(light(milky));
  });

  it('stays inside what a screen shows, for nothing too', () => {
    for (const composition of [
      NOTHING,
      coffee(0.5),
      ofMass({ ingredient: INGREDIENTS['rich-syrup'], massG: 1 }),
    ])
      for (const channel of liquidColour(composition)) expect(channel).to.be.within(0, 255);
  });
});
