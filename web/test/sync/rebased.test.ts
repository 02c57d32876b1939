import { expect } from 'chai';
import fc from 'fast-check';
import { conflicts } from '../../src/sync/conflicts.ts';
import { inOrder } from '../../src/sync/inOrder.ts';
import { rebased } from '../../src/sync/rebased.ts';

describe('rebased', () => {
  const before = {
    name: 'Syrup',
    days: 7,
    mill: { name: 'M', at: 3 },
    inputs: [{ g: 1 }, { g: 2 }],
  };

  it('keeps what came meanwhile beside what is changed', () => {
    const after = { ...before, name: 'Plain syrup' };
    const now = { ...before, days: 14 };
    expect(rebased({ before, after, now })).to.deep.equal({
      ...before,
      name: 'Plain syrup',
      days: 14,
    });
  });

  it('goes into nested parts, and into lists of the same length', () => {
    const after = { ...before, mill: { name: 'M', at: 5 }, inputs: [{ g: 1 }, { g: 20 }] };
    const now = { ...before, mill: { name: 'New', at: 3 }, inputs: [{ g: 10 }, { g: 2 }] };
    expect(rebased({ before, after, now })).to.deep.include({
      mill: { name: 'New', at: 5 },
      inputs: [{ g: 10 }, { g: 20 }],
    });
  });

  it('takes a list as it was changed where one was added or left out', () => {
    const after = { ...before, inputs: [{ g: 1 }] };
    const now = { ...before, inputs: [{ g: 9 }, { g: 2 }] };
    expect(rebased({ before, after, now }).inputs).to.deep.equal([{ g: 1 }]);
  });

  it('takes away what was taken away, and lets stand what is new', () => {
    const settings: Record<string, string> = { coarse: '30', fine: '8' };
    const after = { coarse: '30' };
    const now = { ...settings, medium: '20' };
    expect(rebased({ before: settings, after, now } as never)).to.deep.equal({
      coarse: '30',
      medium: '20',
    });
  });

  it('is no conflict where the keys of a part of a list come in another order', () => {
    const parts = { before: [{ g: 1, at: 2 }], after: [{ at: 2, g: 1 }], now: [{ g: 9, at: 2 }] };
    expect(conflicts(parts)).to.deep.equal([]);
    expect(rebased(parts)).to.deep.equal(parts.now);
    const undone = { before: { a: 1, b: undefined }, after: { a: 1 }, now: { a: 2 } };
    expect(conflicts(undone)).to.deep.equal([]);
  });

  it('is the change itself where nothing came meanwhile, and nothing where nothing was changed', () => {
    const documents = fc.record({
      a: fc.integer(),
      b: fc.array(fc.string()),
      c: fc.record({ d: fc.boolean() }),
    });
    fc.assert(
      fc.property(documents, documents, (one, two) => {
        expect(rebased({ before: one, after: two, now: one })).to.deep.equal(two);
        expect(rebased({ before: one, after: one, now: two })).to.deep.equal(two);
      }),
      { seed: 3 },
    );
  });
});

describe('inOrder', () => {
  it('begins a write when the one before has ended, well or not', async () => {
    const run = inOrder();
    const seen: string[] = [];
    const job =
      (name: string, ms: number, fails = false) =>
      async () => {
        seen.push(`${name} begins`);
        await new Promise((resolve) => setTimeout(resolve, ms));
        seen.push(`${name} ends`);
        if (fails) throw new Error(name);
        return name;
      };
    const [one, two, three] = [run(job('one', 8)), run(job('two', 1, true)), run(job('three', 1))];
    expect(await one).to.equal('one');
    expect(await two.catch((error: Error) => error.message)).to.equal('two');
    expect(await three).to.equal('three');
    expect(seen).to.deep.equal([
      'one begins',
      'one ends',
      'two begins',
      'two ends',
      'three begins',
      'three ends',
    ]);
  });
});
