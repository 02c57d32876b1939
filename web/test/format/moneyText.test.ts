import { expect } from 'chai';
import { moneyText } from '../../src/format/moneyText.ts';

const PRICES = [
  0, 0.004, 0.005, 0.125, 1, 3.4, 12.345, 999.995, 1234.5, 1e6, 9876543.21, -0.4, -1e4,
];

describe('moneyText', () => {
  // Reference: the Unicode project's own formatter for British English, as this Node has it (Intl).
  for (const currency of 'EUR GBP USD AUD CAD NZD CHF SEK NOK DKK PLN JPY KWD'.split(' '))
    it(`writes ${currency} as the Unicode tables do`, () => {
      const prices = new Intl.NumberFormat('en-GB', { style: 'currency', currency });
      for (const price of PRICES) expect(moneyText(price, currency)).to.equal(prices.format(price));
    });
});
