import { expect } from 'chai';
import { amountFormat } from '../../src/format/amountFormat.ts';
import { alsoIn, alsoResultIn, inUnits } from '../../src/format/inUnits.ts';

const metric = amountFormat({ units: 'metric', currency: 'EUR' });
const us = amountFormat({ units: 'us', currency: 'USD' });
const plain = (text: string) => text.replaceAll(/[\u202f\u00a0]/g, ' ');

describe('inUnits', () => {
  // NIST Handbook 44, appendix C: 28.349 523 125 g to the ounce, 29.573 529 562 5 mL to the fluid ounce.
  for (const [text, inUs] of [
    ['Keep it at 5 °C or colder.', 'Keep it at 41 °F or colder.'],
    ['a 120 mL glass holds 230 mg', 'a 4.1 fl oz glass holds 230 mg'],
    ['Take at least 900 g of water.', 'Take at least 31.7 oz of water.'],
    ['vessels of at most 0.8 L.', 'vessels of at most 27.1 fl oz.'],
    ['30–60 mL more', '1.0 fl oz–2.0 fl oz more'],
    ['at −2 °C', 'at 28 °F'],
    ['taken for 265 g, by 0.32 g/mL', 'taken for 9.3 oz, by 0.32 g/mL'],
    ['3.07 g per g', '3.07 g per g'],
    ['“200 g coffee” is taken for 200 g', '“200 g coffee” is taken for 7.1 oz'],
    // 31 · 0.453 592 37 and 10 · 0.946 352 946.
    ['31 per kg, 10 per L', '14.06 per lb, 9.46 per qt'],
    ['12 g, 3 kcal, 40 grains', '0.4 oz, 3 kcal, 40 grains'],
  ] as const)
    it(`writes “${text}” in both systems`, () => {
      expect(inUnits(text, metric)).to.equal(text);
      expect(plain(inUnits(text, us))).to.equal(inUs);
    });
});

describe('alsoIn', () => {
  it('adds what a value is in the other units, where it is an amount', () => {
    expect(plain(alsoIn('850 g', us))).to.equal('850 g, 30.0 oz');
    expect(alsoIn('850 g', metric)).to.equal('850 g');
    expect(alsoIn('0.2075', us)).to.equal('0.2075');
  });
});

describe('alsoResultIn', () => {
  it('leaves an equation in SI, and adds what it comes to', () => {
    const filledIn = '31 per kg · 0.85 kg/2.67 L = 9.87 per L';
    expect(alsoResultIn(filledIn, us)).to.equal(`${filledIn}, 9.34 per qt`);
    expect(alsoResultIn(filledIn, metric)).to.equal(filledIn);
    expect(alsoResultIn('0.2 · 0.9 = 0.18', us)).to.equal('0.2 · 0.9 = 0.18');
  });
});
