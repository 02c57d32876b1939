import { expect } from 'chai';
import fc from 'fast-check';
import {
  followingKey,
  setTiedAmount,
  TIED_KEYS,
  togglePin,
  type TiedAmounts,
} from '../../src/brew/tiedAmounts.ts';
import { expectNear } from '../near.ts';

const START: TiedAmounts = {
  doseG: 900,
  waterG: 4500,
  ratio: 5,
  held: ['ratio', 'doseG'],
  pinned: null,
};

describe('setTiedAmount', () => {
  it('lets the amount that was set before the last one yield', () => {
    const afterWater = setTiedAmount({ amounts: START, key: 'waterG', value: 6000 });
    expect(afterWater).to.deep.include({ doseG: 1200, ratio: 5 });
    const afterDose = setTiedAmount({ amounts: afterWater, key: 'doseG', value: 1000 });
    expect(afterDose).to.deep.include({ waterG: 6000, ratio: 6 });
  });

  it('keeps a pinned amount', () => {
    const pinned = togglePin(START, 'doseG');
    const after = setTiedAmount({ amounts: pinned, key: 'waterG', value: 6300 });
    expect(after).to.deep.include({ doseG: 900, ratio: 7 });
    expect(togglePin(after, 'doseG').pinned).to.equal(null);
  });

  it('pins an amount that followed, by holding it', () => {
    const pinned = togglePin(START, 'waterG');
    expect(followingKey(pinned)).to.not.equal('waterG');
  });

  it('always leaves water = ratio × dose, and the value that was set', () => {
    const step = fc.record({
      key: fc.constantFrom(...TIED_KEYS),
      value: fc.double({ min: 0.5, max: 5000, noNaN: true }),
      pin: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 12 }), (steps) => {
        let amounts = START;
        for (const { key, value, pin } of steps) {
          if (pin) amounts = togglePin(amounts, key);
          amounts = setTiedAmount({ amounts, key, value });
          expect(amounts[key]).to.equal(value);
          expectNear(amounts.waterG, amounts.ratio * amounts.doseG, 1e-12);
        }
      }),
    );
  });
});
