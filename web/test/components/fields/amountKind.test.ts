import { expect } from 'chai';
import {
  hoursKind,
  largeVolumeKind,
  massKind,
  numberKind,
  percentKind,
  ratioKind,
  STRENGTH,
  tempKind,
  volumeKind,
} from '../../../src/components/fields/amountKind.ts';
import { amountFormat } from '../../../src/format/amountFormat.ts';

const metric = amountFormat({ units: 'metric', currency: 'EUR' });
const us = amountFormat({ units: 'us', currency: 'USD' });

describe('kinds of amounts', () => {
  for (const [kind, value, written, limits] of [
    [massKind(metric, { step: 5, min: 5, max: 50_000 }), 900, '900\u2009g', '5 g and 50 kg'],
    [massKind(us, { step: 5, min: 5, max: 50_000 }), 900, '31.7\u2009oz', '0.2 oz and 110.23 lb'],
    [volumeKind(metric, { step: 10, min: 30, max: 400 }), 200, '200\u2009mL', '30 and 400 mL'],
    [tempKind(metric, { step: 1, min: 0, max: 95 }), 4, '4\u2009°C', '0 and 95 °C'],
    [tempKind(us, { step: 1, min: 0, max: 95 }), 4, '39\u2009°F', '32 and 203 °F'],
    [
      percentKind({ step: 0.001, min: 0.05, max: 0.35, decimals: 1 }),
      0.28,
      '28.0\u2009%',
      '5 and 35 %',
    ],
    [STRENGTH, 0.0345, '3.45\u2009%', '0.10 and 20 %'],
    [numberKind({ step: 1, min: 1, max: 50 }), 3, '3', '1 and 50'],
    [numberKind({ step: 0.5, min: 0, max: 1000, decimals: 2 }), 31.5, '31.50', '0 and 1000'],
    [ratioKind({ step: 0.1, min: 0.5, max: 100 }), 5, '1 : 5.0', '1 : 0.5 and 1 : 100'],
    [hoursKind({ step: 900, min: 3600, max: 604_800 }), 64_800, '18\u2009h', '1 and 168 h'],
  ] as const)
    it(`write ${written}, and say that it lies between ${limits}`, () => {
      expect(kind.write(value)).to.equal(written);
      expect(kind.limitText).to.equal(`Between ${limits}.`);
    });

  it('know what a plain number means: litres for a batch, millilitres for a glass', () => {
    const limits = { step: 50, min: 20, max: 400_000 };
    expect(largeVolumeKind(metric, limits).plainUnit).to.equal('litre');
    expect(volumeKind(metric, limits).plainUnit).to.equal('millilitre');
    expect(largeVolumeKind(us, limits).plainUnit).to.equal('quart');
    expect(numberKind(limits).plainUnit).to.equal(undefined);
  });

  it('can be written and limited in their own way', () => {
    const bag = massKind(metric, {
      step: 50,
      min: 0,
      max: 50_000,
      accepts: ['mass', 'volume'],
      write: (massG) => (massG === 0 ? 'no bag' : metric.mass(massG)),
      limitText: 'Up to 50 kg; 0 for no bag.',
    });
    expect(bag.write(0)).to.equal('no bag');
    expect(bag).to.deep.include({
      accepts: ['mass', 'volume'],
      limitText: 'Up to 50 kg; 0 for no bag.',
    });
  });
});
