import { expect } from 'chai';
import fc from 'fast-check';
import { readAmount, type Expected } from '../../src/units/readAmount.ts';
import { UNITS, type UnitId } from '../../src/units/units.ts';
import { understood } from '../../src/units/understood.ts';
import {
  amountParts,
  amountText,
  writeMass,
  writeTemp,
  writeVolume,
} from '../../src/units/writeAmount.ts';
import { expectNear } from '../near.ts';

const read = (text: string, accepts: [Expected, ...Expected[]], plainUnit?: UnitId) =>
  readAmount({ text, accepts, ...(plainUnit ? { plainUnit } : {}) });

describe('readAmount', () => {
  const understood: [
    text: string,
    accepts: [Expected, ...Expected[]],
    value: number,
    high?: number,
  ][] = [
    ['900', ['mass'], 900],
    ['1.2 kg', ['mass'], 1200],
    ['1,2 kg', ['mass'], 1200],
    ['4,500 g', ['mass'], 4500],
    ['0,125 kg', ['mass'], 125],
    ['0,5 L', ['volume'], 500],
    ['1,50 kg', ['mass'], 1500],
    ['1-1/2 cups', ['volume'], 1.5 * 236.5882365],
    ['thirteen ounces', ['mass'], 13 * 28.349523125],
    ['a dozen tablespoons', ['volume'], 6 * 29.5735295625],
    ['twenty-five g', ['mass'], 25],
    ['26oz', ['mass'], 26 * 28.349523125],
    ['2 lb', ['mass'], 907.18474],
    ['1 lb 4 oz', ['mass'], 566.9904625],
    ['3 1/2 cups', ['volume'], 3.5 * 236.5882365],
    ['3½ cups', ['volume'], 3.5 * 236.5882365],
    ['half a cup', ['volume'], 118.29411825],
    ['a cup and a half', ['volume'], 1.5 * 236.5882365],
    ['one and a half cups', ['volume'], 1.5 * 236.5882365],
    ['two thirds cup', ['volume'], (2 / 3) * 236.5882365],
    ['3/4 L', ['volume'], 750],
    ['2 quarts', ['volume'], 2 * 946.352946],
    ['10 tablespoons', ['volume'], 5 * 29.5735295625],
    ['12 fl. oz', ['volume'], 12 * 29.5735295625],
    ['2 metric cups', ['volume'], 500],
    ['1 imperial pint', ['volume'], 568.26125],
    ['18 h', ['time'], 64_800],
    ['12-14 h', ['time'], 43_200, 50_400],
    ['12 to 14 hours', ['time'], 43_200, 50_400],
    ['2 h 30 min', ['time'], 9000],
    ['1:6', ['ratio'], 6],
    ['1 to 8', ['ratio'], 8],
    ['2:1', ['ratio'], 0.5],
    ['1 to 2', ['ratio'], 2],
    ['3 to 2', ['ratio'], 2 / 3],
    ['half and half', ['ratio'], 1],
    ['one to one', ['ratio'], 1],
    ['12.5', ['number'], 12.5],
    // An ounce of what is measured by volume is fluid, of coffee and of ice it is mass.
    ['12 oz', ['volume', 'mass'], 12 * 29.5735295625],
    ['1 oz', ['mass', 'volume'], 28.349523125],
    ['3 drops', ['volume'], 0.15],
    ['2 dashes', ['volume'], 1.2],
    ['overnight', ['time'], 43_200],
    ['2/3', ['percent'], 2 / 3],
    ['two thirds of the glass', ['percent'], 2 / 3],
    ['half', ['percent'], 0.5],
    ['5.5', ['ratio'], 5.5],
    ['4 °C', ['temperature'], 4],
    ['41 F', ['temperature'], 5],
    ['3.4 %', ['percent'], 0.034],
    ['3.4', ['percent'], 0.034],
  ];
  for (const [text, accepts, value, high = value] of understood) {
    it(`understands “${text}”`, () => {
      const amount = read(text, accepts);
      if (!amount.ok) throw new Error(amount.message);
      expectNear(amount.value, value, 1e-12);
      expectNear(amount.high, high, 1e-12);
    });
  }

  it('asks where a comma can part thousands or decimals', () => {
    for (const text of ['1,500 kg', '2,250 L', '1,250 lb']) {
      const amount = read(text, ['mass', 'volume']);
      expect(amount.ok, text).to.equal(false);
      if (!amount.ok)
        expect(amount.message).to.match(/is it 1\.5 or 1500|2\.25 or 2250|1\.25 or 1250/);
    }
  });

  it('counts in the measures that the shop has: pumps, spoons, cubes', () => {
    const measures = [
      { name: 'pump', quantity: 'volume', canonical: 7.5 },
      { name: 'cube', quantity: 'mass', canonical: 14.33 },
    ] as const;
    const pumps = { accepts: ['volume', 'mass'], measures } as const;
    expect(readAmount({ text: '2 pumps', ...pumps })).to.include({ quantity: 'volume', value: 15 });
    expect(readAmount({ text: '1½ Pump', ...pumps })).to.include({ value: 11.25 });
    const cubes = readAmount({ text: '8-10 cubes', ...pumps });
    expect(cubes).to.include({ quantity: 'mass', value: 8 * 14.33, high: 143.3 });
    expect(readAmount({ text: '2 pumps', accepts: ['volume'] }).ok).to.equal(false);
  });

  it('takes a plain number in the field’s own unit', () => {
    expect(read('18', ['time'], 'hour')).to.include({ ok: true, value: 64_800 });
  });

  const refused: [text: string, accepts: [Expected, ...Expected[]], says: RegExp][] = [
    ['', ['mass'], /Nothing is entered/],
    ['lots', ['mass'], /no number/],
    ['-5 g', ['mass'], /below zero/],
    ['12 g of coffee', ['mass'], /not a unit/],
    ['5 bushels', ['volume'], /not a unit/],
    ['3 cups', ['mass'], /measures volume/],
    ['14-12 h', ['time'], /backwards/],
    ['1:x', ['ratio'], /not a ratio/],
    ['1/0 cup', ['volume'], /not a unit|no number/],
    ['2 h 30', ['time'], /not a unit/],
    ['1 lb 4 mL', ['mass'], /not a unit/],
  ];
  for (const [text, accepts, says] of refused)
    it(`refuses “${text}” with what would do`, () => {
      const amount = read(text, accepts);
      if (amount.ok) throw new Error(`understood as ${amount.value}`);
      expect(amount.message).to.match(says);
    });

  it('reads back every unit by its symbol', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(UNITS) as UnitId[])),
        fc.integer({ min: 1, max: 99_999 }),
        (id, hundredths) => {
          const { symbol, canonical, quantity } = UNITS[id];
          const amount = read(`${(hundredths / 100).toFixed(2)} ${symbol}`, [quantity]);
          if (!amount.ok) throw new Error(amount.message);
          expectNear(amount.value, (hundredths / 100) * canonical, 1e-12);
        },
      ),
    );
  });

  it('reads mixed fractions exactly', () => {
    fc.assert(
      fc.property(
        fc.nat(40),
        fc.integer({ min: 1, max: 15 }),
        fc.integer({ min: 2, max: 16 }),
        (whole, n, d) => {
          const amount = read(`${whole} ${n}/${d} g`, ['mass']);
          if (!amount.ok) throw new Error(amount.message);
          expect(amount.value).to.equal((whole * d + n) / d);
        },
      ),
    );
  });
});

describe('understood', () => {
  for (const [text, accepts, says] of [
    ['3 1/2 cups', 'volume', '828\u202fmL, 28.0\u202ffl oz'],
    ['2 lb', 'mass', '907\u202fg, 32.0\u202foz'],
    ['39 F', 'temperature', '4\u202f°C, 39\u202f°F'],
    ['12-14 h', 'time', '12 h to 14 h'],
    ['40 min', 'time', '40 min'],
    ['1:6', 'ratio', '1:6'],
    ['3.4', 'percent', '3.4 %'],
  ] as const)
    it(`says “${text}” in both systems`, () => {
      const amount = read(text, [accepts]);
      if (!amount.ok) throw new Error(amount.message);
      expect(understood(amount)).to.equal(says);
    });
});

describe('writing amounts', () => {
  for (const [written, expected] of [
    [writeMass({ massG: 900, units: 'metric' }), '900\u202fg'],
    [writeMass({ massG: 12_340, units: 'metric' }), '12.34\u202fkg'],
    [writeMass({ massG: 900, units: 'us' }), '31.7\u202foz'],
    [writeMass({ massG: 4500, units: 'us' }), '9.92\u202flb'],
    [writeVolume({ volumeMl: 350, units: 'metric' }), '350\u202fmL'],
    [writeVolume({ volumeMl: 2820, units: 'metric' }), '2.82\u202fL'],
    [writeVolume({ volumeMl: 350, units: 'us' }), '11.8\u202ffl oz'],
    [writeVolume({ volumeMl: 2820, units: 'us' }), '2.98\u202fqt'],
    [writeTemp({ tempC: 4, units: 'us' }), '39\u202f°F'],
    [writeTemp({ tempC: -2, units: 'metric' }), '−2\u202f°C'],
    // −18 °C are −0.4 °F, which no thermometer calls minus nought.
    [writeTemp({ tempC: -18, units: 'us' }), '0\u202f°F'],
    [writeTemp({ tempC: -0.3, units: 'metric' }), '0\u202f°C'],
  ] as const)
    it(`writes ${expected}`, () => {
      expect(amountText(written)).to.equal(expected);
      expect(amountParts(expected)).to.deep.equal(written);
    });
});
