import { expect } from 'chai';
import { strengthName } from '../../src/brew/strengthName.ts';

describe('strengthName', () => {
  const rows: [strengthFrac: number, name: string][] = [
    [0, 'thin'],
    [0.0099, 'thin'],
    [0.01, 'cup strength'],
    [0.015, 'cup strength'],
    [0.0151, 'ready to drink'],
    [0.023, 'ready to drink'],
    [0.03, 'strong'],
    [0.0345, 'concentrate'],
    [0.055, 'concentrate'],
    [0.06, 'essence'],
  ];
  for (const [frac, name] of rows)
    it(`calls ${(100 * frac).toFixed(2)} % ${name}`, () => {
      expect(strengthName(frac)).to.equal(name);
    });
});
