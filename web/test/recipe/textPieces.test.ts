import { expect } from 'chai';
import { piecesOf } from '../../src/recipe/textPieces.ts';

describe('piecesOf', () => {
  it('cuts a text into what was used and what was not, and loses no letter', () => {
    const text = '200 g coffee, 1 L water';
    const pieces = piecesOf(text, [
      { span: [0, 5], as: 'coffee' },
      { span: [14, 17], as: 'water' },
    ]);
    expect(pieces).to.deep.equal([
      { text: '200 g', as: 'coffee' },
      { text: ' coffee, ', as: null },
      { text: '1 L', as: 'water' },
      { text: ' water', as: null },
    ]);
    expect(pieces.map((piece) => piece.text).join('')).to.equal(text);
  });

  it('leaves a text without marks whole', () => {
    expect(piecesOf('hello', [])).to.deep.equal([{ text: 'hello', as: null }]);
  });
});
