import { expect } from 'chai';
import { PAPERS, placesOf } from '../../src/label/paper.ts';

describe('papers of labels', () => {
  for (const [name, paper] of Object.entries(PAPERS))
    it(`${name}: every label lies on its paper, and none on another`, () => {
      const count = paper.columns * paper.rows;
      const [sheet] = placesOf({ paper, start: 1, count });
      const { widthMm, heightMm } = paper.label;
      for (const { xMm, yMm } of sheet!) {
        expect(xMm).to.be.at.least(0);
        expect(xMm + widthMm).to.be.at.most(paper.widthMm + 1e-9);
        expect(yMm).to.be.at.least(0);
        expect(yMm + heightMm).to.be.at.most(paper.heightMm + 1e-9);
      }
      expect(new Set(sheet!.map(({ xMm, yMm }) => `${xMm} ${yMm}`)).size).to.equal(count);
    });

  it('begin at the first free place, and go on on the next sheet', () => {
    const sheets = placesOf({ paper: PAPERS['a4-large'], start: 8, count: 2 });
    expect(sheets.map((sheet) => sheet.length)).to.deep.equal([1, 1]);
    // The last place of a sheet of two by four, 100 × 62 mm each, in the middle of A4.
    expect(sheets[0]![0]).to.deep.equal({ xMm: 105, yMm: 24.5 + 3 * 62 });
    expect(sheets[1]![0]).to.deep.equal({ xMm: 5, yMm: 24.5 });
  });
});
