import { expect } from 'chai';
import fc from 'fast-check';
import { diffusivityM2PerS } from '../../src/brew/diffusivity.ts';
import { createRelease as createReleaseAt } from '../../src/brew/release.ts';
import {
  slurryTemperature,
  constantTemperature,
  type TemperatureHistory,
} from '../../src/brew/temperature.ts';
import { WETTING_NAMES, type Wetting } from '../../src/brew/wetting.ts';
import { GRIND_NAMES, type Grind } from '../../src/coffee/grinds.ts';
import { CONSTANTS } from '../../src/constants.ts';
import { referenceRelease } from './referenceRelease.ts';

const createRelease = (steep: Omit<Parameters<typeof createReleaseAt>[0], 'diffusivity22M2PerS'>) =>
  createReleaseAt({ ...steep, diffusivity22M2PerS: CONSTANTS.diffusivity22M2PerS.value });
const HOUR = 3600;

describe('createRelease', () => {
  const rows: {
    name: string;
    grind: Grind;
    wetting: Wetting;
    agitationS: number[];
    history: TemperatureHistory;
    timeS: number;
  }[] = [
    {
      name: 'held in the fridge, poured only',
      grind: 'coarse',
      wetting: 'pour',
      agitationS: [],
      history: constantTemperature([{ durationS: 18 * HOUR, tempC: 4 }]),
      timeS: 18 * HOUR,
    },
    {
      name: 'counter then fridge with agitation',
      grind: 'extra-coarse',
      wetting: 'pour',
      agitationS: [2 * HOUR, 5 * HOUR],
      history: constantTemperature([
        { durationS: 3 * HOUR, tempC: 22 },
        { durationS: 15 * HOUR, tempC: 4 },
      ]),
      timeS: 14 * HOUR,
    },
    {
      name: 'a warm start cooling down',
      grind: 'medium',
      wetting: 'stir',
      agitationS: [1 * HOUR],
      history: slurryTemperature({
        pours: [{ atS: 0, massG: 1000, tempC: 32 }],
        readings: [],
        places: [
          { durationS: 2 * HOUR, tempC: 21 },
          { durationS: 20 * HOUR, tempC: 4 },
        ],
        timeConstantS: 3.4 * HOUR,
      }),
      timeS: 10 * HOUR,
    },
  ];
  for (const { name, ...input } of rows)
    it(`agrees with an ODE library to 1e-6 (odex, extrapolation): ${name}`, () => {
      const release = createRelease(input);
      expect(
        release(input.timeS) /
          referenceRelease({ ...input, timesS: [input.timeS], tolerance: 1e-9 })[0]!,
      ).to.be.closeTo(1, 1e-6);
    });

  it('reaches 93 % of equilibrium with coarse grounds in 12 h on the counter (the model’s anchor)', () => {
    const release = createRelease({
      grind: 'coarse',
      wetting: 'stages',
      agitationS: [],
      history: constantTemperature([{ durationS: 12 * HOUR, tempC: 22 }]),
    });
    expect(release(12 * HOUR)).to.be.closeTo(0.93, 0.005);
  });

  it('levels off near 400 minutes at room temperature (Fuller and Rao 2017, from memory)', () => {
    const release = createRelease({
      grind: 'medium',
      wetting: 'stages',
      agitationS: [],
      history: constantTemperature([{ durationS: 24 * HOUR, tempC: 22 }]),
    });
    expect(release(400 * 60) / release(24 * HOUR)).to.be.above(0.92);
  });

  const scenarios = fc.record({
    wetting: fc.constantFrom(...WETTING_NAMES),
    agitationS: fc.array(fc.integer({ min: 0, max: 20 * HOUR }), { maxLength: 3 }),
    tempC: fc.double({ min: 1, max: 30, noNaN: true }),
    timeS: fc.integer({ min: 60, max: 30 * HOUR }),
    grindIndex: fc.integer({ min: 1, max: GRIND_NAMES.length - 1 }),
  });
  const at = (input: {
    grind: Grind;
    wetting: Wetting;
    agitationS: number[];
    tempC: number;
    timeS: number;
  }) =>
    createRelease({
      ...input,
      history: constantTemperature([{ durationS: 48 * HOUR, tempC: input.tempC }]),
    })(input.timeS);

  it('is never lowered by more time, warmth or a finer grind', () => {
    fc.assert(
      fc.property(scenarios, ({ grindIndex, ...rest }) => {
        const grind = GRIND_NAMES[grindIndex]!;
        const base = at({ ...rest, grind: GRIND_NAMES[grindIndex - 1]! });
        expect(base).to.be.within(0, 1);
        expect(at({ ...rest, grind })).to.be.at.least(base - 1e-9);
        const coarser = GRIND_NAMES[grindIndex - 1]!;
        expect(at({ ...rest, grind: coarser, tempC: rest.tempC + 2 })).to.be.at.least(base - 1e-9);
        expect(at({ ...rest, grind: coarser, timeS: rest.timeS + 600 })).to.be.at.least(
          base - 1e-9,
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('slurryTemperature', () => {
  it('integrates the diffusivity as a fine trapezoid does', () => {
    const history = slurryTemperature({
      pours: [{ atS: 0, massG: 1000, tempC: 38 }],
      readings: [],
      places: [{ durationS: 30 * HOUR, tempC: 4 }],
      timeConstantS: 3 * HOUR,
    });
    const steps = 40_000;
    const end = 9 * HOUR;
    let sum = 0;
    for (let i = 0; i <= steps; i++)
      sum +=
        (i === 0 || i === steps ? 0.5 : 1) *
        (diffusivityM2PerS(history.tempC((end * i) / steps)) / CONSTANTS.diffusivity22M2PerS.value);
    expect(history.equivalentS(end) / ((sum * end) / steps)).to.be.closeTo(1, 1e-8);
  });
});
