import { expect } from 'chai';
import { pinTarget, setTarget, type HeldTargets } from '../../src/brew/heldTargets.ts';

const HELD: HeldTargets = [
  { key: 'ratio', value: 5 },
  { key: 'doseG', value: 900 },
];
const keys = (held: HeldTargets) => held.map(({ key }) => key);

describe('setTarget', () => {
  it('lets the amount that was set before the last one yield', () => {
    const water = setTarget({ held: HELD, pinned: null, key: 'waterG', value: 6000 });
    expect(keys(water)).to.deep.equal(['waterG', 'ratio']);
    expect(keys(setTarget({ held: water, pinned: null, key: 'doseG', value: 1000 }))).to.deep.equal(
      ['doseG', 'waterG'],
    );
  });

  it('sets a held amount anew and keeps the other', () => {
    const dose = setTarget({ held: HELD, pinned: null, key: 'doseG', value: 850 });
    expect(dose).to.deep.equal([
      { key: 'doseG', value: 850 },
      { key: 'ratio', value: 5 },
    ]);
  });

  it('keeps a pinned amount', () => {
    const water = setTarget({ held: HELD, pinned: 'doseG', key: 'waterG', value: 6000 });
    expect(keys(water)).to.deep.equal(['waterG', 'doseG']);
  });

  it('replaces the ratio by the strength, unless the ratio is pinned', () => {
    const free = setTarget({ held: HELD, pinned: null, key: 'strengthFrac', value: 0.034 });
    expect(keys(free)).to.deep.equal(['strengthFrac', 'doseG']);
    const pinned = setTarget({ held: HELD, pinned: 'ratio', key: 'strengthFrac', value: 0.034 });
    expect(keys(pinned)).to.deep.equal(['strengthFrac', 'ratio']);
  });
});

describe('pinTarget', () => {
  it('holds what followed, and leaves what is held', () => {
    expect(keys(pinTarget({ held: HELD, key: 'waterG', value: 4500 }))).to.deep.equal([
      'waterG',
      'ratio',
    ]);
    expect(pinTarget({ held: HELD, key: 'doseG', value: 900 })).to.equal(HELD);
  });
});
