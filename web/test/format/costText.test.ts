import { expect } from 'chai';
import { costText } from '../../src/format/costText.ts';

const money = (amount: number): string => `€${amount.toFixed(2)}`;

describe('costText', () => {
  it('says the sum, more than the sum, or that there is none', () => {
    expect(costText({ price: 0.53, unknown: [] }, money)).to.equal('€0.53');
    expect(costText({ price: 0.53, unknown: ['Oat drink'] }, money)).to.equal('€0.53 +');
    expect(costText({ price: 0, unknown: ['Concentrate'] }, money)).to.equal('–');
  });

  it('takes what costs nothing for nothing', () => {
    expect(costText({ price: 0, unknown: [] }, money)).to.equal('€0.00');
  });
});
