import { expect } from 'chai';
import fc from 'fast-check';
import { createLineCutter, LONGEST_LINE, readLine } from '../../src/instruments/lineProtocol.ts';

describe('readLine', () => {
  for (const [line, expected] of [
    ['mass 851.2 steady', { says: 'mass', massG: 851.2, isSteady: true }],
    ['mass -0.1 moving', { says: 'mass', massG: -0.1, isSteady: false }],
    ['  mass 12  ', { says: 'mass', massG: 12, isSteady: null }],
    ['temp 4.1', { says: 'temp', tempC: 4.1 }],
    ['brix 4.05 at 21.5', { says: 'brix', brix: 4.05, sampleC: 21.5 }],
    ['brix 4.05', { says: 'brix', brix: 4.05, sampleC: null }],
    ['hello bench scale', { says: 'hello', name: 'bench scale' }],
    ['mass 851,2', { says: 'malformed' }],
    ['mass NaN', { says: 'malformed' }],
    ['mass 1e9', { says: 'malformed' }],
    ['mass 99999', { says: 'malformed' }],
    ['temp 900', { says: 'malformed' }],
    ['index 1.2', { says: 'malformed' }],
    ['brix 4 at 300', { says: 'malformed' }],
    ['MASS 12', { says: 'malformed' }],
    ['', { says: 'malformed' }],
  ] as const)
    it(`“${line}”`, () => expect(readLine(line)).to.deep.equal(expected));

  it('reads a refractive index as degrees Brix', () => {
    // NBS Circular 440, table 92: 10 °Bx has 1.34782 (memory).
    const line = readLine('index 1.34782 at 20');
    expect(line).to.have.property('sampleC', 20);
    expect((line as { brix: number }).brix).to.be.closeTo(10, 0.03);
  });

  it('never throws, whatever comes', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) => {
        expect(readLine(text).says).to.be.oneOf(['mass', 'temp', 'brix', 'hello', 'malformed']);
      }),
      { seed: 13, numRuns: 1000 },
    );
  });
});

describe('createLineCutter', () => {
  it('gives the same lines however the text is cut', () => {
    const text = 'mass 1\r\nmass 2 steady\n\ntemp 4.1\nbrix 3';
    fc.assert(
      fc.property(fc.array(fc.nat(text.length), { maxLength: 8 }), (cuts) => {
        const at = [0, ...cuts.toSorted((a, b) => a - b), text.length];
        const cut = createLineCutter();
        const lines = at.slice(1).flatMap((to, i) => cut(text.slice(at[i], to)));
        expect(lines).to.deep.equal(['mass 1', 'mass 2 steady', 'temp 4.1']);
      }),
      { seed: 13 },
    );
  });

  it('holds no more than a line of a flood that never ends one, and is well after it', () => {
    const cut = createLineCutter();
    for (let i = 0; i < 1000; i++) expect(cut('x'.repeat(1000))).to.deep.equal([]);
    const [flood, next] = cut('\nmass 5\n');
    expect(flood).to.have.length(LONGEST_LINE + 1);
    expect(readLine(flood!)).to.deep.equal({ says: 'malformed' });
    expect(next).to.equal('mass 5');
  });
});
