import { expect } from 'chai';
import fc from 'fast-check';
import { coldDebtJ, fullIceG, iceAreaM2, type Ice } from '../../src/drink/ice.ts';
import { equilibriumMeltG, meltAt, type MeltInput } from '../../src/drink/melt.ts';
import { coffeeOf } from '../../src/matter/composition.ts';
import { heatCapacityJPerK } from '../../src/matter/properties.ts';
import { expectNear } from '../near.ts';
import { referenceMelt } from './referenceMelt.ts';

const cubes = (over: Partial<Ice> = {}): Ice => ({
  massG: 150,
  tempC: -2,
  coffeeFrac: 0,
  kind: 'cubes',
  ...over,
});

const glass = (over: Partial<MeltInput> = {}): MeltInput => ({
  liquid: coffeeOf({ massG: 200, strengthFrac: 0.015 }),
  tempC: 4,
  ice: cubes(),
  cupMl: 350,
  roomC: 22,
  stirredDown: false,
  ...over,
});

const MINUTES = [0.5, 1, 2, 4, 8, 15, 30];

describe('meltAt', () => {
  const rows: { name: string; input: MeltInput }[] = [
    { name: 'cubes in cold coffee', input: glass() },
    { name: 'very cold ice', input: glass({ ice: cubes({ tempC: -18, massG: 100 }) }) },
    { name: 'crushed ice', input: glass({ ice: cubes({ kind: 'crushed' }) }) },
    { name: 'coffee cubes', input: glass({ ice: cubes({ coffeeFrac: 0.02 }) }) },
    {
      name: 'hot coffee that melts all of it',
      input: glass({ tempC: 70, ice: cubes({ massG: 90 }) }),
    },
    {
      name: 'a little ice, gone on the way',
      input: glass({ tempC: 20, ice: cubes({ massG: 25 }) }),
    },
  ];
  for (const { name, input } of rows)
    it(`agrees with an ODE library to 1e-6 (odex): ${name}`, () => {
      const reference = referenceMelt({ input, minutes: MINUTES, tolerance: 1e-11 });
      meltAt(input, MINUTES).forEach((point, i) => {
        expect(point.meltedG).to.be.closeTo(reference[i]!.meltedG, 1e-6 * input.ice!.massG);
        expect(point.tempC).to.be.closeTo(reference[i]!.tempC, 1e-5);
      });
    });

  it('comes to the closed-form equilibrium when it stands long without a room', () => {
    const input = glass({ tempC: 30, roomC: 0 });
    const heatJ = heatCapacityJPerK({ composition: input.liquid, tempC: 30 }) * 30;
    const expected = equilibriumMeltG({ heatJ, debtJ: coldDebtJ(cubes()), iceG: 150 });
    // The room at 0 °C takes a little heat away before the drink is cold.
    expectNear(meltAt(input, [600])[0]!.meltedG, expected, 0.04);
    const stirred = meltAt({ ...input, stirredDown: true }, [0])[0]!;
    expectNear(stirred.meltedG, expected, 1e-12);
    expect(stirred.tempC).to.equal(0);
  });

  it('stirred down by hand: 200 g at 20 °C and 150 g of ice at −2 °C', () => {
    // C = 197·(4.1289 − 0.0018 + 0.0022) + 3·1.5857 = 818 J/K; (818·20 − 150·2.06·2)/333.55 = 47.2 g.
    const input = glass({ tempC: 20, stirredDown: true });
    expectNear(meltAt(input, [0])[0]!.meltedG, 47.2, 2e-3);
  });

  it('melts all of the ice when there is heat for it, and warms towards the room', () => {
    const [early, late] = meltAt(glass({ tempC: 60, ice: cubes({ massG: 60 }) }), [30, 2000]);
    expect(early!.meltedG).to.equal(60);
    expect(late!.tempC).to.be.closeTo(22, 0.5);
  });

  it('never takes back melt, and never melts more than there is', () => {
    fc.assert(
      fc.property(
        fc.record({
          tempC: fc.double({ min: 0, max: 95, noNaN: true }),
          massG: fc.double({ min: 1, max: 300, noNaN: true }),
          iceC: fc.double({ min: -25, max: 0, noNaN: true }),
          kind: fc.constantFrom('cubes' as const, 'crushed' as const),
          stirredDown: fc.boolean(),
        }),
        ({ tempC, massG, iceC, kind, stirredDown }) => {
          const ice = cubes({ massG, tempC: iceC, kind });
          let before = 0;
          for (const { meltedG, tempC: now } of meltAt(
            glass({ tempC, ice, stirredDown }),
            MINUTES,
          )) {
            expect(meltedG).to.be.at.least(before - 1e-9);
            expect(meltedG).to.be.at.most(massG);
            expect(now).to.be.at.least(0);
            before = meltedG;
          }
        },
      ),
    );
  });
});

describe('ice', () => {
  it('fills a 350 mL cup with 176.5 g of cubes: 350 · 0.55 · 0.917 (common practice)', () => {
    expectNear(fullIceG({ cupMl: 350, kind: 'cubes' }), 176.5, 1e-3);
  });

  it('has 6·m/(ρ·edge) of surface', () => {
    expectNear(iceAreaM2({ massG: 150, kind: 'cubes' }), (6 * 0.15) / (917 * 0.025), 1e-12);
  });
});
