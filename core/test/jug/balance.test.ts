import { expect } from 'chai';
import fc from 'fast-check';
import {
  blended,
  blendToStrengthG,
  roomFor,
  stretched,
  waterToStrengthG,
} from '../../src/jug/balance.ts';
import { expectNear } from '../near.ts';

const jugs = fc.record({
  massG: fc.double({ min: 1, max: 20_000, noNaN: true }),
  strengthFrac: fc.double({ min: 0.005, max: 0.1, noNaN: true }),
});

describe('the balance of a jug', () => {
  it('by hand: 2000 g of 4 % come down to 3.2 % with 500 g of water', () => {
    expectNear(
      waterToStrengthG({ massG: 2000, strengthFrac: 0.04, wantedFrac: 0.032 }),
      500,
      1e-12,
    );
  });

  it('fits to a little over its mark: 3.5 % coffee is 1.2 % denser than water', () => {
    // 3037 g at about 1.0125 g/mL are 3000 mL; a fiftieth more than the mark still goes in.
    const of = (massG: number) => roomFor({ capacityMl: 3000, massG, strengthFrac: 0.035 });
    expectNear(of(3037).needMl, 3000, 2e-3);
    expect([of(3037).fits, of(3080).fits, of(3110).fits]).to.deep.equal([true, true, false]);
  });

  it('by hand: 1000 g of 2.8 % come up to 3.2 % with 500 g of 4 %', () => {
    expectNear(
      blendToStrengthG({ massG: 1000, strengthFrac: 0.028, wantedFrac: 0.032, withFrac: 0.04 }),
      500,
      1e-12,
    );
  });

  it('by hand: 1500 g of 3.6 % stretched to 1800 g are 3.0 %', () => {
    const { waterG, strengthFrac } = stretched({ massG: 1500, strengthFrac: 0.036, toG: 1800 });
    expectNear(waterG, 300, 1e-12);
    expectNear(strengthFrac, 0.03, 1e-12);
  });

  it('keeps mass and solids, whatever is blended (property)', () => {
    fc.assert(
      fc.property(jugs, jugs, (a, b) => {
        const both = blended(a, b);
        expectNear(both.massG, a.massG + b.massG, 1e-12);
        expectNear(
          both.massG * both.strengthFrac,
          a.massG * a.strengthFrac + b.massG * b.strengthFrac,
          1e-12,
        );
      }),
    );
  });

  it('is undone by its own check: watered and blended jugs read what was wanted (property)', () => {
    fc.assert(
      fc.property(jugs, fc.double({ min: 0.1, max: 0.99, noNaN: true }), (jug, share) => {
        const wantedFrac = jug.strengthFrac * share;
        const waterG = waterToStrengthG({ ...jug, wantedFrac });
        expectNear(blended(jug, { massG: waterG, strengthFrac: 0 }).strengthFrac, wantedFrac, 1e-9);
        const withFrac = wantedFrac / 2;
        const blendG = blendToStrengthG({ ...jug, wantedFrac, withFrac });
        const read = blended(jug, { massG: blendG, strengthFrac: withFrac }).strengthFrac;
        expectNear(read, wantedFrac, 1e-9);
      }),
    );
  });

  it('refuses what no water and no blend can do', () => {
    const jug = { massG: 1000, strengthFrac: 0.03 };
    expect(() => waterToStrengthG({ ...jug, wantedFrac: 0.04 })).to.throw(/outside the range/);
    expect(() => blendToStrengthG({ ...jug, wantedFrac: 0.035, withFrac: 0.032 })).to.throw(
      /outside the range/,
    );
    expect(() => stretched({ ...jug, toG: 900 })).to.throw(/outside the range/);
  });
});
