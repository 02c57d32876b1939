import { expect } from 'chai';
import { alsoIn } from '../../src/format/alsoIn.ts';
import { amountFormat } from '../../src/format/amountFormat.ts';

describe('alsoIn', () => {
  const metric = amountFormat({ units: 'metric', currency: 'EUR' });
  const us = amountFormat({ units: 'us', currency: 'USD' });

  for (const [value, inUs] of [
    // NIST Handbook 44, appendix C: 28.349 523 125 g to the ounce, 29.573 529 562 5 mL to the fluid ounce.
    ['850 g', '850 g, 30.0\u2009oz'],
    ['120 mL', '120 mL, 4.1\u2009fl\u2009oz'],
    ['4 °C', '4 °C, 39\u2009°F'],
    ['−2 °C', '−2 °C, 28\u2009°F'],
    ['2.1 g/g', '2.1 g/g'],
    ['0.2075', '0.2075'],
  ] as const)
    it(`writes ${value} in both systems`, () => {
      expect([alsoIn(value, metric), alsoIn(value, us)]).to.deep.equal([value, inUs]);
    });
});
