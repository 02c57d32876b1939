import { expect } from 'chai';
import { lockTarget, setTarget, type TargetPair } from '../../src/brew/targets.ts';

const HELD: TargetPair = [
  { key: 'ratio', value: 5 },
  { key: 'doseG', value: 900 },
];
const keys = (targets: TargetPair) => targets.map(({ key }) => key);

describe('setTarget', () => {
  it('lets the amount that was set before the last one yield', () => {
    const water = setTarget({ targets: HELD, locked: null, key: 'waterG', value: 6000 });
    expect(keys(water)).to.deep.equal(['waterG', 'ratio']);
    expect(
      keys(setTarget({ targets: water, locked: null, key: 'doseG', value: 1000 })),
    ).to.deep.equal(['doseG', 'waterG']);
  });

  it('sets a targets amount anew and keeps the other', () => {
    const dose = setTarget({ targets: HELD, locked: null, key: 'doseG', value: 850 });
    expect(dose).to.deep.equal([
      { key: 'doseG', value: 850 },
      { key: 'ratio', value: 5 },
    ]);
  });

  it('keeps a locked amount', () => {
    const water = setTarget({ targets: HELD, locked: 'doseG', key: 'waterG', value: 6000 });
    expect(keys(water)).to.deep.equal(['waterG', 'doseG']);
  });

  it('replaces the ratio by the strength, unless the ratio is locked', () => {
    const free = setTarget({ targets: HELD, locked: null, key: 'strengthFrac', value: 0.034 });
    expect(keys(free)).to.deep.equal(['strengthFrac', 'doseG']);
    const locked = setTarget({ targets: HELD, locked: 'ratio', key: 'strengthFrac', value: 0.034 });
    expect(keys(locked)).to.deep.equal(['strengthFrac', 'ratio']);
  });
});

describe('lockTarget', () => {
  it('holds what followed, and leaves what is targets', () => {
    expect(keys(lockTarget({ targets: HELD, key: 'waterG', value: 4500 }))).to.deep.equal([
      'waterG',
      'ratio',
    ]);
    expect(lockTarget({ targets: HELD, key: 'doseG', value: 900 })).to.equal(HELD);
  });
});
