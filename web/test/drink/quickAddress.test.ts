import { predictDrinkRequest } from '@ratio/core/drink';
import { expect } from 'chai';
import { readQuickAddress } from '../../src/drink/quickAddress.ts';

describe('the address of the quick dilution', () => {
  const { quick: usual } = readQuickAddress({});

  it('is read as it was written', () => {
    const quick = { ...usual, way: 'amounts', from: 4.15, ice: 0, with: 'oat-drink' } as const;
    const address = Object.fromEntries(
      Object.entries(quick).map(([key, value]) => [key, String(value)]),
    );
    expect(readQuickAddress(address)).to.deep.equal({ quick, wrong: [] });
  });

  it('names what cannot be, and leaves that as usual', () => {
    const { quick, wrong } = readQuickAddress({
      way: 'taste',
      from: '21',
      cup: 'large',
      ice: '-1',
      to: ['1', '2'],
      with: 'gravel',
      coffee: ' ',
      fill: '200',
    });
    expect(quick).to.deep.equal({ ...usual, fill: 200 });
    expect(wrong).to.deep.equal([
      'way=taste',
      'from=21',
      'cup=large',
      'ice=-1',
      'to=1,2',
      'with=gravel',
      'coffee= ',
    ]);
  });

  it('asks for nothing that the sum refuses', () => {
    for (const [from, cup, ice, to] of [
      ['0.1', '30', '0', '0.1'],
      ['20', '2000', '1000', '10'],
    ] as const) {
      const { quick } = readQuickAddress({ from, cup, ice, to });
      const { success } = predictDrinkRequest.safeParse({
        cupMl: quick.cup,
        concentrate: { strengthFrac: quick.from / 100 },
        ice: { massG: quick.ice },
        target: { strengthFrac: quick.to / 100 },
      });
      expect(success).to.equal(true);
    }
  });
});
