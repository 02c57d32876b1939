import { expect } from 'chai';
import fc from 'fast-check';
import { predictDrink } from '../../src/drink/predict.ts';
import { predictDrinkRequest, predictDrinkResponse } from '../../src/drink/predictSchema.ts';
import { ICE_KINDS } from '../../src/drink/ice.ts';
import { INGREDIENT_IDS } from '../../src/pantry/ingredients.ts';

const answer = (request: object) =>
  predictDrinkResponse.parse(predictDrink(predictDrinkRequest.parse(request)));

/** Numbers of a range, its ends and its middle far likelier than chance. */
const corner = (min: number, max: number) =>
  fc.oneof(fc.constantFrom(min, max, (min + max) / 2), fc.double({ min, max, noNaN: true }));

describe('the corners of what may be asked of a drink', () => {
  it('are answered near a glass full of ice, with hot water on it', () => {
    for (const iceG of [300, 330, 335, 340, 349, 350, 385])
      for (const iceC of [-40, -2, 0])
        for (const fillC of [0, 92, 100])
          for (const strengthFrac of [0, 1e-6, 0.01, 0.2])
            for (const jugFrac of [0, 0.035, 0.5]) {
              const found = answer({
                cupMl: 350,
                concentrate: { strengthFrac: jugFrac, tempC: 4, caffeineMgPerG: 2 },
                ice: { massG: iceG, tempC: iceC, coffeeFrac: 0, kind: 'cubes' },
                fillWith: { ingredient: 'water', tempC: fillC },
                target: { strengthFrac, atMinutes: 4 },
              });
              if (found.status !== 'met') continue;
              expect(found.levelMl).to.be.at.most(350 * (1 + 1e-9));
              expect(found.strengthFrac).to.be.closeTo(strengthFrac, 1e-9);
            }
  });

  it('are answered whatever the schema lets in (property)', () => {
    const ice = fc.option(
      fc.record({
        massG: corner(0, 20_000),
        tempC: corner(-40, 0),
        coffeeFrac: fc.constantFrom(0, 0.03, 0.3),
        kind: fc.constantFrom(...ICE_KINDS),
      }),
    );
    const target = fc.oneof(
      fc.record({ strengthFrac: corner(0, 0.2), atMinutes: corner(0, 30) }),
      fc.record({ parts: fc.record({ concentrate: corner(0.05, 1000), fill: corner(0, 1000) }) }),
      fc.record({ caffeineMg: corner(0, 2000) }),
      fc.record({ concentrateMl: corner(0, 20_000) }),
      fc.record({ glassFrac: corner(0.01, 1) }),
      fc.constant({ rest: 'concentrate' as const }),
    );
    const diluent = fc.record({
      ingredient: fc.constantFrom(...INGREDIENT_IDS),
      tempC: corner(0, 100),
      proportion: corner(0.01, 100),
    });
    const request = fc.record({
      cupMl: corner(10, 20_000),
      concentrate: fc.record({ strengthFrac: corner(0, 0.5), tempC: corner(0, 100) }),
      ice,
      additions: fc.array(
        fc.record({
          ingredient: fc.constantFrom(...INGREDIENT_IDS),
          volumeMl: corner(0, 5000),
          tempC: corner(0, 100),
        }),
        { maxLength: 3 },
      ),
      diluents: fc.array(diluent, { maxLength: 3 }),
      target,
      roomC: corner(0, 50),
      stirredDown: fc.boolean(),
      chilledToC: fc.option(corner(0, 100)),
    });
    fc.assert(
      fc.property(request, (asked) => {
        if (!predictDrinkRequest.safeParse(asked).success) return;
        answer(asked);
      }),
      { numRuns: 400, seed: 9 },
    );
  });

  it('says that more ice is in than packs into the glass: 176 g of cubes in 350 mL (practice)', () => {
    const codes = (massG: number, kind = 'cubes') =>
      answer({
        cupMl: 350,
        concentrate: { strengthFrac: 0.035 },
        ice: { massG, tempC: -2, coffeeFrac: 0, kind },
        target: { strengthFrac: 0.01, atMinutes: 4 },
      }).cautions.map(({ code }) => code);
    expect(codes(176)).not.to.include('ice_above_rim');
    expect(codes(177)).to.include('ice_above_rim');
    expect(codes(190, 'crushed')).not.to.include('ice_above_rim');
    expect(codes(300)).to.include('ice_above_rim');
  });
});
