import { expect } from 'chai';
import fc from 'fast-check';
import { unit } from 'mathjs';
import {
  celsiusToFahrenheit,
  convert,
  fahrenheitToCelsius,
  UNITS,
  type UnitId,
} from '../../src/units/units.ts';
import { expectNear } from '../near.ts';

describe('convert', () => {
  // mathjs keeps litres by the US gallon rounded to five digits, hence 1e-4 for volumes;
  // NIST Handbook 44 appendix C gives the exact factors checked below.
  const second: [id: UnitId, other: string, base: string, tolerance: number][] = [
    ['ounce', 'oz', 'g', 1e-12],
    ['pound', 'lbm', 'g', 1e-9],
    ['cup', 'cup', 'ml', 3e-4],
    ['pint', 'pint', 'ml', 3e-4],
    ['quart', 'quart', 'ml', 3e-4],
    ['gallon', 'gallon', 'ml', 3e-4],
    ['tablespoon', 'tablespoon', 'ml', 0.02],
    ['hour', 'hour', 's', 1e-12],
  ];
  for (const [id, other, base, tolerance] of second)
    it(`agrees with a second library on a ${id}`, () => {
      expectNear(UNITS[id].canonical, unit(1, other).toNumber(base), tolerance);
    });

  // NIST Handbook 44, appendix C, exact; metric spoons and cup by definition.
  const exact: [id: UnitId, canonical: number][] = [
    ['fluidOunce', 29.5735295625],
    ['cup', 236.5882365],
    ['quart', 946.352946],
    ['gallon', 3785.411784],
    ['teaspoon', 4.92892159375],
    ['ounce', 28.349523125],
    ['pound', 453.59237],
    ['metricCup', 250],
    ['metricTablespoon', 15],
    ['imperialPint', 568.26125],
  ];
  for (const [id, canonical] of exact)
    it(`holds a ${id} exactly`, () => {
      expectNear(UNITS[id].canonical, canonical, 1e-15);
    });

  it('comes back from every unit of the same kind', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e6, noNaN: true }), (value) => {
        const there = convert({ value, from: 'cup', to: 'millilitre' });
        expectNear(convert({ value: there, from: 'millilitre', to: 'cup' }), value, 1e-14);
      }),
    );
  });
});

describe('temperature scales', () => {
  for (const [tempC, tempF] of [
    [0, 32],
    [5, 41],
    [100, 212],
    [-40, -40],
  ] as const)
    it(`${tempC} °C is ${tempF} °F`, () => {
      expect(celsiusToFahrenheit(tempC)).to.be.closeTo(tempF, 1e-12);
      expect(fahrenheitToCelsius(tempF)).to.be.closeTo(tempC, 1e-12);
    });
});
