import { expect } from 'chai';
import { cutText } from '../../src/format/cutText.ts';

describe('cutText', () => {
  it('leaves a text whole that has room, and says where one goes on', () => {
    // Ten letters of 13 px have 65 px.
    const cut = (text: string) => cutText({ text, roomPx: 65, letterPx: 13 });
    expect(cut('Tall jar 6')).to.equal('Tall jar 6');
    expect(cut('Tall jar 12 L')).to.equal('Tall jar…');
    expect(cutText({ text: 'Tall jar', end: ', a', roomPx: 65, letterPx: 13 })).to.equal(
      'Tall j…, a',
    );
    expect(cutText({ text: 'Jug', roomPx: 0, letterPx: 13 })).to.equal('J…');
  });
});
