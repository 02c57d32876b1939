import { expect } from 'chai';
import fc from 'fast-check';
import { icePieces } from '../../../src/ui/drawings/icePieces.ts';
import {
  heightOfMm,
  radiusAtMm,
  vesselShape,
  volumeAtMl,
} from '../../../src/ui/drawings/vesselShape.ts';
import { volumeTicks } from '../../../src/ui/drawings/volumeTicks.ts';

const shapes = fc.record({
  brimMl: fc.double({ min: 50, max: 20_000, noNaN: true }),
  heightMm: fc.double({ min: 50, max: 500, noNaN: true }),
  taper: fc.double({ min: 0, max: 0.5, noNaN: true }),
});

describe('vesselShape', () => {
  it('holds its brim volume at its height', () => {
    fc.assert(
      fc.property(shapes, (input) => {
        const shape = vesselShape(input);
        expect(volumeAtMl(shape, input.heightMm) / input.brimMl).to.be.closeTo(1, 1e-9);
        expect(heightOfMm(shape, input.brimMl) / input.heightMm).to.be.closeTo(1, 1e-6);
      }),
    );
  });

  it('turns a level into a volume and back', () => {
    fc.assert(
      fc.property(shapes, fc.double({ min: 0.01, max: 1, noNaN: true }), (input, share) => {
        const shape = vesselShape(input);
        const height = share * input.heightMm;
        expect(heightOfMm(shape, volumeAtMl(shape, height))).to.be.closeTo(height, 1e-3);
      }),
    );
  });

  it('is a cylinder without taper: 1 L at 127.3 mm high is 100 mm wide', () => {
    const shape = vesselShape({ brimMl: 1000, heightMm: 1e6 / (Math.PI * 2500), taper: 0 });
    expect(radiusAtMm(shape, 40)).to.be.closeTo(50, 1e-9);
  });
});

describe('volumeTicks', () => {
  it('labels whole litres on a jar of six, with halves between', () => {
    const ticks = volumeTicks({ brimMl: 6100, perUnitMl: 1000 });
    const labels = ticks.filter(({ major }) => major).map(({ label }) => label);
    expect(labels).to.deep.equal(['0', '1', '2', '3', '4', '5', '6']);
    expect(ticks.at(-1)!.volumeMl).to.be.at.most(6100);
  });

  it('labels a glass in steps of fifty', () => {
    const labels = volumeTicks({ brimMl: 395, perUnitMl: 1 }).filter(({ major }) => major);
    expect(labels.map(({ volumeMl }) => volumeMl)).to.include.members([0, 50, 100, 350]);
  });

  it('labels a small jug in halves: it is drawn small', () => {
    const labels = volumeTicks({ brimMl: 1500, perUnitMl: 1000 }).filter(({ major }) => major);
    expect(labels.map(({ label }) => label)).to.deep.equal(['0', '0.5', '1', '1.5']);
  });
});

describe('icePieces', () => {
  it('draws every piece, inside the glass, the same each time', () => {
    const input = { count: 14, edgePx: 60, lineY: 100, floorY: 500, halfAt: () => 120 };
    const pieces = icePieces(input);
    expect(pieces).to.have.length(14);
    expect(icePieces(input)).to.deep.equal(pieces);
    for (const { x, y } of pieces) {
      expect(Math.abs(x)).to.be.at.most(120);
      expect(y).to.be.within(100, 500);
    }
  });
});
