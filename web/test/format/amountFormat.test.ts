import { expect } from 'chai';
import { amountFormat } from '../../src/format/amountFormat.ts';

describe('amountFormat', () => {
  const metric = amountFormat({ units: 'metric', currency: 'EUR' });
  const us = amountFormat({ units: 'us', currency: 'USD' });

  for (const [what, of, inMetric, inUs] of [
    ['mass', 900, '900\u202fg', '31.7\u202foz'],
    ['volume', 4500, '4.50\u202fL', '4.76\u202fqt'],
    ['temp', 4, '4\u202f°C', '39\u202f°F'],
    ['percent', 0.0345, '3.45\u202f%', '3.45\u202f%'],
    ['money', 3.4, '€3.40', 'US$3.40'],
    ['pricePerMass', 31, '€31.00 a kg', 'US$14.06 a lb'],
  ] as const)
    it(`writes ${what} in both systems`, () => {
      expect([metric[what](of), us[what](of)]).to.deep.equal([inMetric, inUs]);
    });

  it('writes the same volume in the units that are not shown', () => {
    expect(metric.otherVolume(1000)).to.equal(us.volume(1000));
    expect(us.otherVolume(1000)).to.equal(metric.volume(1000));
  });

  it('knows what a plain number means in a field, and how large a graduation is', () => {
    expect([metric.plainMass, metric.plainVolume, metric.plainLargeVolume]).to.deep.equal([
      'gram',
      'millilitre',
      'litre',
    ]);
    expect([us.plainMass, us.plainVolume, us.plainLargeVolume]).to.deep.equal([
      'ounce',
      'fluidOunce',
      'quart',
    ]);
    // NIST Handbook 44, appendix C: 29.573 529 562 5 mL, 946.352 946 mL.
    expect([us.glassUnitMl, us.vesselUnitMl]).to.deep.equal([29.5735295625, 946.352946]);
    expect(us.degrees(100)).to.equal(212);
    expect(metric.degrees(100)).to.equal(100);
  });
});
