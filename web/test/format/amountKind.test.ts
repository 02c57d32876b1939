import { readAmount } from '@ratio/core/units';
import { expect } from 'chai';
import {
  hoursKind,
  inUsual,
  largeVolumeKind,
  massKind,
  measuredKind,
  numberKind,
  partsKind,
  percentKind,
  pouredKind,
  priceKind,
  pricePerMassKind,
  ratioKind,
  STRENGTH,
  tempKind,
  volumeKind,
  type AmountKind,
} from '../../src/format/amountKind.ts';
import { amountFormat } from '../../src/format/amountFormat.ts';

const metric = amountFormat({ units: 'metric', currency: 'EUR' });
const us = amountFormat({ units: 'us', currency: 'USD' });

describe('kinds of amounts', () => {
  for (const [kind, value, written, limits] of [
    [massKind(metric, { step: 5, min: 5, max: 50_000 }), 900, '900\u202fg', '5 g and 50 kg'],
    [massKind(us, { step: 5, min: 5, max: 50_000 }), 900, '31.7\u202foz', '0.2 oz and 110.23 lb'],
    [volumeKind(metric, { step: 10, min: 30, max: 400 }), 200, '200\u202fmL', '30 and 400 mL'],
    [tempKind(metric, { step: 1, min: 0, max: 95 }), 4, '4\u202f°C', '0 and 95 °C'],
    [tempKind(us, { step: 1, min: 0, max: 95 }), 4, '39\u202f°F', '32 and 203 °F'],
    [
      percentKind({ step: 0.001, min: 0.05, max: 0.35, decimals: 1 }),
      0.28,
      '28.0\u202f%',
      '5 and 35 %',
    ],
    [STRENGTH, 0.0345, '3.45\u202f%', '0.10 and 20 %'],
    [numberKind({ step: 1, min: 1, max: 50 }), 3, '3', '1 and 50'],
    [numberKind({ step: 0.5, min: 0, max: 1000, decimals: 2 }), 31.5, '31.50', '0 and 1000'],
    [ratioKind({ step: 0.1, min: 0.5, max: 100 }), 5, '1 : 5.0', '1 : 0.5 and 1 : 100'],
    [hoursKind({ step: 900, min: 3600, max: 604_800 }), 64_800, '18\u202fh', '1 and 168 h'],
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

  it('say what would do for what they take, and never a ratio for a price', () => {
    const says = (kind: AmountKind, text: string) => {
      const { accepts, example } = kind;
      const read = readAmount({ text, accepts, ...(example ? { example } : {}) });
      return read.ok ? read.value : read.message;
    };
    expect(says(priceKind({ max: 100 }), 'abc')).to.contain('Try 4.80');
    expect(says(priceKind({ max: 100 }), '1:6')).to.be.a('string');
    expect(says(numberKind({ step: 1, min: 0, max: 9 }), 'abc')).to.contain('Try 12');
    expect(says(partsKind({ step: 1, min: 0, max: 9 }), '2:1')).to.equal(0.5);
  });

  it('write parts with the smaller one as one', () => {
    const { write } = partsKind({ step: 1, min: 0, max: 9 });
    expect([1, 2, 0.5, 0].map(write)).to.deep.equal(['1 : 1', '1 : 2', '2 : 1', '1 : 0']);
  });

  it('take what was seen in the other quantity by the density', () => {
    const limits = { step: 1, min: 0, max: 50_000, gPerMl: 0.32 };
    const coffee = measuredKind(metric, limits);
    expect(inUsual({ value: 1000, quantity: 'volume' }, coffee)).to.equal(320);
    expect(inUsual({ value: 320, quantity: 'mass' }, coffee)).to.equal(320);
    const poured = pouredKind(metric, { ...limits, gPerMl: 1.02 });
    expect(inUsual({ value: 510, quantity: 'mass' }, poured)).to.equal(500);
  });

  it('price by the kilogram or the pound, and keep the price of a kilogram', () => {
    const perKg = pricePerMassKind(metric, { max: 1000 });
    const perLb = pricePerMassKind(us, { max: 1000 });
    expect([perKg.write(31), perLb.write(31)]).to.deep.equal(['31.00', '14.06']);
    // NIST Handbook 44, appendix C: 0.453 592 37 kg to the pound.
    expect(inUsual({ value: 14.06, quantity: 'number' }, perLb)).to.be.closeTo(
      14.06 / 0.45359237,
      1e-9,
    );
    expect(inUsual({ value: 31, quantity: 'number' }, perKg)).to.equal(31);
    expect(perLb.limitText).to.equal('Between 0 and 453.59.');
  });
});
