import { expect } from 'chai';
import fc from 'fast-check';
import { LINE_PX, placeLabels } from '../../../src/ui/drawings/placeLabels.ts';

const nowhere = { topY: -20, bottomY: -10 };

describe('placeLabels', () => {
  it('stands beside the middle of its layer where there is room', () => {
    const labels = [
      { name: 'Milk', middleY: 500 },
      { name: 'Coffee', middleY: 300 },
    ];
    const placed = placeLabels({ labels, floorY: 592, taken: nowhere });
    expect(placed.map(({ y }) => y)).to.deep.equal([500, 300]);
  });

  it('breaks a long name between its words', () => {
    const [label] = placeLabels({
      labels: [{ name: 'Sea salt cream foam', middleY: 200 }],
      floorY: 592,
      taken: nowhere,
    });
    expect(label!.lines).to.deep.equal(['Sea salt cream', 'foam']);
  });

  it('never lets two labels touch, nor one cross what is written there', () => {
    const names = fc.constantFrom('Ice', 'Whole milk', 'Sea salt cream foam', 'Water');
    fc.assert(
      fc.property(
        fc.array(fc.record({ name: names, thick: fc.integer({ min: 1, max: 120 }) }), {
          maxLength: 8,
        }),
        fc.integer({ min: 40, max: 560 }),
        (layers, lineY) => {
          let floor = 592;
          const labels = layers.map(({ name, thick }) => {
            floor -= thick;
            return { name, middleY: floor + thick / 2 };
          });
          const taken = { topY: lineY, bottomY: lineY + 16 };
          const boxes = placeLabels({ labels, floorY: 592, taken }).map(({ y, lines }) => ({
            top: y - 12,
            bottom: y + lines.length * LINE_PX,
          }));
          for (const [i, box] of boxes.entries()) {
            if (i > 0) expect(box.bottom).to.be.below(boxes[i - 1]!.top);
            expect(box.bottom <= taken.topY || box.top >= taken.bottomY).to.equal(true);
          }
        },
      ),
      { seed: 7, numRuns: 200 },
    );
  });
});
