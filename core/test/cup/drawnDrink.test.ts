import { expect } from 'chai';
import { buildOrder } from '../../src/cup/buildOrder.ts';
import { liquidColour } from '../../src/cup/liquidColour.ts';
import { coffeeOf, mix, NOTHING } from '../../src/matter/composition.ts';
import { ingredientOf } from '../../src/matter/ingredients.ts';

const light = (composition: Parameters<typeof liquidColour>[0]): number =>
  liquidColour(composition).reduce((sum, channel) => sum + channel, 0);
const coffee = (strengthFrac: number) => coffeeOf({ massG: 100, strengthFrac });

describe('buildOrder', () => {
  it('pours syrup, ice, concentrate, water, then milk (common practice), and leaves out nothing of none', () => {
    const steps = buildOrder({
      iceG: 120,
      concentrateMl: 90,
      fill: { ingredient: 'whole-milk', volumeMl: 60 },
      additions: [
        { ingredient: 'water', volumeMl: 30, tempC: 4 },
        { ingredient: 'simple-syrup', volumeMl: 15, tempC: 20 },
        { ingredient: 'heavy-cream', volumeMl: 0, tempC: 4 },
      ],
    });
    expect(steps.map((step) => ('ingredient' in step ? step.ingredient : step.part))).to.deep.equal(
      ['simple-syrup', 'ice', 'concentrate', 'water', 'whole-milk'],
    );
  });
});

describe('liquidColour', () => {
  it('darkens with strength', () => {
    const levels = [0, 0.005, 0.012, 0.035].map((frac) => light(coffee(frac)));
    for (let i = 1; i < levels.length; i++) expect(levels[i]).to.be.below(levels[i - 1]!);
  });

  it('whitens with milk', () => {
    const black = coffee(0.03);
    const milky = mix([black, ingredientOf({ ingredient: 'whole-milk', massG: 100 })]);
    const milkier = mix([black, ingredientOf({ ingredient: 'whole-milk', massG: 300 })]);
    expect(light(milky)).to.be.above(light(black));
    expect(light(milkier)).to.be.above(light(milky));
  });

  it('stays inside what a screen shows, for nothing too', () => {
    for (const composition of [
      NOTHING,
      coffee(0.5),
      ingredientOf({ ingredient: 'rich-syrup', massG: 1 }),
    ])
      for (const channel of liquidColour(composition)) expect(channel).to.be.within(0, 255);
  });
});
